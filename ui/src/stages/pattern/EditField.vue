<script setup lang="ts">
import { ref, watch } from 'vue'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'
import { hardware as small, length, withUnit } from '../../parts/words'

// A length that is an edit of the pattern: written, it is sent; what is refused stays with its sentence.
const props = defineProps<{
  mm?: number | null
  label: string
  hardware?: boolean
  placeholder?: string
  hideLabel?: boolean
}>()
const emit = defineEmits<{ keep: [text: string] }>()
const openBuild = useOpenBuild()
const settings = useSettings()
const shown = () =>
  props.mm == null
    ? ''
    : props.hardware
      ? small(props.mm, settings.unit).replace(/ \w+$/, '')
      : length(props.mm, settings.unit, { bare: true })
const text = ref(shown())
watch(
  () => [props.mm, settings.unit, openBuild.latest?.revision],
  () => (text.value = shown()),
)
const unit = () => (settings.unit === 'in' ? 'in' : props.hardware ? 'mm' : 'cm')
const keep = () => text.value.trim() !== shown() && emit('keep', withUnit(text.value, unit()))
</script>

<template>
  <label class="edit"
    ><span v-if="!hideLabel">{{ label }}</span>
    <span class="box unit-box"
      ><input
        v-model="text"
        class="in"
        autocomplete="off"
        :aria-label="label"
        :placeholder="placeholder"
        @change="keep"
        @keydown.esc="text = shown()"
      /><span class="unit" aria-hidden="true">{{ unit() }}</span></span
    >
  </label>
</template>

<style scoped>
.edit > span:first-child:not(.box) {
  display: block;
  font-size: 0.85rem;
  color: var(--steel);
}
input {
  flex: 1;
  min-width: 0;
  width: 100%;
  padding: 3px 4px 3px 7px;
  font: inherit;
  color: var(--ink);
  background: none;
  border: 0;
  outline: 0;
  text-align: right;
}
.unit {
  color: var(--steel);
  font-size: 0.83rem;
  padding-right: 6px;
}
</style>
