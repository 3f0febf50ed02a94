<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'
import type { LevelName } from '../../api/types'
import { LEVEL_LABELS, withUnit } from '../../parts/words'
import { usePatternCommands } from '../../commands/pattern'

// A pattern from outside: widths off a taped or bought pattern, level by level. A row can be pasted whole.
const shown = defineModel<boolean>({ required: true })
const openBuild = useOpenBuild()
const pattern = usePatternCommands()
const settings = useSettings()
const panels = ref(6)
const front = ref(3)
const widths = ref<Record<string, string[]>>({})
const counts = computed(() =>
  Array.from({ length: 8 }, (_, i) => i + 2).filter((n) => n >= Math.min(3, openBuild.kind.panels[0]) && n <= 8),
)
watch(
  shown,
  () => (widths.value = Object.fromEntries(openBuild.levels.map((name) => [name, widths.value[name] ?? []]))),
  {
    immediate: true,
  },
)
watch(panels, (count) => (front.value = Math.min(front.value, count - 1)))
watch(shown, () => openBuild.forget('typed'))

const typed = computed(() =>
  openBuild.levels.filter((name) =>
    (widths.value[name] ?? []).slice(0, panels.value).some((text: string | undefined) => text?.trim()),
  ),
)
const fault = computed(() => {
  const [at, sentence] = Object.entries(openBuild.errors).find(([place]) => place.startsWith('typed')) ?? []
  const found = /^typed\.levels\.(\d+)(?:\.widths_mm\.(\d+))?/.exec(at ?? '')
  return sentence
    ? {
        sentence,
        level: found ? typed.value[Number(found[1])] : undefined,
        panel: found?.[2] ? Number(found[2]) : undefined,
      }
    : undefined
})
const bad = (name: LevelName, i: number) =>
  fault.value?.level === name && (fault.value.panel === undefined || fault.value.panel === i)

function paste(event: ClipboardEvent, name: LevelName, i: number) {
  const parts = (event.clipboardData?.getData('text') ?? '').trim().split(/[\t;\n]+/)
  if (parts.length < 2) return
  event.preventDefault()
  parts.slice(0, panels.value - i).forEach((part, k) => (widths.value[name][i + k] = part.trim()))
}
async function keep() {
  const levels = typed.value.map((name) => ({
    name,
    widths_mm: Array.from({ length: panels.value }, (_, i) =>
      withUnit((widths.value[name][i] ?? '').trim(), settings.unit),
    ),
  }))
  if (await pattern.typeIn({ levels, front_panels: front.value })) shown.value = false
}
</script>

<template>
  <v-dialog v-model="shown" max-width="860" aria-label="Widths of a pattern">
    <v-card title="Widths of a pattern you have">
      <v-card-text>
        <p>
          Stitch line to stitch line, without allowances, in {{ settings.unit }}. The {{ openBuild.zero }} is needed,
          and two levels more.
        </p>
        <div class="counts">
          <span id="typed-panels">Panels in each half</span>
          <v-btn-toggle v-model="panels" aria-labelledby="typed-panels"
            ><v-btn v-for="n in counts" :key="n" :value="n" size="small">{{ n }}</v-btn></v-btn-toggle
          >
          <span id="typed-front">of these in front</span>
          <v-btn-toggle v-model="front" aria-labelledby="typed-front"
            ><v-btn v-for="n in panels - 1" :key="n" :value="n" size="small">{{ n }}</v-btn></v-btn-toggle
          >
        </div>
        <table>
          <thead>
            <tr>
              <td />
              <th v-for="n in panels" :key="n">{{ n }}{{ n === 1 ? ', CF' : n === panels ? ', CB' : '' }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="name in openBuild.levels.filter((one) => widths[one])" :key="name">
              <th scope="row">{{ LEVEL_LABELS[name] }}</th>
              <td v-for="i in panels" :key="i">
                <input
                  v-model="widths[name][i - 1]"
                  class="in"
                  autocomplete="off"
                  :aria-label="`${LEVEL_LABELS[name]}, panel ${i}`"
                  :aria-invalid="bad(name, i - 1)"
                  @paste="paste($event, name, i - 1)"
                />
              </td>
            </tr>
          </tbody>
        </table>
        <p v-if="fault" class="fault" role="alert">
          {{
            fault.level
              ? `${LEVEL_LABELS[fault.level]}${fault.panel !== undefined ? `, panel ${fault.panel + 1}` : ''}: `
              : ''
          }}{{ fault.sentence }}
        </p>
      </v-card-text>
      <v-card-actions>
        <v-btn @click="shown = false">Leave it</v-btn>
        <v-btn color="primary" variant="flat" :disabled="!typed.length" @click="keep"
          >Make it version {{ openBuild.build.versions.length + 1 }}</v-btn
        >
      </v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.counts {
  display: flex;
  gap: 10px;
  align-items: center;
  flex-wrap: wrap;
  margin: 10px 0;
}
table {
  border-collapse: collapse;
  width: 100%;
}
th {
  font-weight: 500;
  color: var(--steel);
  text-align: left;
  padding: 3px 8px 3px 0;
  white-space: nowrap;
}
thead th {
  text-align: right;
}
input {
  width: 100%;
  font: inherit;
  text-align: right;
  border: 1px solid #8b99a5;
  border-radius: 3px;
  padding: 4px 6px;
  background: var(--paper);
  color: var(--ink);
}
td {
  padding: 2px;
}
input[aria-invalid='true'] {
  border-color: var(--takein);
  box-shadow: 0 0 0 1px var(--takein);
}
.fault {
  color: var(--takein);
  margin: 8px 0 0;
}
</style>
