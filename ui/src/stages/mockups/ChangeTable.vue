<script setup lang="ts">
import { computed, nextTick, ref } from 'vue'
import type { Proposal, ProposedLine } from '../../api/types'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'
import { HALVES, LEVEL_LABELS, RUNS_OUT, SEEN, from, perEdge, signedEdge, withUnit } from '../../parts/words'
import { useFittingCommands } from '../../commands/fittings'

// The proposed change, line by line: what to mark on each panel edge. Each can be set, refused, or put back.
const props = defineProps<{ proposal: Proposal }>()
const openBuild = useOpenBuild()
const fittings = useFittingCommands()
const settings = useSettings()
type Where = ReturnType<typeof where>
const editing = ref<(Where & { side: 0 | 1; text: string }) | null>(null)
const bySeam = computed(() => {
  const found = new Map<number, { label: string; lines: ProposedLine[] }>()
  for (const line of props.proposal.lines) {
    if (!found.has(line.seam)) found.set(line.seam, { label: line.label, lines: [] })
    found.get(line.seam)!.lines.push(line)
  }
  return [...found].sort(([a], [b]) => a - b).map(([, seam]) => seam)
})
const kind = (line: ProposedLine) => {
  const sides = [line.cf_side_mm, line.cb_side_mm]
  const [least, most] = [Math.min(...sides), Math.max(...sides)]
  if (least < -0.05 && most > 0.05) return 'move'
  return most > 0.05 ? 'let out' : least < -0.05 ? 'take in' : 'leave'
}
const SIGN: Record<string, string | undefined> = { 'let out': '◀▶', 'take in': '▶◀', move: '▶▶', leave: '–' }
const rows = (lines: ProposedLine[]) => lines.length + lines.filter((line) => !line.level).length
const refused = (line: ProposedLine) => line.by_hand && !line.cf_side_mm && !line.cb_side_mm
// where a seam moves, its edges go opposite ways, and each says which
const shown = (line: ProposedLine, side: 0 | 1) => {
  const mm = side ? line.cb_side_mm : line.cf_side_mm
  return kind(line) === 'move' ? signedEdge(mm, settings.unit) : perEdge(Math.abs(mm), settings.unit)
}
const said = computed(() => Object.entries(openBuild.errors).find(([at]) => at.startsWith('line_edits'))?.[1])
const where = (line: ProposedLine) => ({
  seam: line.seam,
  level: line.level,
  half: line.level ? null : line.half,
  peak_mm: line.level ? null : line.z_mm,
})
const name = (line: ProposedLine) =>
  line.level
    ? LEVEL_LABELS[line.level]
    : from(line.low_mm ?? 0, line.high_mm ?? 0, openBuild.pattern.zero, settings.unit)
const told = (line: ProposedLine) =>
  [SEEN[line.seen ?? 'by hand'], HALVES[line.half], ...line.runs_out.map((end) => RUNS_OUT[end])]
    .filter(Boolean)
    .join(', ')
async function begin(line: ProposedLine, side: 0 | 1, event: Event) {
  const row = (event.currentTarget as Element).closest('td')
  editing.value = { ...where(line), side, text: shown(line, side) }
  await nextTick()
  row?.querySelector('input')?.select()
}
async function keep(line: ProposedLine) {
  const now = editing.value
  if (!now) return
  const was = now.side ? line.cb_side_mm : line.cf_side_mm
  if (now.text.trim() === shown(line, now.side)) return void (editing.value = null)
  // a plain number keeps the way of the line; a sign turns it
  const way =
    was < 0 || kind(line) === 'take in' || (kind(line) === 'leave' && line.worked_out_cf_mm + line.worked_out_cb_mm < 0)
      ? '-'
      : ''
  const text = /^[+−-]/.test(now.text.trim())
    ? now.text.trim().replace('−', '-').replace(/^\+/, '')
    : `${way}${now.text.trim()}`
  const mine = withUnit(text, settings.smallUnit)
  const sides = now.side
    ? { cf_side_mm: line.cf_side_mm, cb_side_mm: mine }
    : { cf_side_mm: mine, cb_side_mm: line.cb_side_mm }
  if (await fittings.setLine({ ...where(line), ...sides })) editing.value = null
}
const same = (a: Where, b: Where) =>
  a.seam === b.seam && a.level === b.level && a.half === b.half && a.peak_mm === b.peak_mm
const isEdited = (line: ProposedLine, side: number) =>
  !!editing.value && same(editing.value, where(line)) && editing.value.side === side
