<script setup lang="ts">
import { computed, ref } from 'vue'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'
import FindingsList from '../../parts/FindingsList.vue'
import LengthField from '../../parts/LengthField.vue'
import AtHand from '../../parts/AtHand.vue'
import TheSlip from '../../parts/TheSlip.vue'
import PickedThing from '../../parts/PickedThing.vue'
import WorkSurface from '../../surface/WorkSurface.vue'
import { hardware, length, run } from '../../parts/words'
import MeasureFirst from '../../parts/MeasureFirst.vue'
import LacingWalk from '../back/LacingWalk.vue'
import OwnBusk from './OwnBusk.vue'

const openBuild = useOpenBuild()
const settings = useSettings()
const plan = computed(() => openBuild.plan)
const on = ref(['Opening', 'Bones', 'Holes'])
const picked = ref('')
const measuring = ref(false)
const busk = computed(() => plan.value.busk)
const opening = computed(() => plan.value.opening)
const front = computed(() => openBuild.build.front)
const seam = computed(() => busk.value?.intervals[busk.value.intervals.length - 1]?.to_mm ?? 0)
const mm = (value: number) => hardware(value, settings.unit)
const bare = (value: number) => length(value, settings.unit, { hardware: true, bare: true })
const KINDS = [
  { title: 'split busk', value: 'busk' },
  { title: 'separating zip', value: 'zip' },
  { title: 'hidden zip', value: 'hidden zip' },
  { title: 'hooks and eyes', value: 'hooks' },
  { title: 'laced in front', value: 'lacing' },
  { title: 'no opening', value: 'none' },
]
const laced = computed(() => openBuild.build.back.laced)
const half = ref<'right' | 'left' | 'both'>('right')
const lines = computed(() => [
  { title: 'CF', value: 'CF' },
  ...(laced.value ? [] : [{ title: 'CB', value: 'CB' }]),
  { title: 'the side seam', value: 'side' },
  ...plan.value.seams.map((seam) => ({ title: `seam ${seam.seam}, as the picture shows`, value: seam.seam })),
])
const HALVES = [
  { title: 'the left half', value: 'left' },
  { title: 'the right half', value: 'right' },
  { title: 'both halves', value: 'both' },
]
const zipped = computed(() => ['zip', 'hidden zip'].includes(front.value.opening))
// loops lie on the right half, knobs on the left
const loopTop = computed(() => plan.value.pattern?.panels[0].cf_edge.at(-1)?.[1] ?? 0)
const movable = computed(() => ['zip', 'hidden zip', 'hooks'].includes(front.value.opening))
const title = computed(() => opening.value?.title ?? 'The front')
const stud = computed(() => Number(/^stud (\d+)/.exec(picked.value)?.[1] ?? 0))
const marks = computed(() => opening.value?.marks_z_mm ?? [])
const top = computed(() => opening.value?.opens_high_mm ?? 0)
const VERDICT = { yes: '●', 'only if': '◐', no: '○' }
const base = computed(() => `/api/builds/${openBuild.latest?.id}`)
// where their number is hers, the pitch follows from it
const pitchOfHooks = computed(() => {
  const [first, second] = opening.value?.marks_z_mm ?? []
  return second === undefined ? '' : length(first - second, settings.unit, { hardware: true, bare: true })
})
</script>

