<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Point } from '../../api/types'
import FindingsList from '../../parts/FindingsList.vue'
import MeasureFirst from '../../parts/MeasureFirst.vue'
import TheSlip from '../../parts/TheSlip.vue'
import { useKeys } from '../../parts/keys'
import { duration, hardware, length, run } from '../../parts/words'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'
import { path } from '../../surface/flat'
import WorkSurface from '../../surface/WorkSurface.vue'
import type { Group } from './fields'
import FromPicture from './FromPicture.vue'
import RoomForMotif from './RoomForMotif.vue'
import TrimForm from './TrimForm.vue'
import WhatHangs from './WhatHangs.vue'
import { useTrimCommands } from '../../commands/trims'

// What lies on the garment and hangs from it: put on, counted, weighed, and where what is at hand runs out.
type Spot = { panel: number; x_mm: number; z_mm: number }
const openBuild = useOpenBuild()
const commands = useTrimCommands()
const settings = useSettings()
const plan = computed(() => openBuild.plan)
const trims = computed(() => plan.value.trims)
const on = ref(['Trims', 'Bones', 'Holes', 'Opening'])
const half = ref<'right' | 'left' | 'both'>('right')
const picked = ref('')
const adding = ref<Group>()
const editing = ref('')
const drawn = ref<Spot[]>()
const GROUPS: { group: Group; add: string }[] = [
  { group: 'along', add: 'along a line' },
  { group: 'areas', add: 'over an area' },
  { group: 'flossing', add: 'flossing' },
  { group: 'hanging', add: 'a frill or skirt' },
  { group: 'straps', add: 'a strap' },
  { group: 'chains', add: 'a chain' },
]
const mm = (value: number) => length(value, settings.unit)
interface Row {
  group: Group
  at: number
  key: string
  name: string
  text: string
  minutes: number
  fault?: string | null
}
const rows = computed<Row[]>(() => {
  const shown = trims.value
  if (!shown) return []
  const found: Row[] = []
  const put = (
    group: Group,
    one: { key: string; name: string; minutes?: number; fault?: string | null },
    at: number,
    text: string,
  ) => found.push({ group, at, key: one.key, name: one.name, text, minutes: one.minutes ?? 0, fault: one.fault })
  shown.along.forEach((one, i) =>
    put(
      'along',
      one,
      i,
      one.laid?.count != null
        ? `${one.laid.count}, every ${hardware(one.laid.pitch_mm ?? 0, settings.unit)}`
        : one.laid
          ? run(one.laid.needed_mm ?? 0, settings.unit)
          : '',
    ),
  )
  shown.areas.forEach((area, i) =>
    put('areas', area, i, area.laid?.count != null ? `${area.laid.count}` : `${Math.round(area.laid?.cm2 ?? 0)} cm²`),
  )
  shown.flossing.forEach((one, i) => put('flossing', one, i, `${one.laid?.count ?? 0} bone ends`))
  shown.hanging.forEach((one, i) => put('hanging', one, i, `${mm(one.hem_mm)} hem`))
  shown.straps.forEach((strap, i) => put('straps', strap, i, strap.laid ? mm(strap.laid.finished_mm) : ''))
  shown.chains.forEach((chain, i) => put('chains', chain, i, `${chain.count} × ${mm(chain.length_mm)}`))
  return found
})
const title = computed(() => (rows.value.length ? `${duration(trims.value!.minutes)} of work on it` : 'Nothing on it'))
const under = computed(() => {
  if (!trims.value) return ''
  const grams = Math.round(trims.value.grams + trims.value.hanging_grams)
  const thread = trims.value.thread_mm ? `, ${run(trims.value.thread_mm, settings.unit)} of thread` : ''
  const price = trims.value.price ? `, some ${trims.value.price.toFixed(2)}` : ''
  return `${grams} g${thread}${price}`
})
const pickedRow = computed(() => rows.value.find((row) => row.key === picked.value))
const along = computed(() => trims.value?.along.find((one) => one.key === picked.value))
const strap = computed(() => trims.value?.straps.find((strap) => strap.key === picked.value))
const chain = computed(() => trims.value?.chains.find((chain) => chain.key === picked.value))
const area = computed(() => trims.value?.areas.find((area) => area.key === picked.value))
const trimOf = (row: Row) => openBuild.build.trims[row.group][row.at] as unknown as Record<string, unknown>
const pick = (key: string) => {
  if (!rows.value.some((row) => row.key === key)) return
  picked.value = picked.value === key ? '' : key
  editing.value = ''
  drawn.value = undefined
}
async function takeOff(key: string) {
  if (await commands.take(key)) picked.value = editing.value = ''
}
function begin(group: Group) {
  adding.value = group
  picked.value = editing.value = ''
  drawn.value = undefined
}
function kept(key?: string) {
  adding.value = undefined
  editing.value = ''
  drawn.value = undefined
  picked.value = key ?? ''
}
function leave() {
  adding.value = undefined
  editing.value = ''
  drawn.value = undefined
}
/** A way out where what is at hand is too little, taken. */
const take = (stop: { how: string; at_mm: number; pitch_mm?: number | null }) => {
  const at = `trims.along.${pickedRow.value!.at}`
  const from = (trimOf(pickedRow.value!).line as { begins_mm?: number | null }).begins_mm ?? 0
  return stop.how === 'wider'
    ? openBuild.set(`${at}.pitch_mm`, stop.pitch_mm)
    : openBuild.set(`${at}.line.ends_mm`, from + stop.at_mm)
}
const STOPS = {
  seam: 'Stop at the seam',
  shows: 'All that shows from the front, to the side seam',
  'runs out': 'Stop where it runs out',
  wider: 'Lie further apart',
} as const

