<script setup lang="ts">
import { computed, nextTick, ref, shallowRef, useTemplateRef, watch } from 'vue'
import type { Fitting, LaidPanel, LevelName } from '../../api/types'
import { useOpenBuild } from '../../stores/openBuild'
import { drafts } from '../../stores/drafts'
import { useSettings } from '../../stores/settings'
import FindingsList from '../../parts/FindingsList.vue'
import TheSlip from '../../parts/TheSlip.vue'
import WorkSurface from '../../surface/WorkSurface.vue'
import { hardware, length, LEVEL_LABELS, shortDay } from '../../parts/words'
import MeasureFirst from '../../parts/MeasureFirst.vue'
import ChangeTable from './ChangeTable.vue'
import FitTable from './FitTable.vue'
import GapBack from './GapBack.vue'
import LogFitting from './LogFitting.vue'
import MockUpPlan from './MockUpPlan.vue'
import ReadinessBox from './ReadinessBox.vue'
import LineOfHerOwn from './LineOfHerOwn.vue'
import RehearsalBox from './RehearsalBox.vue'
import StripTests from './StripTests.vue'
import StoryView from './StoryView.vue'
import VersionRow from './VersionRow.vue'
import VersionSlip from './VersionSlip.vue'
import NamedSelect from '../../parts/NamedSelect.vue'
import { usePatternCommands } from '../../commands/pattern'
import { useMaterials } from '../../stores/materials'

const openBuild = useOpenBuild()
const materials = useMaterials()
const pattern = usePatternCommands()
const settings = useSettings()
const plan = computed(() => openBuild.plan)
const build = computed(() => openBuild.build)
const logging = ref(false)
const correcting = ref<Fitting>()
const begun = ref<Partial<Fitting>>()
const telling = ref(false)
const anew = ref(0)
// what was half written down when the page was left is opened again
const half = drafts()
  .of(openBuild.here.id)
  .find((what) => /^fitting/.test(what))
if (half === 'fitting') logging.value = openBuild.build.versions.length > 0 || !!openBuild.plan.mock_up
else if (half) correcting.value = openBuild.build.fittings.find((fitting) => `fitting ${fitting.number}` === half)
const says = useTemplateRef<InstanceType<typeof TheSlip>>('says')
async function stop() {
  logging.value = false
  correcting.value = begun.value = undefined
  await nextTick()
  says.value?.focus() // what the fitting said is read on
}
const picked = ref<number | null>(null)
const behind = shallowRef<LaidPanel[]>([])
watch(picked, (number) => number === null && (behind.value = []))
watch(
  () => openBuild.build.versions.length,
  () => (picked.value = null),
)
const on = ref(['Next version'])
const version = computed(() => plan.value.pattern?.version ?? null)
const tied = computed(() => settings.catalogue.kinds.find((kind) => kind.name === build.value.kind)?.tied)
const tried = computed(() => build.value.fittings.filter((fitting) => fitting.version === version.value))
const last = computed(() => tried.value.at(-1))
const proposal = computed(() => plan.value.proposal)
const layers = computed(() => (proposal.value && !proposal.value.redraft ? ['Next version'] : []))
const { boneLabel: bone, clothLabel: cloth } = materials
const carries = computed(() => build.value.layers.plies.findIndex((ply) => ply.role === 'strength'))

