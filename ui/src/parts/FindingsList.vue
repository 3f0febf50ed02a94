<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Finding, Plan } from '../api/types'
import { useOpenBuild } from '../stores/openBuild'
import { useSettings } from '../stores/settings'
import { hardware } from './words'

// What it thinks: one sentence each, and a mend whose effect is shown before it is made.
const props = defineProps<{ stages: Finding['stage'][]; least?: 'caution' }>()
const openBuild = useOpenBuild()
const settings = useSettings()
const keyOf = (finding: Finding) => finding.code + (finding.where ?? finding.sentence)
const rank = { stop: 0, caution: 1, advice: 2 }
const found = computed(() =>
  [...openBuild.plan.findings, ...(openBuild.latest?.taught ?? [])]
    .filter((finding) => props.stages.includes(finding.stage))
    .filter((finding) => !props.least || finding.severity !== 'advice')
    .sort((a, b) => rank[a.severity] - rank[b.severity]),
)
const tried = ref<{ code: string; plan: Plan }>()

async function show(finding: Finding) {
  if (!finding.mend) return
  const plan = await openBuild.tryOut(finding.mend.changes)
  if (plan) tried.value = { code: keyOf(finding), plan }
}

async function mend(finding: Finding) {
  if (!finding.mend) return
  tried.value = undefined
  await openBuild.edit(finding.mend.changes, finding.mend.label)
}

function effect(after: Plan): string {
  const [old, fresh] = [openBuild.plan, after]
  if (!old.gap_shape || !fresh.gap_shape || !old.aim || !fresh.aim) return 'The pattern can then be drafted.'
  const size = (value: number) => hardware(Math.abs(value), settings.unit)
  const gone = old.findings.length - fresh.findings.length
  const [was, is] = [old.gap_shape, fresh.gap_shape]
  return [
    `gap ${was.shape} → ${is.shape}, bow ${size(was.bow_mm)} → ${size(is.bow_mm)}`,
    `waist reduced by ${size(old.aim.reduction_mm)} → ${size(fresh.aim.reduction_mm)}`,
    `pull ${Math.round(old.aim.pull_n_per_m)} → ${Math.round(fresh.aim.pull_n_per_m)} N/m`,
    gone > 0 ? `${gone} fewer to look at` : '',
  ]
    .filter(Boolean)
    .join('; ')
}
const placed = (where: string) => (where === where.toUpperCase() ? where : where[0].toLowerCase() + where.slice(1))
const LABEL = { stop: 'Stop', caution: 'Caution', advice: 'Worth knowing', first: 'First' }
// what she has not come to yet is no alarm
const toldAs = (finding: Finding) => (finding.code === 'measure' ? 'first' : finding.severity)
</script>

<template>
  <section v-if="found.length" class="findings" aria-label="What it says">
    <article v-for="finding in found" :key="finding.code + finding.where + finding.sentence" :class="toldAs(finding)">
      <p>
        <b
          >{{ LABEL[toldAs(finding)] }}<template v-if="finding.where">, {{ placed(finding.where) }}</template
          >.</b
        >
        {{ finding.sentence }}
      </p>
      <template v-if="finding.mend">
        <p v-if="tried?.code === keyOf(finding)" class="effect">{{ effect(tried.plan) }}</p>
        <v-btn v-if="tried?.code !== keyOf(finding)" size="small" variant="outlined" @click="show(finding)"
          >{{ finding.mend.label }}?</v-btn
        >
        <template v-else>
          <v-btn size="small" color="primary" @click="mend(finding)">{{ finding.mend.label }}</v-btn>
          <v-btn size="small" variant="text" @click="tried = undefined">Leave it</v-btn>
        </template>
      </template>
    </article>
  </section>
</template>

<style scoped>
.findings {
  display: grid;
  gap: 10px;
  margin: 12px 0;
}
article {
  border-left: 4px solid var(--steel);
  padding: 1px 0 1px 10px;
  min-width: 0;
}
article.stop {
  border-color: var(--takein);
}
article.caution {
  border-color: var(--caution);
}
article.stop b {
  color: var(--takein);
}
article.caution b {
  color: var(--caution);
}
article .v-btn.v-btn--size-small:not(.v-btn--icon) {
  height: auto;
  min-height: 28px;
  white-space: normal;
  max-width: 100%;
  padding-block: 4px;
}
article :deep(.v-btn__content) {
  white-space: normal;
  text-align: left;
  line-height: 1.2;
}
p {
  margin: 0 0 5px;
  line-height: 1.28;
}
.effect {
  font-size: 0.92rem;
  background: var(--marked);
  padding: 3px 6px;
  border-radius: 3px;
}
</style>