// drawn on the panels, which lie at these offsets
const panelAt = (x: number, offsets: number[]) =>
  openBuild.pattern.panels.findIndex((panel, i) => {
    const xs = panel.outline.map((point) => point[0] + offsets[i])
    return x >= Math.min(...xs) - 4 && x <= Math.max(...xs) + 4
  })
const tenth = (mm: number) => Math.round(mm * 10) / 10
function draw(
  event: MouseEvent,
  sx: (x: number) => number,
  sz: (z: number) => number,
  scale: number,
  offsets: number[],
) {
  const box = (event.currentTarget as SVGElement).ownerSVGElement!.getBoundingClientRect()
  const x = (event.clientX - box.left - sx(0)) / scale
  const z = (sz(0) - (event.clientY - box.top)) / scale
  const i = panelAt(x, offsets)
  if (i < 0) return
  const panel = openBuild.pattern.panels[i].number
  drawn.value = [...drawn.value!, { panel, x_mm: tenth(x - offsets[i]), z_mm: tenth(z) }]
}
const placed = (spot: Spot, sx: (x: number) => number, sz: (z: number) => number, at: number[]): Point => {
  const i = openBuild.pattern.panels.findIndex((panel) => panel.number === spot.panel)
  return [sx(spot.x_mm + (at[i] ?? 0)), sz(spot.z_mm)]
}

const step = (by: number) => {
  const keys = rows.value.map((row) => row.key)
  const at = keys.indexOf(picked.value)
  picked.value = keys[Math.min(Math.max(at + by, 0), keys.length - 1)] ?? ''
}
useKeys([
  { keys: ', and .', does: 'the next trim, or the one before', on: ['.'], run: () => step(1) },
  { keys: ',', does: 'the trim before', on: [','], run: () => step(-1) },
  { keys: 'n', does: 'put something along a line', on: ['n'], run: () => begin('along') },
])
</script>