const named = (line: ProposedLine, side: number) => `seam ${line.label}, ${name(line)}, ${side ? 'CB' : 'CF'} side`
</script>

<template>
  <table class="numbers" aria-label="Change by seam">
    <thead>
      <tr>
        <th>seam</th>
        <td />
        <td />
        <th class="n">CF side</th>
        <th class="n">CB side</th>
        <td />
      </tr>
    </thead>
    <tbody v-for="seam in bySeam" :key="seam.label">
      <template v-for="(line, i) in seam.lines" :key="line.level ?? `${line.half} ${line.z_mm}`">
        <tr v-if="!line.level" class="at" :class="{ mine: line.by_hand }">
          <th v-if="!i" scope="rowgroup" :rowspan="rows(seam.lines)">{{ seam.label }}</th>
          <td colspan="5">{{ name(line) }}</td>
        </tr>
        <tr :class="{ mine: line.by_hand, refused: refused(line) }">
          <th v-if="!i && line.level" scope="rowgroup" :rowspan="rows(seam.lines)">{{ seam.label }}</th>
          <td :class="{ seen: !line.level }">{{ line.level ? name(line) : told(line) }}</td>
          <td class="n" :class="kind(line) === 'let out' ? 'letout' : kind(line) === 'take in' ? 'takein' : ''">
            {{ SIGN[kind(line)] }} <span class="way">{{ refused(line) ? 'refused' : kind(line) }}</span>
          </td>
          <td v-for="side in [0, 1] as const" :key="side" class="n in amount">
            <input
              v-if="isEdited(line, side)"
              v-model="editing!.text"
              :aria-label="`Seam ${line.label}, ${name(line)}, ${side ? 'CB' : 'CF'} side`"
              @keydown.enter.prevent="keep(line)"
              @keydown.esc.stop="
                () => {
                  editing = null
                  openBuild.forget('line_edits')
                }
              "
              @blur="keep(line)"
            />
            <button
              v-else
              type="button"
              :title="side ? 'On the panel toward CB' : 'On the panel toward CF'"
              :aria-label="`${shown(line, side)}: set ${named(line, side)}`"
              @click="begin(line, side, $event)"
            >
              {{ shown(line, side) }}
            </button>
          </td>
          <td class="n">
            <button
              v-if="line.by_hand"
              type="button"
              class="act"
              :aria-label="`Put back seam ${line.label}, ${name(line)}`"
              title="As it was worked out"
              @click="fittings.setLine(where(line))"
            >
              ↺
            </button>
            <button
              v-else
              type="button"
              class="act"
              :aria-label="`Refuse seam ${line.label}, ${name(line)}`"
              title="Leave this out"
              @click="fittings.setLine({ ...where(line), cf_side_mm: 0, cb_side_mm: 0 })"
            >
              ×
            </button>
          </td>
        </tr>
      </template>
    </tbody>
  </table>
  <p v-if="said" class="bad" role="alert">{{ said }}</p>
  <button v-if="proposal.by_hand" type="button" class="all" @click="fittings.setLine({})">All as worked out</button>
</template>

<style scoped>
tbody th {
  vertical-align: top;
  color: var(--ink) !important;
  font-weight: 650 !important;
  font-size: 0.95rem !important;
  width: 36px;
}
td {
  padding: 2px 4px 2px 0 !important;
  line-height: 1.25;
}
tbody + tbody tr:first-child > * {
  border-top: 2px solid var(--line);
}
.way,
.seen {
  font-size: 0.85rem;
}
.seen {
  color: var(--steel);
}
.at td {
  border-bottom: 0 !important;
  padding-bottom: 0 !important;
}
.amount {
  width: 44px;
}
.amount button {
  font: inherit;
  font-weight: 650;
  color: var(--ink);
  padding: 2px 1px;
  border-bottom: 1px dotted var(--steel);
  width: 100%;
  text-align: right;
}
.amount input {
  width: 44px;
  font: inherit;
  text-align: right;
  border: 1px solid var(--letout);
  border-radius: 3px;
  background: var(--paper);
  color: var(--ink);
}
.mine td {
  background: var(--marked);
}
.refused .amount button {
  text-decoration: line-through;
}
.act {
  color: var(--steel);
  padding: 2px 4px;
  font: inherit;
}
.all {
  color: var(--letout);
  font: inherit;
  padding: 4px 0;
}
.bad {
  color: var(--takein);
  margin: 2px 0;
  font-size: 0.9rem;
}
</style>
