<script setup lang="ts">
import { computed, nextTick, onBeforeUnmount, ref, watch } from 'vue'
import type { Change } from '../api/types'
import { useOpenBuild } from '../stores/openBuild'
import { drafts } from '../stores/drafts'
import { useSettings } from '../stores/settings'
import { useUnsent } from '../stores/unsent'
import { whenSaved } from './useDraft'
import { length, smallUnit, withUnit } from './words'

// A length (or a `count`) as she writes it. The server reads it; what it refuses stays here with its sentence, and what
// was not sent yet is here again after a reload.
const props = defineProps<{
  at: string
  mm: number | null | undefined
  label: string
  hardware?: boolean
  count?: boolean
  placeholder?: string
  list?: boolean
  hideLabel?: boolean
  suffix?: string
  also?: Change[]
}>()
const openBuild = useOpenBuild()
const settings = useSettings()
const shown = computed(() =>
  props.mm === null || props.mm === undefined
    ? ''
    : props.count
      ? String(props.mm)
      : length(props.mm, settings.unit, { hardware: props.hardware, bare: true }),
)
const unsent = useUnsent()
const build = openBuild.latest?.id ?? ''
let sending = false
const begun = ref(drafts().read<string>(build, props.at))
const text = ref(begun.value?.value ?? shown.value)
const dirty = ref(begun.value !== undefined)
const said = computed<ReturnType<typeof openBuild.saidAt>>(() => {
  if (begun.value && !waits.value && !openBuild.errors[props.at])
    return {
      text: `As you typed it ${whenSaved(begun.value.saved)}, not kept yet: Enter keeps it.`,
      severity: 'caution',
    }
  return openBuild.saidAt(props.at)
})
const name = computed(() => `said-${props.at.replaceAll('.', '-')}`)
const unitName = computed(() => (props.count ? '' : props.hardware ? smallUnit(settings.unit) : settings.unit))
const waits = computed(() => unsent.at(openBuild.latest?.id, props.at))
const has = ref(false) // the focus
function focused(event: FocusEvent) {
  has.value = true
  const input = event.target as HTMLInputElement
  input.select()
}
function blurred() {
  has.value = false
  if (begun.value && dirty.value) void keep()
}
watch([shown, () => openBuild.latest?.revision], ([, now], [, before]) => {
  const typing = has.value && dirty.value && now !== before
  if (!dirty.value || (!openBuild.errors[props.at] && !waits.value && !typing)) settle()
})
watch(waits, (now) => !now && !openBuild.errors[props.at] && settle())
watch(text, (now) => dirty.value && drafts().keep(build, props.at, now, openBuild.latest?.revision ?? null))
const form = `${build}/${props.at}`
watch(dirty, (now) => unsent.opened(form, now), { immediate: true })
onBeforeUnmount(() => unsent.opened(form, false))

/** It is as the build has it. */
function settle() {
  text.value = shown.value
  if (dirty.value) drafts().drop(build, props.at)
  begun.value = undefined
  dirty.value = false
}

async function keep() {
  if (!dirty.value) return
  const written = text.value.trim()
  if (written === shown.value) {
    settle()
    openBuild.forget(props.at)
    return
  }
  if (waits.value || sending) return
  const spelt = props.count ? written : withUnit(written, unitName.value)
  const value = written === '' ? (props.list ? [] : null) : props.list ? [spelt] : spelt
  sending = true
  const taken = await openBuild.edit([...(props.also ?? []), { at: props.at, value }]).finally(() => (sending = false))
  begun.value = undefined
  if (taken) {
    await nextTick()
    settle()
  }
}

function leave() {
  settle()
  openBuild.forget(props.at)
}
</script>

<template>
  <div class="field" :class="said?.severity">
    <label v-if="!hideLabel" :for="at">{{ label }}</label>
    <span class="box unit-box">
      <input
        :id="at"
        v-model="text"
        type="text"
        inputmode="text"
        autocomplete="off"
        class="in"
        :placeholder="placeholder"
        :aria-label="hideLabel ? label : undefined"
        :aria-invalid="said?.severity === 'error'"
        :aria-describedby="said ? name : undefined"
        :data-dirty="dirty ? 'yes' : 'no'"
        :data-waits="waits ? 'yes' : undefined"
        @input="dirty = true"
        @change="keep"
        @keydown.enter="keep"
        @keydown.esc="leave"
        @focus="focused"
        @blur="blurred"
      />
      <span class="unit" aria-hidden="true">{{ suffix ?? unitName }}</span>
    </span>
    <p v-if="said" :id="name" class="said" :role="said.severity === 'error' ? 'alert' : undefined">{{ said.text }}</p>
  </div>
</template>

<style scoped>
.field {
  display: block;
}
label {
  display: block;
  font-size: 0.85rem;
  color: var(--steel);
  margin-bottom: 1px;
}
input {
  flex: 1;
  min-width: 0;
  width: 100%;
  padding: 4px 4px 4px 8px;
  font: inherit;
  font-size: 1.05rem;
  color: var(--ink);
  background: none;
  border: 0;
  outline: 0;
  text-align: right;
}
input::placeholder {
  color: var(--steel);
  opacity: 1;
  font-style: italic;
  font-size: 0.95rem;
}
.unit {
  color: var(--steel);
  font-size: 0.85rem;
  padding-right: 7px;
}
.said {
  margin: 2px 0 0;
  font-size: 0.88rem;
  line-height: 1.2;
  color: var(--caution);
  text-align: left;
}
.error .box {
  border-color: var(--takein);
  box-shadow: 0 0 0 1px var(--takein);
}
.error .said,
.stop .said {
  color: var(--takein);
}
.advice .said {
  color: var(--steel);
}
</style>