<template>
  <MeasureFirst v-if="!plan.pattern" />
  <div v-else class="page with-slip">
    <WorkSurface
      v-model:on="on"
      v-model:half="half"
      :plan="plan"
      :layers="['Trims', 'Bones', 'Holes', 'Opening']"
      :picked="picked"
      @pick="pick"
    >
      <template #inside="{ sx, sz, scale, offsets: laid }">
        <g v-if="drawn" class="drawing">
          <rect x="0" y="0" width="100%" height="100%" @click="(event) => draw(event, sx, sz, scale, laid)" />
          <path :d="path(drawn.map((spot) => placed(spot, sx, sz, laid)))" />
          <circle
            v-for="(spot, i) in drawn"
            :key="i"
            :cx="placed(spot, sx, sz, laid)[0]"
            :cy="placed(spot, sx, sz, laid)[1]"
            r="4"
          />
        </g>
      </template>
      <template v-if="trims?.hanging?.some((one) => !one.fault) || trims?.load" #foot
        ><WhatHangs @strap="begin('straps')"
      /></template>
    </WorkSurface>
    <TheSlip :title="title" :under="under">
      <FindingsList :stages="['trims']" />
      <ul v-if="rows.length" class="rows" aria-label="What is on it">
        <li v-for="row in rows" :key="row.key" :class="{ picked: picked === row.key, faulty: row.fault }">
          <button type="button" :aria-expanded="picked === row.key" :data-trim-row="row.name" @click="pick(row.key)">
            <b>{{ row.name }}</b>
            <span class="in">{{ row.fault ? 'look again' : row.text }}</span>
            <span class="in soft">{{ row.minutes ? duration(row.minutes) : '' }}</span>
          </button>
          <div v-if="picked === row.key && editing !== row.key" class="box">
            <template v-if="along?.laid">
              <p class="small in">
                {{ mm(along.laid.length_mm) }} on {{ along.laid.halves === 2 ? 'each half' : 'one half'
                }}<template v-if="along.laid.loops">, on {{ along.laid.loops }} loops</template>
              </p>
              <ul v-if="along.laid.stops?.length" class="offers" aria-label="Where it may stop">
                <li v-for="stop in along.laid.stops" :key="stop.how">
                  {{ STOPS[stop.how] }}{{ stop.seam ? ` ${stop.seam}` : ''
                  }}<template v-if="stop.how === 'wider'"
                    >: every {{ hardware(stop.pitch_mm!, settings.unit) }}</template
                  ><template v-else>, after {{ mm(stop.at_mm) }} on each half</template
                  >{{ stop.count ? `, ${stop.count} pieces` : stop.uses_mm ? `, ${mm(stop.uses_mm)} of it` : '' }}
                  <v-btn size="small" variant="outlined" @click="take(stop)">Do that</v-btn>
                </li>
              </ul>
            </template>
            <p v-if="area?.laid?.fits?.length" class="small">
              A motif has room on {{ area.laid.fits.length === 1 ? 'panel' : 'panels' }}
              {{ area.laid.fits.join(', ') }}.
            </p>
            <template v-if="strap?.laid">
              <p class="small in">
                Cut {{ mm(strap.laid.cut_mm) }}. Its ends lean {{ Math.round(Math.abs(strap.laid.front_deg)) }}° in
                front, {{ Math.round(Math.abs(strap.laid.back_deg)) }}° behind. The arm goes up to
                {{ Math.round(strap.laid.arm_deg) }}° before it pulls.
              </p>
            </template>
            <p v-if="chain" class="small in">It sags by {{ mm(chain.sag_mm) }}.</p>
            <div class="acts row">
              <v-btn size="small" variant="outlined" @click="editing = row.key">Change it</v-btn>
              <v-btn size="small" variant="text" @click="takeOff(row.key)">Take it off</v-btn>
            </div>
          </div>
          <TrimForm
            v-if="editing === row.key"
            :key="row.key"
            :group="row.group"
            :trim="trimOf(row)"
            :at="row.at"
            :drawing="!!drawn"
            :spots="drawn ?? []"
            @kept="kept"
            @leave="leave"
            @draw="(spots) => (drawn = spots)"
          />
        </li>
      </ul>
      <p v-else-if="!adding" class="soft">Beads, lace, embroidery, flossing, frills, skirts, straps, chains.</p>
      <template v-if="adding">
        <h2>Put on {{ GROUPS.find((one) => one.group === adding)!.add }}</h2>
        <TrimForm
          :key="adding"
          :group="adding"
          :at="openBuild.build.trims[adding].length"
          :drawing="!!drawn"
          :spots="drawn ?? []"
          @kept="kept"
          @leave="leave"
          @draw="(spots) => (drawn = spots)"
        />
      </template>
      <div v-else class="more">
        <v-btn v-for="group in GROUPS" :key="group.group" size="small" variant="text" @click="begin(group.group)"
          >+ {{ group.add }}</v-btn
        >
      </div>
      <FromPicture @made="kept" />
      <RoomForMotif />
    </TheSlip>
  </div>
</template>

<style scoped>
h2 {
  margin: 14px 0 4px;
}
.rows {
  list-style: none;
  padding: 0;
  margin: 4px 0 8px;
}
.rows > li {
  border-bottom: 1px solid var(--line);
}
.rows > li > button {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto 62px;
  gap: 10px;
  width: 100%;
  min-height: 34px;
  padding: 4px 2px;
  font: inherit;
  color: inherit;
  text-align: left;
  align-items: center;
}
.rows > li > button :last-child {
  text-align: right;
}
.rows > li > button:hover {
  background: var(--bench);
}
.rows > .picked > button {
  background: var(--marked);
}
.faulty > button .in {
  color: var(--caution);
}
.box {
  padding: 2px 0 10px 8px;
}
.box p {
  margin: 4px 0;
}
.offers .v-btn {
  margin-left: 6px;
}
.more {
  display: flex;
  flex-wrap: wrap;
  margin: 2px -8px 10px;
}
.page :deep(.bone),
.page :deep([data-half] .hole) {
  opacity: 0.4;
}
.drawing rect {
  fill: transparent;
  cursor: crosshair;
}
.drawing path {
  fill: none;
  stroke: var(--letout);
  stroke-width: 2;
  pointer-events: none;
}
.drawing circle {
  fill: var(--letout);
  pointer-events: none;
}
</style>
