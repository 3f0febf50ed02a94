<script setup lang="ts">
import { computed, ref } from 'vue'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'
import { LEVEL_LABELS, withUnit } from '../../parts/words'
import type { LevelName } from '../../api/types'
import { useFittingCommands } from '../../commands/fittings'
import { usePatternCommands } from '../../commands/pattern'

// A line of the change that nobody proposed: any seam, any level, in or out, on each panel edge; or trimmed off CB.
const openBuild = useOpenBuild()
const fittings = useFittingCommands()
const pattern = usePatternCommands()
const settings = useSettings()
const shown = ref(false)
const CB = 0
const seam = ref(1)
const level = ref<LevelName>('waist')
const way = ref<'-' | ''>('-')
const amount = ref('')
const seams = computed(() => openBuild.pattern.panels.slice(1).map((_, i) => i + 1))
const levels = computed(() => openBuild.plan.levels.filter((level) => level.gap_mm !== null).map((level) => level.name))
const said = computed(() => Object.entries(openBuild.errors).find(([at]) => /^(line_edits|edit\b)/.test(at))?.[1])
function begin() {
  if (!levels.value.includes(level.value)) level.value = levels.value[0]
  shown.value = true
}
async function put() {
  if (seam.value === CB) {
    const off = withUnit(`${way.value === '-' ? '' : '-'}${amount.value.trim()}`, settings.smallUnit)
    if (!(await pattern.edit([{ kind: 'trim', edge: 'CB', amount_mm: off, side: 'both' }]))) return
    amount.value = ''
    shown.value = false
    return
  }
  const mine = withUnit(`${way.value}${amount.value.trim()}`, settings.smallUnit)
  const line = { seam: seam.value, level: level.value, cf_side_mm: mine, cb_side_mm: mine }
  if (!(await fittings.setLine(line))) return
  amount.value = ''
  shown.value = false
}
</script>

<template>
  <button v-if="!shown" type="button" class="ask" @click="begin">+ a line of your own</button>
  <form v-else class="asked own" aria-label="A line of your own" @submit.prevent="put">
    <select v-model="way" aria-label="In or out">
      <option value="-">take in</option>
      <option value="">let out</option>
    </select>
    seam
    <select v-model.number="seam" aria-label="Seam">
      <option v-for="choice in seams" :key="choice" :value="choice">{{ choice }}·{{ choice + 1 }}</option>
      <option :value="CB">CB, all along</option>
    </select>
    <template v-if="seam !== CB">at </template>
    <select v-if="seam !== CB" v-model="level" aria-label="Level">
      <option v-for="choice in levels" :key="choice" :value="choice">{{ LEVEL_LABELS[choice as LevelName] }}</option>
    </select>
    by <input v-model="amount" aria-label="On each panel edge" :aria-invalid="!!said" /> {{ settings.smallUnit }} on
    each
    {{ seam === CB ? 'half' : 'edge' }}
    <v-btn size="small" type="submit" variant="outlined">Set it</v-btn>
    <v-btn size="small" variant="text" @click="shown = false">Leave it</v-btn>
    <p v-if="said" class="bad" role="alert">{{ said }}</p>
  </form>
</template>

<style scoped>
.own {
  line-height: 2.3;
  margin: 6px 0;
}
input {
  width: 60px;
}
</style>
