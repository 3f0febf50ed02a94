<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Bone, Point } from '../../api/types'
import { useKeys } from '../../parts/keys'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'
import type { Handle } from '../../surface/EditHandles.vue'
import EditHandles from '../../surface/EditHandles.vue'
import FindingsList from '../../parts/FindingsList.vue'
import MovedNumber from '../../parts/MovedNumber.vue'
import PickedThing from '../../parts/PickedThing.vue'
import TheSlip from '../../parts/TheSlip.vue'
import WorkSurface from '../../surface/WorkSurface.vue'
import { edgeAt, path } from '../../surface/flat'
import { hardware, length } from '../../parts/words'
import MeasureFirst from '../../parts/MeasureFirst.vue'
import CatalogueSlip from './CatalogueSlip.vue'
import { channels } from './channels'
import ChannelSlip from './ChannelSlip.vue'
import CuttingSlip from './CuttingSlip.vue'
import SchoolTable from './SchoolTable.vue'
import NamedSelect from '../../parts/NamedSelect.vue'
import { useMaterials } from '../../stores/materials'

const openBuild = useOpenBuild()
const materials = useMaterials()
const settings = useSettings()
const edit = channels()
const plan = computed(() => openBuild.plan)
const on = ref(['Bones', 'Opening', 'Unboned'])
const tab = ref('bones')
const picked = ref('')
// the right half is worked on, or the left one where it differs
const half = ref<'right' | 'left' | 'both'>('right')
const left = computed(() => plan.value.left)
const onLeft = computed(() => half.value === 'left' && !!left.value)
const bones = computed(() => (onLeft.value ? (left.value?.bones ?? []) : plan.value.bones))
const panels = computed(() => (onLeft.value && openBuild.pattern.left_panels) || openBuild.pattern.panels)
const tables = computed(() => {
  const of = (which: 'right' | 'left') =>
    which === 'left'
      ? { name: 'Left', bones: left.value?.bones ?? [], ties: left.value?.mock_up_bones_mm }
      : { name: left.value ? 'Right' : 'Channel', bones: plan.value.bones, ties: plan.value.mock_up_bones_mm }
  if (!left.value) return [of('right')]
  return half.value === 'both' ? [of('left'), of('right')] : [of(half.value)]
})
watch(half, () => (picked.value = ''))
const chosen = computed(() => bones.value.find((bone) => bone.channel === picked.value))
const panel = computed(() => Number(/^panel (\d)/.exec(picked.value)?.[1] ?? 0))
const here = computed(() => panel.value || chosen.value?.panel || 0)
const choices = computed(() => openBuild.build.bones)
const boning = computed(() => plan.value.boning)
const before = computed(() => plan.value.before)
const changed = computed(() =>
  bones.value.filter((bone) => ![undefined, bone.length_mm].includes(before.value?.bones_mm[bone.channel])),
)
const wasLong = (bone: Bone) => {
  const mm = before.value?.bones_mm[bone.channel]
  return mm === undefined ? '' : bare(mm)
}
const WHERE = [
  ['lacing_edge', 'At the lacing edge'],
  ['beside_busk', 'Beside the opening'],
  ['sides', 'At the side seam'],
  ['seams', 'On the other seams'],
  ['every_second', 'On every second of them'],
  ['between_seams', 'Between the seams'],
  ['curved', 'Where those can’t follow'],
] as const
const MADE = [
  { title: 'between the plies', value: 'between plies' },
  { title: 'in the seam allowances', value: 'in the allowances' },
  { title: 'under tape inside', value: 'inside tape' },
  { title: 'under tape outside', value: 'outside tape' },
]
const bare = (value: number) => length(value, settings.unit, { hardware: true, bare: true })
const mm = (value: number) => hardware(value, settings.unit)
const base = computed(() => `/api/builds/${openBuild.latest?.id}`)

