<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import type { EditedPattern, PatternEdit, LevelName } from '../../api/types'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'
import EditHandles from '../../surface/EditHandles.vue'
import PanelTable from '../../parts/PanelTable.vue'
import TensionStrip from '../../surface/TensionStrip.vue'
import TheSlip from '../../parts/TheSlip.vue'
import WorkSurface from '../../surface/WorkSurface.vue'
import { LEVEL_LABELS } from '../../parts/words'
import MeasureFirst from '../../parts/MeasureFirst.vue'
import AimSlip from './AimSlip.vue'
import { lineHandles, placeBy, reach, seamHandles } from './handles'
import LevelSlip from './LevelSlip.vue'
import EdgeSlip from './EdgeSlip.vue'
import LineSlip from './LineSlip.vue'
import PanelSlip from './PanelSlip.vue'
import PieceSlip from './PieceSlip.vue'
import RefitFrom from './RefitFrom.vue'
import SeamSlip from './SeamSlip.vue'
import TraceDrawing from './TraceDrawing.vue'
import TypedWidths from './TypedWidths.vue'
import { usePatternCommands } from '../../commands/pattern'

const openBuild = useOpenBuild()
const commands = usePatternCommands()
const settings = useSettings()
const starting = ref<'typed' | 'traced' | 'refit'>()
const opened = (what: 'typed' | 'traced' | 'refit') =>
  computed({ get: () => starting.value === what, set: (open: boolean) => (starting.value = open ? what : undefined) })
const [typing, tracing, refitting] = [opened('typed'), opened('traced'), opened('refit')]
const on = ref(['Edit', 'Tension', 'Next version'])
const plan = computed(() => openBuild.plan)
const build = computed(() => openBuild.build)
const version = computed(() => plan.value.pattern?.version)
const current = computed(() => build.value.versions.at(-1))
const layers = computed(() => [
  'Edit',
  ...(openBuild.kind.tied ? [] : ['Tension']),
  'Pressure',
  ...(plan.value.proposal ? ['Next version'] : []),
])
watch(on, (now, before) => {
  // both stand in the same place beside the rail
  if (now.includes('Tension') && now.includes('Pressure'))
    on.value = now.filter((layer) => layer !== (before.includes('Pressure') ? 'Pressure' : 'Tension'))
})

const picked = ref<string>()
const side = ref<'both' | 'right' | 'left'>('both')
const how = ref<'girth' | 'shift'>('girth')
const here = ref<string>()
const preview = shallowRef<EditedPattern>() // hundreds of points: replaced as a whole
const parted = computed(() => !!plan.value.pattern?.left_panels)
const leftShown = computed(() => side.value === 'left' && parted.value)
const drawn = computed(() => {
  const { panels, top, hem, left_panels, left_top, left_hem } = openBuild.pattern
  const left = leftShown.value && left_panels && left_top && left_hem
  return left ? { panels: left_panels, top: left_top, hem: left_hem } : { panels, top, hem }
})
const panels = computed(() => {
  if (!preview.value) return drawn.value.panels
  return (leftShown.value && preview.value.left_panels) || preview.value.panels
})
const caption = computed(() => {
  if (!parted.value) return undefined
  return side.value === 'both' ? 'left · CF · right' : `${side.value} half, CF → CB`
})
watch(
  () => openBuild.latest?.revision,
  () => (preview.value = undefined),
)
watch(
  () => plan.value.pattern?.panels.length,
  () => (picked.value = undefined),
)
watch(parted, (now) => !now && (side.value = 'both'))
watch(picked, () => openBuild.forget('edit'))

const handles = (offsets: number[]) => {
  if (!on.value.includes('Edit')) return []
  const seam = /^seam (\d+)$/.exec(picked.value ?? '')
  return [
    ...lineHandles(plan.value, panels.value, offsets, 'top', drawn.value.top, settings.unit),
    ...lineHandles(plan.value, panels.value, offsets, 'hem', drawn.value.hem, settings.unit),
    ...(seam ? seamHandles(plan.value, panels.value, offsets, Number(seam[1])) : []),
  ]
}

/** The edit that a handle's move stands for. Heights count from where the handle was when it was taken. */
function editOf(id: string, dx: number, dz: number): PatternEdit | undefined {
  const [what, ...rest] = id.split(' ')
  const base = drawn.value.panels
  if (what === 'seam') {
    const [seam, z] = rest.map(Number)
    return {
      kind: 'seam',
      seam,
      at_mm: z,
      amount_mm: dx,
      how: how.value,
      side: side.value,
      ...reach(base[seam - 1], z),
    }
  }
  const end = what as 'top' | 'hem'
  const place = Number(rest[0])
  const from = lineHandles(
    plan.value,
    base,
    base.map(() => 0),
    end,
    end === 'top' ? drawn.value.top : drawn.value.hem,
    settings.unit,
  ).find((handle) => handle.id === id)
  if (!from) return undefined
  const to = dx ? { to_place: placeBy(plan.value, base, end, place, dx) } : {}
  return { kind: 'point', end, place, z_mm: Math.round((from.z + dz) * 100) / 100, side: side.value, ...to }
}
let asking = false
let keeping = false
let wanted: [string, number, number] | undefined
async function onMove(id: string, dx: number, dz: number) {
  wanted = [id, dx, dz]
  if (asking) return
  asking = true
  while (wanted) {
    const edit = editOf(...wanted)
    wanted = undefined
    if (!edit) continue
    const on = openBuild.here.revision
    const found = await commands.preview([edit]).catch(() => undefined)
    if (found && !keeping && openBuild.here.revision === on) preview.value = found
  }
  asking = false
}
async function onDone(id: string, dx: number, dz: number) {
  wanted = undefined
  const edit = editOf(id, dx, dz)
  picked.value = id.startsWith('seam') ? `seam ${id.split(' ')[1]}` : id.split(' ')[0]
  if (!edit) return
  keeping = true
  if (!(await commands.edit([edit]))) preview.value = undefined
  keeping = false
}
const make = (edit: PatternEdit) =>
  commands.edit([
    ['width', 'seam', 'point', 'drop_point', 'trim'].includes(edit.kind)
      ? ({ ...edit, side: side.value } as PatternEdit)
      : edit,
  ])
