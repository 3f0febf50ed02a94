<script setup lang="ts">
import { useNotices } from '../stores/notices'
import { useSettings } from '../stores/settings'

// One of the choices that hold for the whole workshop.
const CHOICES = {
  unit: { cm: 'centimetres', in: 'inches' },
  paper: { a4: 'A4', letter: 'Letter' },
  theme: { light: 'light', dark: 'dark' },
} as const
const { of, size = 'small' } = defineProps<{ of: keyof typeof CHOICES; size?: string }>()
const settings = useSettings()
const notices = useNotices()
const choose = (value: string) => settings.setHouse({ [of]: value }).catch(notices.complain)
</script>

<template>
  <v-btn-toggle :model-value="settings.house[of]" mandatory @click.stop @update:model-value="choose">
    <v-btn v-for="(said, value) in CHOICES[of]" :key="value" :value="value" :size="size">{{ said }}</v-btn>
  </v-btn-toggle>
</template>