// what of a channel can be moved: one between seams sideways, a shaped one by its points
const shift = ref<{ dx: number; dz: number; id: string }>()
const handles = computed<Handle[]>(() => {
  const bone = chosen.value
  const one = bone && edit.find(bone.channel)
  if (!bone || !one) return []
  const offset = (flat.value?.offsets ?? [])[bone.panel - 1] ?? 0
  const laid = panels.value[bone.panel - 1]
  if ('points' in one)
    return one.points.map((spot, i) => {
      const [left, right] = [edgeAt(laid.cf_edge, spot.z_mm), edgeAt(laid.cb_edge, spot.z_mm)]
      return {
        id: `${bone.channel} ${i}`,
        x: offset + left + spot.across * (right - left),
        z: spot.z_mm,
        axis: 'xz',
        look: 'point',
        label: `Point ${i + 1} of channel ${bone.channel}`,
        value: `${mm(spot.z_mm)}, ${Math.round(spot.across * 100)} % across`,
      }
    })
  return [
    {
      id: `${bone.channel} line`,
      x: offset + edgeAt(bone.path, 0),
      z: 0,
      axis: 'x',
      look: 'seam',
      label: `Channel ${bone.channel}`,
      value: `${Math.round(one.across * 100)} % across panel ${bone.panel}`,
    },
  ]
})
const surface = ref<{ flat: { offsets: number[] } }>()
const flat = computed(() => surface.value?.flat)
const held = computed(() =>
  handles.value.map((handle) =>
    shift.value?.id === handle.id ? { ...handle, x: handle.x + shift.value.dx, z: handle.z + shift.value.dz } : handle,
  ),
)
function ghost(bone: Bone, sx: (x: number) => number, sz: (z: number) => number) {
  const offset = (flat.value?.offsets ?? [])[bone.panel - 1] ?? 0
  if (handles.value.length > 1) return path(held.value.map((handle): Point => [sx(handle.x), sz(handle.z)]))
  return path((bone.path as Point[]).map(([x, z]): Point => [sx(x + offset + (shift.value?.dx ?? 0)), sz(z)]))
}
function done(id: string, dx: number, dz: number) {
  shift.value = undefined
  const at = id.lastIndexOf(' ')
  const [channel, which] = [id.slice(0, at), id.slice(at + 1)]
  const bone = bones.value.find((bone) => bone.channel === channel)
  if (!bone) return
  const laid = panels.value[bone.panel - 1]
  const z = handles.value.find((handle) => handle.id === id)?.z ?? 0
  const width = edgeAt(laid.cb_edge, z) - edgeAt(laid.cf_edge, z)
  edit.move(channel, dx / width, dz, which === 'line' ? undefined : Number(which))
}
async function add(how: 'add' | 'draw') {
  picked.value = (await edit[how](here.value)) || picked.value
}
function along(by: number) {
  const i = bones.value.findIndex((bone) => bone.channel === picked.value)
  picked.value = bones.value[(i + by + bones.value.length) % bones.value.length]?.channel ?? ''
}
function leaveOut() {
  void edit.remove(picked.value)
  picked.value = ''
}
const onPanel = { when: () => !!here.value }
useKeys([
  { keys: 'n', does: 'the next channel', on: ['n'], run: () => along(1) },
  { keys: 'N', does: 'the channel before', on: ['N'], run: () => along(-1) },
  { keys: 'a', does: 'add a channel beside the picked one', on: ['a'], run: () => void add('add'), ...onPanel },
  { keys: 'd', does: 'draw a channel', on: ['d'], run: () => void add('draw'), ...onPanel },
  {
    keys: 'Del',
    does: 'leave the picked channel out',
    on: ['Delete', 'Backspace'],
    run: leaveOut,
    when: () => !!chosen.value && !!edit.find(picked.value),
  },
  { keys: 'Esc', does: 'pick none', on: ['Escape'], run: () => (picked.value = ''), when: () => !!picked.value },
])
</script>