const focus = (id: string) => {
  if (!id.startsWith('seam')) picked.value = id.split(' ')[0]
}
const part = (differ: boolean) => make({ kind: 'halves', differ })

const title = computed(() => {
  if (picked.value === 'CB' || picked.value === 'CF')
    return `${picked.value}, ${picked.value === 'CB' ? 'the back' : 'the front'} edge`
  const found = /^(seam|panel) (\d+)$/.exec(picked.value ?? '')
  if (found) return found[1] === 'seam' ? `Seam ${found[2]}·${Number(found[2]) + 1}` : `Panel ${found[2]}`
  if (picked.value?.startsWith('level')) return LEVEL_LABELS[picked.value.slice(6) as LevelName]
  if (picked.value === 'top') return 'Top line'
  if (picked.value === 'hem') return 'Hem'
  return picked.value ?? `What the ${openBuild.kind.name} does`
})
const number = computed(() => Number(/(\d+)$/.exec(picked.value ?? '')?.[1] ?? 0))
const under = computed(() => {
  if (!version.value) return 'A draft: it moves with the measures until version 1 is cut'
  const last = current.value?.changes.at(-1)
  return current.value?.cut
    ? `Version ${version.value}, ${current.value.reason}`
    : `Version ${version.value}, still drawn on${last ? `, ${last}` : ''}`
})
</script>

<template>
  <MeasureFirst v-if="!plan.pattern" />
  <div v-else class="page with-slip">
    <WorkSurface
      v-model:on="on"
      :plan="plan"
      :layers="layers"
      :shown="panels"
      :beside="parted && side === 'both' && !preview ? plan.pattern.left_panels! : undefined"
      pick-levels
      :picked="picked"
      :caption="caption"
      :next="plan.proposal && !plan.proposal.redraft && !preview && !picked ? plan.proposal.panels : undefined"
      @pick="picked = picked === $event ? undefined : $event"
      @level="here = $event"
    >
      <template #inside="{ sx, sz, scale, offsets, rail }">
        <TensionStrip v-if="on.includes('Tension') && !openBuild.kind.tied" :plan="plan" :sz="sz" :rail="rail" />
        <EditHandles
          :handles="handles(offsets)"
          :sx="sx"
          :sz="sz"
          :scale="scale"
          @move="onMove"
          @done="onDone"
          @focus="focus"
        />
      </template>
      <template #foot><PanelTable :plan="plan" :panels="panels" :sewn="preview?.sewn_mm" :here="here" /></template>
    </WorkSurface>
    <TheSlip :title="title" :under="picked ? undefined : under">
      <div v-if="picked || parted" class="halves">
        <span id="edit-side" class="label">Edit</span>
        <v-btn-toggle v-model="side" aria-labelledby="edit-side">
          <v-btn value="both" size="small">both halves</v-btn><v-btn value="right" size="small">right</v-btn
          ><v-btn value="left" size="small">left</v-btn>
        </v-btn-toggle>
        <v-btn v-if="parted" size="small" variant="text" @click="part(false)">Same again</v-btn>
      </div>
      <SeamSlip v-if="picked?.startsWith('seam')" v-model:how="how" :seam="number" :panels="panels" @edit="make" />
      <PanelSlip v-else-if="picked?.startsWith('panel')" :panel="number" :panels="panels" @edit="make" />
      <LevelSlip
        v-else-if="picked?.startsWith('level')"
        :level="picked.slice(6) as LevelName"
        :panels="panels"
        @edit="make"
      />
      <LineSlip
        v-else-if="picked === 'top' || picked === 'hem'"
        :end="picked"
        :line="picked === 'top' ? drawn.top : drawn.hem"
        :panels="panels"
        @edit="make"
      />
      <EdgeSlip v-else-if="picked === 'CB' || picked === 'CF'" :edge="picked" @edit="make" />
      <PieceSlip v-else-if="picked" :name="picked" @edit="make" />
      <AimSlip v-else @start="starting = $event" />
      <template #acts>
        <v-btn v-if="picked" variant="outlined" class="go" @click="picked = undefined">Done</v-btn>
        <v-btn v-if="!version" color="primary" class="go" @click="commands.version('cut')"
          >Cut version 1 for a mock-up</v-btn
        >
        <v-btn v-else-if="!current?.cut" color="primary" class="go" @click="commands.version('fix')"
          >Cut version {{ version }} for a mock-up</v-btn
        >
        <v-btn v-else-if="plan.proposal" color="primary" class="go" :to="{ name: 'mockups' }"
          >See what changes for version {{ version + 1 }}</v-btn
        >
        <v-btn v-else color="primary" class="go" :to="{ name: 'mockups' }">To the mock-ups</v-btn>
      </template>
    </TheSlip>
    <TypedWidths v-model="typing" />
    <TraceDrawing v-model="tracing" />
    <RefitFrom v-model="refitting" />
  </div>
</template>

<style scoped>
.halves {
  display: flex;
  gap: 8px;
  align-items: center;
  flex-wrap: wrap;
  margin: 8px 0 4px;
}
.label {
  color: var(--steel);
  font-size: 0.9rem;
}
.go {
  width: 100%;
}
</style>