const laced = computed(() => build.value.back.laced)
const title = computed(() => plan.value.headline ?? '')
const under = computed(() => {
  const fitting = last.value
  const made = fitting ? fitting.made_of : build.value.mock_up
  const pinned = !laced.value && fitting && fitting.made_of.closing !== 'laced'
  const edge = pinned ? 'pinned behind' : `${bone(made.edge_bone)} at the edge`
  const drawn = (pull: string) => (tied.value ? '' : `, ${pinned ? 'held' : 'pulled'} ${pull}`) // a collar is tied
  if (!fitting) return `${cloth(made.stack.strength)}, ${edge}${drawn(build.value.target.pull)}`
  const day = fitting.tried_on ? `, ${shortDay(fitting.tried_on)}` : ''
  const pulls = [...fitting.also.map((other) => other.pull), fitting.pull].join(' and ')
  return `Fitting ${fitting.number}, version ${fitting.version}${day}${drawn(pulls)}, ${edge}`
})
const taught = computed(() =>
  (plan.value.learned?.levels ?? [])
    .map((level) => ({ ...level, by: level.believed_mm - level.measured_mm }))
    .filter((level) => Math.abs(level.by) >= 2)
    .sort((a, b) => Math.abs(b.by) - Math.abs(a.by))
    .slice(0, 3),
)
// what is so of her and of the pull, beside the girths
const felt = computed(() => {
  const learned = plan.value.learned
  if (!learned) return []
  const said: string[] = []
  const named = (way: (share: number) => boolean) =>
    learned.levels
      .filter((level) => way(level.believed_give / Math.max(level.measured_give, 1e-6)))
      .map((level) => LEVEL_LABELS[level.name].toLowerCase())
      .join(' and ')
  const [firm, soft] = [named((share) => share < 0.85), named((share) => share > 1.18)]
  if (firm) said.push(`Firmer than usual at the ${firm}: it gives less at the same pull, and is not bigger for it.`)
  if (soft) said.push(`Softer than usual at the ${soft}: it gives more at the same pull.`)
  const pull = learned.pulls.find((pull) => pull.fitting === last.value?.number)
  if (pull) {
    const share = pull.believed_n_per_m / pull.said_n_per_m
    const by = `${Math.round(Math.abs(share - 1) * 100)} % ${share > 1 ? 'harder' : 'softer'}`
    if (Math.abs(share - 1) > 0.07) said.push(`Pulled some ${by} than “${last.value?.pull}” usually is.`)
  }
  for (const cloth of learned.cloths) {
    const usual = cloth.usual_share * 100
    const now = cloth.believed_share * 100
    if (Math.abs(now - usual) < 0.4) continue
    const label = cloth.label
    said.push(`This ${label} stretches by some ${now.toFixed(1)} % when it is worn; ${usual.toFixed(1)} % is usual.`)
  }
  const comfort = learned.comfort_share
  if (Math.abs(comfort - 1) > 0.12)
    said.push(`It begins to dig ${comfort < 1 ? 'sooner' : 'later'} on her than on others.`)
  const rides = learned.ride_mm
  const way = rides > 0 ? 'higher' : 'lower'
  if (Math.abs(rides) >= 2)
    said.push(`It sits about ${hardware(Math.abs(rides), settings.unit)} ${way} on her than planned.`)
  return said
})
const sure = computed(() => plan.value.verdict?.word === 'cut the cloth')
const bare = (mm: number) =>
  settings.unit === 'in' ? length(mm, 'in', { hardware: true, bare: true }) : Math.round(mm).toString()
const expected = computed(() => {
  const next = proposal.value?.next_mock_up
  if (!next) return undefined
  const at = [
    next.z_mm.length - 1,
    Math.max(
      0,
      next.z_mm.findIndex((z) => z >= 0),
    ),
    0,
  ]
  return at.map((i) => `${bare(next.gap_mm[i])} ± ${bare(next.gap_spread_mm[i])}`)
})
const ends = computed(() => {
  const r = last.value?.readings ?? []
  if (!r.length) return []
  const waist = r.reduce((best, one) => (Math.abs(one.z_mm) < Math.abs(best.z_mm) ? one : best), r[0])
  return [r[0], waist, r[r.length - 1]].map((one) => bare(one.gap_mm))
})
const finally_ = computed(() => {
  const fit = proposal.value!.final
  return [
    fit.z_mm.length - 1,
    Math.max(
      0,
      fit.z_mm.findIndex((z) => z >= 0),
    ),
    0,
  ].map((i) => bare(fit.gap_mm[i]))
})
const pressed = computed(() => {
  const [now, next] = [plan.value.mock_up, proposal.value?.next_mock_up]
  if (!now || !next) return undefined
  const ends = (z: number[]) => [
    z.length - 1,
    Math.max(
      0,
      z.findIndex((height) => height >= 0),
    ),
    0,
  ]
  return {
    last: ends(now.z_mm).map((i) => now.pressure_kpa[i].toFixed(1)),
    next: ends(next.z_mm).map(
      (i) => `${Math.max(0, next.pressure_kpa[i]).toFixed(1)} ± ${next.pressure_spread_kpa[i].toFixed(1)}`,
    ),
  }
})
</script>