<template>
  <MeasureFirst v-if="!plan.pattern" />
  <div v-else class="page with-slip">
    <WorkSurface
      ref="surface"
      v-model:on="on"
      v-model:half="half"
      :plan="plan"
      :layers="['Bones', 'Opening', 'Holes', 'Waist tape', 'Unboned']"
      :picked="picked"
      @pick="picked = $event"
    >
      <template #inside="{ sx, sz, scale }">
        <path v-if="chosen && shift" :d="ghost(chosen, sx, sz)" class="ghost" />
        <EditHandles
          v-if="held.length"
          :handles="held"
          :sx="sx"
          :sz="sz"
          :scale="scale"
          @move="(id, dx, dz) => (shift = { id, dx, dz })"
          @done="done"
          @focus="() => undefined"
        />
      </template>
      <template #foot>
        <table
          v-for="table in tables"
          :key="table.name"
          class="numbers bones"
          :aria-label="table.name === 'Channel' ? 'Bones by channel' : `Bones of the ${table.name.toLowerCase()} half`"
        >
          <thead>
            <tr>
              <th>{{ table.name }}</th>
              <th v-for="bone in table.bones" :key="bone.channel" class="n">
                <button type="button" :class="{ on: picked === bone.channel }" @click="picked = bone.channel">
                  {{ bone.channel }}
                </button>
              </th>
            </tr>
          </thead>
          <tbody>
            <tr>
              <td>cut the bone, {{ settings.smallUnit }}</td>
              <td v-for="bone in table.bones" :key="bone.channel" class="n" :data-bone="bone.channel">
                <b><MovedNumber :text="(bone.count > 1 ? '2 × ' : '') + bare(bone.length_mm)" /></b>
              </td>
            </tr>
            <tr v-if="changed.length">
              <td>in version {{ before?.version }}</td>
              <td
                v-for="bone in table.bones"
                :key="bone.channel"
                class="n in"
                :class="{ differs: changed.includes(bone) }"
              >
                {{ wasLong(bone) }}
              </td>
            </tr>
            <tr>
              <td>path, line to line</td>
              <td v-for="bone in table.bones" :key="bone.channel" class="n in">{{ bare(bone.path_mm) }}</td>
            </tr>
            <tr>
              <td>channel width</td>
              <td v-for="bone in table.bones" :key="bone.channel" class="n in">{{ bare(bone.channel_width_mm) }}</td>
            </tr>
            <tr>
              <td>tightest radius, {{ settings.unit }}</td>
              <td v-for="bone in table.bones" :key="bone.channel" class="n in">
                {{ bone.radius_mm ? length(bone.radius_mm, settings.unit, { bare: true }) : '–' }}
              </td>
            </tr>
            <tr>
              <td>kind</td>
              <td v-for="bone in table.bones" :key="bone.channel" class="n kind">
                {{ bone.kind_label.replace(/ \d.*/, '').replace(' steel', '') }}
              </td>
            </tr>
            <tr>
              <td>mock-up, tie</td>
              <td v-for="bone in table.bones" :key="bone.channel" class="n in soft">
                {{ bare(table.ties?.[bone.channel] ?? 0) }}
              </td>
            </tr>
          </tbody>
        </table>
      </template>
    </WorkSurface>
    <TheSlip :title="`${boning?.count ?? 0} bones, ${left ? 'the halves differ' : 'both halves the same'}`">
      <v-btn-toggle v-model="tab" mandatory class="tabs" aria-label="Show"
        ><v-btn value="bones">Bones</v-btn><v-btn value="cut">Cutting</v-btn
        ><v-btn value="kinds">Catalogue</v-btn></v-btn-toggle
      >
      <CuttingSlip v-if="tab === 'cut'" />
      <CatalogueSlip v-else-if="tab === 'kinds'" />
      <template v-else>
        <ChannelSlip v-if="chosen" :bone="chosen" @gone="picked = ''" />
        <section v-else-if="panel" class="panelbox" :aria-label="`Panel ${panel}`">
          <h2>Panel {{ panel }}</h2>
          <div class="acts">
            <v-btn size="small" variant="outlined" @click="add('add')">A channel between</v-btn
            ><v-btn size="small" variant="outlined" @click="add('draw')">One drawn through points</v-btn>
          </div>
        </section>
        <PickedThing v-else :picked="picked" :bones="bones" />
        <FindingsList :stages="['bones']" />
        <h2>Schools</h2>
        <SchoolTable />
        <h2>Which kind where</h2>
        <div class="choices">
          <NamedSelect
            v-for="[key, label] in WHERE"
            :key="key"
            :label="label"
            :items="materials.bones"
            :model-value="choices[key] ?? null"
            :placeholder="key === 'curved' ? 'none: say so' : 'as on the seams'"
            persistent-placeholder
            :clearable="['sides', 'every_second', 'between_seams', 'curved'].includes(key)"
            @update:model-value="(value: string | null) => openBuild.set(`bones.${key}`, value ?? null)"
          />
          <v-select
            label="Channels are made"
            :items="MADE"
            :model-value="choices.made"
            @update:model-value="(value: string) => openBuild.set('bones.made', value)"
          />
          <v-select
            label="Ends of cut steel"
            :items="[
              { title: 'tipped', value: 'tips' },
              { title: 'dipped, coat by coat', value: 'dip' },
            ]"
            :model-value="choices.ends"
            @update:model-value="(value: string) => openBuild.set('bones.ends', value)"
          />
          <v-checkbox
            v-if="plan.pattern.gussets.length"
            :model-value="choices.over_gussets"
            label="Bones over the gussets too"
            hide-details
            density="compact"
            @update:model-value="(value: boolean | null) => openBuild.set('bones.over_gussets', !!value)"
          />
          <v-btn v-if="choices.between" size="small" variant="text" @click="openBuild.set('bones.between', null)"
            >Channels between seams as usual again</v-btn
          >
        </div>
        <h2>What they do</h2>
        <p v-if="plan.gap_shape && plan.final && plan.lace" class="say">
          The gap settles <b>{{ plan.gap_shape.shape }}</b>: tilt
          <MovedNumber :text="mm(Math.abs(plan.gap_shape.tilt_mm))" />, bow
          <MovedNumber :text="mm(Math.abs(plan.gap_shape.bow_mm))" />. Stiffness of one edge
          {{ plan.final.edge_n_m2.toFixed(1) }} N·m².
        </p>
        <p v-if="boning" class="soft">
          {{ Math.round(boning.grams) }} g in all; {{ Math.round(boning.minutes) }} minutes to cut, close and
          label<template v-if="boning.coats">; {{ boning.coats }} coats of dip, each overnight</template>.
          <template v-if="boning.takes_a_set.length"
            >Her profile bends them to {{ length(boning.flat_radius_mm, settings.unit) }} at
            {{ length(boning.flat_z_mm, settings.unit) }}, and
            {{ boning.takes_a_set.map((one) => one.replace(/ \d.*/, '')).join(', ') }} will keep that shape.</template
          >
        </p>
        <template v-if="plan.cup_boning">
          <h2>Cups</h2>
          <p>
            Wire <b class="in">{{ mm(plan.cup_boning.wire_mm) }}</b>, {{ mm(plan.cup_boning.wire_across_mm) }} across;
            casing <b class="in">{{ mm(plan.cup_boning.casing_mm) }}</b>; woven boning on each seam
            <b class="in">{{ mm(plan.cup_boning.seam_mm) }}</b>.
          </p>
          <p class="soft">{{ plan.cup_boning.sentence }}</p>
        </template>
        <h2>At 1:1</h2>
        <div class="acts">
          <v-btn size="small" variant="outlined" :href="`${base}/bones.pdf?paper=${settings.house.paper}`" download
            >Strip of bones</v-btn
          ><v-btn
            size="small"
            variant="text"
            :href="`${base}/bones.pdf?paper=${settings.house.paper}&mock_up=true`"
            download
            >for the mock-up</v-btn
          >
        </div>
        <p class="caution">
          Wear eye protection when cutting steel; file and cap every cut end. Glue on tips and dip coats cure overnight.
        </p>
      </template>
    </TheSlip>
  </div>