<template>
  <MeasureFirst v-if="!plan.pattern" />
  <div v-else class="page with-slip">
    <WorkSurface
      v-model:on="on"
      v-model:half="half"
      :plan="plan"
      :layers="['Opening', 'Bones', 'Holes', 'Waist tape', 'Unboned']"
      :picked="picked"
      @pick="picked = $event"
    >
      <template v-if="busk?.intervals?.length" #foot>
        <h2 class="striphead">Loop side, from the top of CF down: sew and leave, {{ settings.smallUnit }}</h2>
        <div class="keeps-size" style="--drawn-wide: 760px">
          <svg viewBox="-6 0 772 64" class="strip" role="img" aria-label="Loop side, sew and leave">
            <g v-for="(part, i) in busk.intervals" :key="i">
              <line
                :x1="(part.from_mm / seam) * 760"
                :x2="(part.to_mm / seam) * 760"
                y1="22"
                y2="22"
                :class="part.kind"
              />
              <text :x="((part.from_mm + part.to_mm) / 2 / seam) * 760" y="44" class="in" :class="part.kind">
                {{ bare(part.to_mm - part.from_mm) }}
              </text>
            </g>
            <circle
              v-for="(z, i) in busk.studs_z_mm"
              :key="z"
              :cx="((loopTop - z) / seam) * 760"
              cy="22"
              :r="stud === i + 1 ? 8 : 5"
            />
            <g v-if="plan.pattern.top">
              <path :d="`M${(loopTop / seam) * 760} 6v32`" class="waist" />
              <text :x="(loopTop / seam) * 760" y="62" class="waisttext">waist</text>
            </g>
          </svg>
        </div>
      </template>
    </WorkSurface>
    <TheSlip :title="title" :under="opening?.why">
      <PickedThing :picked="picked" />
      <v-select
        label="It opens by"
        :items="KINDS"
        :model-value="front.opening"
        class="first"
        @update:model-value="(value: string) => openBuild.set('front.opening', value)"
      />
      <v-select
        v-if="movable"
        label="On the line of"
        :items="lines"
        :model-value="front.line"
        class="first"
        @update:model-value="(value: string) => openBuild.set('front.line', value)"
      />
      <v-select
        v-if="movable && !['CF', 'CB'].includes(front.line)"
        label="On"
        :items="HALVES"
        :model-value="front.half"
        class="first"
        @update:model-value="(value: string) => openBuild.set('front.half', value)"
      />
      <div v-if="movable" class="two ends">
        <LengthField
          at="front.from_top_mm"
          :mm="front.from_top_mm"
          label="begins below the top"
          hardware
          :placeholder="opening ? bare(opening.high_z_mm - (opening.top_z_mm ?? opening.high_z_mm)) : ''"
        /><LengthField
          at="front.from_hem_mm"
          :mm="front.from_hem_mm"
          label="ends above the hem"
          hardware
          :placeholder="opening ? bare((opening.bottom_z_mm ?? opening.low_z_mm) - opening.low_z_mm) : ''"
        />
        <LengthField
          v-if="zipped"
          at="front.zip_mm"
          :mm="front.zip_mm"
          label="a zip of her own"
          placeholder="one that is sold"
        />
        <template v-else>
          <LengthField
            at="front.hook_count"
            :mm="front.hook_count"
            label="hooks"
            count
            :placeholder="String(marks.length)"
          /><LengthField
            at="front.hook_pitch_mm"
            :mm="front.hook_count ? null : front.hook_pitch_mm"
            :placeholder="pitchOfHooks"
            label="or one every"
            hardware
          />
        </template>
      </div>
      <p v-if="openBuild.errors['front.line']" class="bad" role="alert">{{ openBuild.errors['front.line'] }}</p>
      <p class="caution">
        A busk is not an emergency exit. In an emergency
        {{ laced || front.opening === 'lacing' ? 'the laces are cut' : 'the cloth beside what closes it is cut' }}:
        blunt-nosed shears within reach, and someone near who knows.
      </p>
      <FindingsList :stages="['front']" />

      <h2>Getting in and out</h2>
      <ul class="ways" aria-label="Ways in and out">
        <li v-for="way in plan.ways" :key="way.way" :class="way.verdict.replace(' ', '-')">
          <span aria-hidden="true">{{ VERDICT[way.verdict] }}</span><span
            >{{ way.sentence }} <b>{{ way.alone ? 'Alone.' : 'With a helper.' }}</b></span
          >
        </li>
      </ul>
      <p class="soft">
        To get out: {{ laced ? 'loosen the lacing fully, then open' : 'open' }}
        {{ opening?.separates && opening.line === 'CF' ? 'the front' : 'what opens' }}; never force a stud or a zip
        under strain.
      </p>
      <v-btn size="small" variant="outlined" @click="measuring = !measuring">{{
        measuring ? 'Hide these measures' : 'Measure what has to pass'
      }}</v-btn>
      <div v-if="measuring" class="two">
        <LengthField
          at="wearer.shoulders_mm"
          :mm="openBuild.build.wearer.shoulders_mm"
          label="round the shoulders"
        /><LengthField at="wearer.head_mm" :mm="openBuild.build.wearer.head_mm" label="round the head" />
      </div>

      <template v-if="front.opening === 'busk'">
        <div class="acts">
          <v-btn size="small" variant="outlined" @click="picked = picked === 'own' ? '' : 'own'">{{
            front.busk ? 'Change this busk' : 'A busk of her own'
          }}</v-btn><v-btn v-if="front.busk" size="small" variant="text" @click="openBuild.set('front.busk', null)"
            >One that is sold</v-btn
          >
        </div>
        <OwnBusk v-if="picked === 'own'" @done="picked = ''" />
        <v-checkbox
          v-if="!front.busk"
          :model-value="front.thin"
          label="a thin one, that bends by hand"
          hide-details
          density="compact"
          @update:model-value="(value: boolean | null) => openBuild.set('front.thin', !!value)"
        />
      </template>
      <v-checkbox
        v-if="!['none', 'lacing'].includes(front.opening)"
        :model-value="front.flap"
        label="a flap behind hides it"
        hide-details
        density="compact"
        @update:model-value="(value: boolean | null) => openBuild.set('front.flap', !!value)"
      />
      <p v-if="opening?.flap_mm">
        Flap:
        <b class="in"
          >{{ length(opening.flap_mm[0], settings.unit) }} × {{ length(opening.flap_mm[1], settings.unit) }}</b
        >, finished.
      </p>
      <p v-if="opening?.bought?.length">
        It takes <b>{{ opening.bought.join('; ') }}</b>. Some {{ Math.round(opening.minutes) }} minutes.
      </p>
      <AtHand stage="front" />

      <p v-if="plan.before && plan.before.busk_mm !== busk?.length_mm" class="soft">
        Version {{ plan.before.version }} took
        {{ plan.before.busk_mm ? `a busk of ${mm(plan.before.busk_mm)}` : 'no busk' }}.
      </p>
      <template v-if="plan.front_walk.length">
        <h2>Laced in front, hole by hole</h2>
        <LacingWalk :walk="plan.front_walk" :heights="plan.holes!.front_z_mm" />
        <p v-if="plan.front_lace">
          Cut a lace of <b class="in">{{ run(plan.front_lace.cut_mm, settings.unit) }}</b> for it{{
            plan.lace ? ', apart from the one behind' : ''
          }}.
        </p>
      </template>
      <template v-if="busk?.length_mm">
        <p>The waist falls {{ mm(busk.waist_from_top_mm!) }} below the busk's top end.</p>
        <h2>Loop side, from the top stitch line down</h2>
        <table class="numbers" aria-label="Sew and leave">
          <thead>
            <tr>
              <th>do</th>
              <th class="n">from, {{ settings.smallUnit }}</th>
              <th class="n">to</th>
              <th class="n">long</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(part, i) in busk.intervals" :key="i" :class="part.kind">
              <td>{{ part.kind === 'sew' ? 'sew' : 'leave for the loop' }}</td>
              <td class="n in">{{ bare(part.from_mm) }}</td>
              <td class="n in">{{ bare(part.to_mm) }}</td>
              <td class="n in">{{ bare(part.to_mm - part.from_mm) }}</td>
            </tr>
          </tbody>
        </table>
        <h2>Knob side</h2>
        <p>
          Holes with the awl, between the threads, at
          <span class="in">{{ busk.studs_mm!.map(mm).join(', ') }}</span> from the top.
        </p>
      </template>
      <template v-else-if="opening?.kind === 'hooks'"
        ><h2>Hooks, from the top stitch line down</h2>
        <p class="in">{{ marks.map((z) => mm(top - z)).join(', ') }}</p></template
      >
      <template v-if="opening?.order?.length">
        <h2>In this order</h2>
        <ol class="order">
          <li v-for="step in opening.order" :key="step">{{ step }}</li>
        </ol>
        <p v-for="said in opening.cautions" :key="said" class="caution">{{ said }}</p>
      </template>
      <v-btn
        v-if="opening?.opens_high_mm != null"
        size="small"
        variant="outlined"
        :href="`${base}/front.pdf?paper=${settings.house.paper}`"
        download
        >Both sides at 1:1</v-btn
      >
    </TheSlip>
  </div>
