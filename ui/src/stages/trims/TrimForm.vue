<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'
import { useDraft, whenSaved } from '../../parts/useDraft'
import { FIELDS, shownOf, shows, writtenOf, type Field, type Form, type Group } from './fields'
import { useTrimCommands } from '../../commands/trims'
import { useMaterials } from '../../stores/materials'

// A trim as she fills it in; refused at its field it stays as it was typed, and half typed it comes back.
type Spot = { panel: number; x_mm: number; z_mm: number }
const props = defineProps<{
  group: Group
  trim?: Record<string, unknown>
  at: number
  drawing: boolean
  spots: Spot[]
}>()
const emit = defineEmits<{ kept: [key: string | undefined]; leave: []; draw: [spots: Spot[] | undefined] }>()
const openBuild = useOpenBuild()
const materials = useMaterials()
const trims = useTrimCommands()
const settings = useSettings()
const form = ref<Form>(shownOf(props.group, props.trim, settings.unit))
const key = computed(() => props.trim?.key as string | undefined)
const draft = useDraft(
  openBuild.here.id,
  `trim ${key.value ?? `new ${props.group}`}`,
  form,
  () => openBuild.latest?.revision ?? null,
  (now) => JSON.stringify(now) === JSON.stringify(shownOf(props.group, props.trim, settings.unit)),
)
const root = computed(() => `trims.${props.group}.${props.at}`)
const said = (field: Field) => {
  const path = `${root.value}.${field.at}`
  return Object.entries(openBuild.errors).find(([at]) => at === path || at.startsWith(`${path}.`))?.[1]
}
const other = computed(() => {
  const shown = FIELDS[props.group].map((field) => `${root.value}.${field.at}`)
  return Object.entries(openBuild.errors)
    .filter(([at]) => at.startsWith(root.value) && !shown.some((path) => at === path || at.startsWith(`${path}.`)))
    .map(([, text]) => text)
})
const panels = computed(() => openBuild.pattern.panels.map((panel) => panel.number))
const seams = computed(() => [
  { name: 0, label: 'CF' },
  ...panels.value.slice(0, -1).map((number) => ({ name: number, label: `${number}·${number + 1}` })),
  { name: panels.value.length, label: 'CB' },
])
const channels = computed(() => [...new Set(openBuild.plan.bones.map((bone) => bone.channel))])
const more = ref(false)
const whole = computed(() => FIELDS[props.group].filter((field) => shows(field, form.value)))
const before = shownOf(props.group, undefined, settings.unit)
/** What is seldom filled in is there when it is asked for, was filled in, or is wrong. */
const wanted = (field: Field) =>
  more.value || !field.more || said(field) || JSON.stringify(form.value[field.at]) !== JSON.stringify(before[field.at])
const fields = computed(() => whole.value.filter(wanted))
const picks = (field: Field) =>
  field.kind === 'seam'
    ? seams.value.map(({ name, label }) => ({ value: name, title: label }))
    : field.kind === 'channel'
      ? channels.value
      : field.kind === 'cloth'
        ? materials.cloths.map((cloth) => ({ value: cloth.name, title: cloth.label }))
        : [...(field.picks ?? [])]
const spotsField = computed(() => fields.value.find((field) => field.kind === 'spots'))
watch(
  () => props.spots,
  (now) => {
    if (props.drawing && spotsField.value) form.value[spotsField.value.at] = now
  },
  { deep: true },
)
function toggle(number: number, at: string) {
  const now = form.value[at] as number[]
  form.value[at] = now.includes(number) ? now.filter((one) => one !== number) : [...now, number].sort((a, b) => a - b)
}
const count = (at: string) => (form.value[at] as unknown[]).length
async function keep() {
  const trim = { ...(key.value ? { key: key.value } : {}), ...writtenOf(props.group, form.value, settings.unit) }
  const before = new Set(openBuild.build.trims[props.group].map((trim) => trim.key))
  if (!(await trims.keep(props.group, trim))) return
  draft.drop()
  emit('kept', key.value ?? openBuild.build.trims[props.group].find((trim) => !before.has(trim.key))?.key)
}
function leave() {
  draft.drop()
  for (const at of Object.keys(openBuild.errors)) if (at.startsWith('trims')) openBuild.forget(at)
  emit('leave')
}
</script>

<template>
  <form class="fields trim" @submit.prevent="keep">
    <p v-if="draft.restored.value" class="soft small">As you typed it {{ whenSaved(draft.restored.value.saved) }}.</p>
    <template v-for="field in fields" :key="field.at">
      <v-select
        v-if="['pick', 'seam', 'channel', 'cloth'].includes(field.kind)"
        v-model="form[field.at]"
        :label="field.label"
        :items="picks(field)"
        :error-messages="said(field)"
      />
      <v-select
        v-else-if="field.kind === 'channels'"
        v-model="form[field.at] as string[]"
        :label="field.label"
        :items="channels"
        multiple
        chips
        clearable
        :error-messages="said(field)"
      />
      <v-checkbox v-else-if="field.kind === 'tick'" v-model="form[field.at]" :label="field.label" hide-details />
      <div v-else-if="field.kind === 'panels'" class="panels" role="group" :aria-label="field.label">
        <span class="soft small">{{ field.label }}</span>
        <label v-for="number in panels" :key="number" class="toggle"
          ><input
            type="checkbox"
            :checked="(form[field.at] as number[]).includes(number)"
            @change="toggle(number, field.at)"
          />
          {{ number }}</label
        >
        <span v-if="!count(field.at)" class="soft small">all of them</span>
        <p v-if="said(field)" class="bad" role="alert">{{ said(field) }}</p>
      </div>
      <div v-else-if="field.kind === 'spots'" class="panels">
        <span class="soft small">{{ field.label }}: {{ count(field.at) }} points</span>
        <v-btn v-if="!drawing" size="small" variant="outlined" @click="emit('draw', form[field.at] as Spot[])"
          >Draw</v-btn
        >
        <template v-else>
          <v-btn size="small" variant="outlined" @click="emit('draw', undefined)">Drawn</v-btn>
          <button type="button" class="ask" @click="emit('draw', (form[field.at] as Spot[]).slice(0, -1))">
            the last point off
          </button>
        </template>
        <p v-if="said(field)" class="bad" role="alert">{{ said(field) }}</p>
      </div>
      <v-text-field
        v-else
        v-model="form[field.at] as string"
        :label="
          field.kind === 'length'
            ? `${field.label}, ${settings.unit}`
            : field.kind === 'hardware'
              ? `${field.label}, ${settings.smallUnit}`
              : field.label
        "
        :placeholder="field.hint"
        :persistent-placeholder="!!field.hint"
        maxlength="80"
        :error-messages="said(field)"
      />
    </template>
    <button v-if="fields.length < whole.length" type="button" class="ask more" @click="more = true">More …</button>
    <p v-for="text in other" :key="text" class="bad" role="alert">{{ text }}</p>
    <div class="acts">
      <v-btn type="submit" size="small" color="primary">{{ key ? 'Keep it so' : 'Put it on' }}</v-btn>
      <v-btn size="small" variant="text" @click="leave">Leave it</v-btn>
    </div>
  </form>
</template>

<style scoped>
.panels {
  display: flex;
  gap: 4px 12px;
  flex-wrap: wrap;
  align-items: center;
}
.more {
  justify-self: start;
}
.bad {
  color: var(--takein);
  margin: 0;
}
</style>