<template>
  <MeasureFirst v-if="!plan.pattern || !plan.mock_up" />
  <LogFitting
    v-else-if="logging || correcting"
    :key="`${correcting?.number ?? 0}/${anew}`"
    :correct="correcting"
    :begun="begun"
    @afresh="anew++"
    @done="stop"
    @leave="stop"
  />
  <StoryView v-else-if="telling" @leave="telling = false" />
  <div v-else class="page with-slip">
    <WorkSurface
      v-model:on="on"
      :plan="plan"
      :layers="layers"
      :next="proposal && !proposal.redraft && !picked ? proposal.panels : undefined"
      :behind="behind"
    >
      <template #legend>
        <span class="key"><i class="solid" /> {{ version ? `Version ${version}` : 'Draft' }}</span>
        <template v-if="proposal && !proposal.redraft">
          <span class="key takein">▶◀ take in</span><span class="key letout">◀▶ let out, {{ settings.smallUnit }}</span>
        </template>
      </template>
      <template #foot>
        <div class="foot"><VersionRow v-if="version" v-model:picked="picked" /><FitTable :plan="plan" /></div>
      </template>
    </WorkSurface>
    <TheSlip v-if="picked" :title="`Version ${picked}`">
      <VersionSlip :number="picked" @compared="behind = $event" @leave="picked = null" @correct="correcting = $event" />
    </TheSlip>
    <TheSlip v-else ref="says" :title="title" :under="under">
      <GapBack
        v-if="laced"
        :readings="last?.readings ?? []"
        :expected="plan.mock_up"
        :next="proposal?.next_mock_up ?? proposal?.mock_up"
        :holes="plan.holes?.z_mm ?? []"
      />
      <p v-if="last" class="links">
        <button type="button" @click="correcting = last">Correct it</button
        ><button type="button" @click="telling = true">The story so far</button>
      </p>
      <ReadinessBox v-if="build.fittings.length" />
      <RehearsalBox
        v-if="build.rehearsal"
        @seen="
          (seen) => {
            begun = seen
            logging = true
          }
        "
      />
      <template v-if="!last">
        <p v-if="laced" class="say">
          Expect a gap of {{ hardware(plan.mock_up.shape.mean_mm, settings.unit) }}, {{ plan.mock_up.shape.shape }}.
        </p>
        <p v-else class="say">
          Expect the pins some {{ hardware(Math.abs(plan.mock_up.shape.mean_mm), settings.unit) }}
          {{ plan.mock_up.shape.mean_mm < 0 ? 'inside' : 'outside' }} the line of its seam{{
            plan.mock_up.shape.mean_mm < 0 ? ': this cloth gives, and has fewer layers' : ''
          }}.
        </p>
        <MockUpPlan v-if="plan.mock_up_plan" :plan="plan.mock_up_plan" />
        <p v-if="build.fittings.length" class="links">
          <button type="button" @click="telling = true">The story so far</button>
        </p>
      </template>
      <template v-if="proposal">
        <h2>
          Change <span class="soft small">{{ settings.smallUnit }} per panel edge</span>
        </h2>
        <p v-if="proposal.redraft" class="say">A new draft: {{ proposal.reason }}.</p>
        <ChangeTable v-else-if="proposal.lines.length" :proposal="proposal" />
        <p v-if="proposal.edges_change" class="say">The top line or hem moves too.</p>
        <table class="numbers small" aria-label="What comes of it">
          <thead>
            <tr>
              <td />
              <th class="n">top</th>
              <th class="n">{{ plan.pattern.zero }}</th>
              <th class="n">hem, {{ settings.smallUnit }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-if="last?.readings.length">
              <td>{{ laced ? (last.finished ? 'Gap read' : 'This mock-up') : 'Pinned' }}</td>
              <td v-for="(gap, i) in ends" :key="i" class="n in">{{ gap }}</td>
            </tr>
            <tr v-if="expected">
              <td>Next mock-up</td>
              <td v-for="(gap, i) in expected" :key="i" class="n in">
                <b>{{ gap }}</b>
              </td>
            </tr>
            <tr v-if="laced">
              <td>Final cloth</td>
              <td v-for="(gap, i) in finally_" :key="i" class="n in">{{ gap }}</td>
            </tr>
          </tbody>
          <tbody v-if="pressed" class="pressed">
            <tr>
              <th scope="row">Pressure, kPa</th>
              <td v-for="i in 3" :key="i" />
            </tr>
            <tr>
              <td>{{ last ? 'Last mock-up' : 'This mock-up' }}</td>
              <td v-for="(one, i) in pressed.last" :key="i" class="n">{{ one }}</td>
            </tr>
            <tr>
              <td>Next mock-up</td>
              <td v-for="(one, i) in pressed.next" :key="i" class="n">
                <b>{{ one }}</b>
              </td>
            </tr>
          </tbody>
        </table>
      </template>
      <template v-else-if="last">
        <p class="fits" :class="{ sure: plan.verdict?.word === 'cut the cloth' }">
          No change to version {{ version }} is worth making.<template v-if="laced && plan.final">
            In the final cloth the gap settles at {{ hardware(plan.final.shape.mean_mm, settings.unit) }},
            {{ plan.final.shape.shape }}.</template
          >
        </p>
      </template>
      <LineOfHerOwn v-if="version && !proposal?.redraft" />
      <template v-if="taught.length || felt.length">
        <h2>What it says</h2>
        <p v-for="one in felt" :key="one" class="say">{{ one }}</p>
        <p v-for="level in taught" :key="level.name" class="say">
          {{ LEVEL_LABELS[level.name as LevelName] }} {{ length(Math.abs(level.by), settings.unit) }}
          {{ level.by > 0 ? 'bigger' : 'smaller' }} than the tape said: now
          {{ length(level.believed_mm, settings.unit, { bare: true }) }} ±
          {{ length(level.believed_spread_mm, settings.unit) }}.
        </p>
      </template>
      <p v-if="last?.note" class="note">“{{ last.note }}”</p>
      <FindingsList :stages="['mockups']" />
      <details>
        <summary>What mock-ups and the final are made of</summary>
        <div class="made">
          <NamedSelect
            label="Mock-up cloth"
            :items="materials.carrying"
            :model-value="build.mock_up.stack.strength"
            @update:model-value="(value: string) => openBuild.set('mock_up.stack.strength', value)"
          />
          <NamedSelect
            label="Bones at its lacing edge"
            :items="materials.bones"
            :model-value="build.mock_up.edge_bone"
            @update:model-value="(value: string) => openBuild.set('mock_up.edge_bone', value)"
          />
          <NamedSelect
            label="Final strength layer"
            :items="materials.carrying"
            :model-value="build.layers.plies[carries].cloth"
            @update:model-value="(value: string) => openBuild.set(`layers.plies.${carries}.cloth`, value)"
          />
          <StripTests />
        </div>
      </details>
      <RehearsalBox v-if="!build.rehearsal && !tied && laced" />
      <template #acts>
        <v-btn v-if="proposal" color="primary" @click="pattern.version('accept')"
          >Make version {{ (version ?? 0) + 1 }}</v-btn
        >
        <v-btn v-else-if="!version" color="primary" @click="pattern.version('cut')">Cut version 1 for a mock-up</v-btn>
        <v-btn v-else-if="sure" color="primary" :to="{ name: 'bones' }">To the bones</v-btn>
        <v-btn
          v-if="version"
          :color="proposal || sure ? undefined : 'primary'"
          :variant="proposal || sure ? 'outlined' : 'flat'"
          @click="logging = true"
          >Log a fitting</v-btn
        >
      </template>
    </TheSlip>
  </div>
</template>

<style scoped>
h2 {
  margin: 14px 0 3px;
}
.say {
  margin: 4px 0;
}
.note {
  font-style: italic;
  color: var(--steel);
  margin: 6px 0;
}
.links {
  display: flex;
  gap: 16px;
  margin: 4px 0;
}
.links button {
  color: var(--letout);
  font: inherit;
  padding: 2px 0;
}
.fits.sure {
  border-color: var(--settled);
}
.fits {
  border-left: 4px solid var(--line);
  padding-left: 10px;
  margin: 12px 0;
}
.key {
  display: inline-flex;
  gap: 6px;
  align-items: center;
}
.solid {
  width: 20px;
  border-top: 2.5px solid var(--ink);
}
.foot {
  display: grid;
  gap: 10px;
}
details {
  margin-top: 14px;
}
summary {
  cursor: pointer;
  color: var(--steel);
}
.made {
  display: grid;
  gap: 10px;
  margin-top: 10px;
}
</style>