</template>

<style scoped>
h2 {
  margin: 14px 0 2px;
}
p {
  margin: 4px 0;
}
.first {
  margin-top: 10px;
}
.ends {
  margin-top: 10px;
}
.bad {
  color: var(--takein);
  font-size: 0.9rem;
}
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}
.acts {
  display: flex;
  gap: 6px;
  margin-top: 10px;
  flex-wrap: wrap;
}
.caution {
  border-left: 4px solid var(--caution);
  padding-left: 10px;
  margin: 12px 0;
}
tr.leave td {
  color: var(--metal);
  font-weight: 600;
}
.ways {
  list-style: none;
  margin: 4px 0;
  padding: 0;
  display: grid;
  gap: 6px;
}
.ways li {
  display: grid;
  grid-template-columns: 20px 1fr;
}
.ways .yes > :first-child {
  color: var(--settled);
}
.ways .only-if > :first-child {
  color: var(--caution);
}
.ways .no > :first-child {
  color: var(--takein);
}
.order {
  margin: 4px 0;
  padding-left: 20px;
  display: grid;
  gap: 3px;
}
.striphead {
  margin: 0 0 4px;
  font-size: 0.95rem;
}
.strip {
  width: 100%;
  height: 64px;
}
.strip line.sew {
  stroke: var(--ink);
  stroke-width: 5;
  stroke-dasharray: 7 3;
}
.strip line.leave {
  stroke: var(--metal);
  stroke-width: 2;
}
.strip text {
  text-anchor: middle;
  font-size: 14px;
  fill: var(--ink);
}
.strip text.leave {
  fill: var(--metal);
}
.strip circle {
  fill: var(--metal);
}
.waist {
  stroke: var(--letout);
  stroke-width: 2;
}
.strip .waisttext {
  fill: var(--letout);
  font-size: 13px;
}
</style>
