<script setup lang="ts">
import { ref, watch } from 'vue'
import { answer, api, ofBuild } from '../../api/client'
import type { TrimMarks } from '../../api/types'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'
import { useTrimCommands } from '../../commands/trims'

// Trim lines that are marked on the pictures of the brief, each made one on the garment with one press.
const emit = defineEmits<{ made: [key: string] }>()
const openBuild = useOpenBuild()
const trims = useTrimCommands()
const settings = useSettings()
const marks = ref<TrimMarks['marks']>([])
const marked = () =>
  openBuild.build.brief.pictures.some((picture) => picture.marks.some((mark) => mark.kind === 'trim'))
watch(
  () => [openBuild.latest?.id, openBuild.latest?.revision, settings.unit],
  async () => {
    if (!openBuild.latest) return
    marks.value = marked()
      ? await answer(api.GET('/api/builds/{build_id}/trims/marks', ofBuild(openBuild.latest.id)))
          .then((found) => found.marks)
          .catch(() => [])
      : []
  },
  { immediate: true },
)
const made = (mark: TrimMarks['marks'][number]) =>
  openBuild.build.trims.along.some((one) => JSON.stringify(one.line.spots) === JSON.stringify(mark.spots))
async function make(mark: TrimMarks['marks'][number]) {
  const name = `as on “${(mark.picture_name || 'the picture').slice(0, 50)}”`
  const trim = { name, sewn: 'along by hand', line: { on: 'drawn', spots: mark.spots } }
  if (await trims.keep('along', trim)) emit('made', openBuild.build.trims.along.at(-1)!.key)
}
</script>

<template>
  <section v-if="marks.length" aria-label="On the picture">
    <h2>On the picture</h2>
    <p v-for="mark in marks" :key="`${mark.picture} ${mark.number}`" class="small">
      {{ mark.picture_name || 'The picture' }}, trim line {{ mark.number }}:
      <template v-if="mark.fault">{{ mark.fault }}</template>
      <template v-else-if="made(mark)">on the garment.</template>
      <v-btn v-else size="small" variant="outlined" @click="make(mark)">Make it one on the garment</v-btn>
    </p>
  </section>
</template>

<style scoped>
h2 {
  margin: 14px 0 4px;
}
p {
  margin: 4px 0;
}
</style>