</template>

<style scoped>
.tabs {
  width: 100%;
  margin: 6px 0 2px;
}
.tabs :deep(.v-btn) {
  flex: 1;
}
.choices {
  display: grid;
  gap: 10px;
  margin: 8px 0;
}
h2 {
  margin: 14px 0 2px;
}
p {
  margin: 2px 0;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin: 6px 0;
}
.panelbox {
  background: var(--bench);
  padding: 6px 12px 8px;
  border-radius: 4px;
  margin: 8px 0;
}
.panelbox h2 {
  margin: 0;
}
.bones td:first-child {
  white-space: nowrap;
}
.bones td,
.bones th {
  padding-inline: 5px;
}
.bones th.n {
  max-width: 52px;
  white-space: normal;
}
.bones button {
  font: inherit;
  color: inherit;
  text-decoration: underline dotted;
  line-height: 1.05;
  text-align: right;
}
.bones button.on {
  font-weight: 700;
  color: var(--letout);
}
.kind {
  font-size: 0.82rem;
  color: var(--steel);
}
.differs {
  background: var(--marked);
}
.ghost {
  fill: none;
  stroke: var(--letout);
  stroke-width: 3;
  stroke-dasharray: 5 3;
  pointer-events: none;
}
.caution {
  border-left: 4px solid var(--caution);
  padding-left: 10px;
  margin-top: 14px;
}
</style>
