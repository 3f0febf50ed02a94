<script setup lang="ts">
import { computed } from 'vue'
import { length, run } from '../../parts/words'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'

// What hangs from the garment, drawn below its line at a smaller scale; and what it weighs beside what holds it.
const emit = defineEmits<{ strap: [] }>()
const openBuild = useOpenBuild()
const settings = useSettings()
const trims = computed(() => openBuild.plan.trims)
const SCALE = 0.075
const mm = (value: number) => length(value, settings.unit)
const drawn = computed(() =>
  (trims.value?.hanging ?? [])
    .filter((one) => !one.fault)
    .map((one) => {
      const tiers = one.circle
        ? [{ top: one.along_mm, foot: one.circle.hem_mm, depth: one.circle.outer_mm - one.circle.inner_mm }]
        : one.tiers.map((tier) => ({ top: tier.along_mm, foot: tier.joined_mm, depth: tier.depth_mm }))
      const wide = Math.max(...tiers.map((tier) => tier.foot), 1)
      let z = 4
      const shapes = tiers.map((tier) => {
        const [a, b] = [(tier.top / Math.PI) * SCALE, (Math.min(tier.foot, 2.4 * tier.top) / Math.PI) * SCALE]
        const high = Math.max(6, tier.depth * SCALE)
        const d = `M${75 - a} ${z}H${75 + a}L${75 + b} ${z + high}Q75 ${z + high + 5} ${75 - b} ${z + high}Z`
        z += high
        return { d, foot: tier.foot }
      })
      return { one, shapes, high: z + 10, wide }
    }),
)
const load = computed(() => trims.value?.load)
const most = computed(() => Math.max((load.value?.holds_n ?? 0) * 1.1, (load.value?.weight_n ?? 0) * 1.6, 10))
const ownBand = () =>
  openBuild.edit(
    openBuild.build.trims.hanging.map((_, i) => ({ at: `trims.hanging.${i}.own_band`, value: true })),
    'On a band of its own',
  )
const stay = (value: boolean) =>
  openBuild.edit([{ at: 'trims.waist_stay', value }], value ? 'A waist stay put in' : 'The waist stay taken out')
const DO = { band: ownBand, straps: () => emit('strap'), stay: () => stay(true) }
const WORDS = { holds: 'It holds', barely: 'It only just holds', slips: 'It slips' }
const n = (newton: number) => `${Math.round(newton)} N`
</script>

<template>
  <div class="hangs">
    <figure v-for="{ one, shapes, high } in drawn" :key="one.key">
      <svg
        width="150"
        :height="high"
        role="img"
        :aria-label="`${one.name}, ${run(one.hem_mm, settings.unit)} round its hem`"
      >
        <path v-for="(shape, i) in shapes" :key="i" :d="shape.d" />
      </svg>
      <figcaption>
        <b>{{ one.name }}</b>
        <span>onto {{ mm(one.along_mm) }}, {{ run(one.hem_mm, settings.unit) }} round its hem</span>
        <template v-if="one.circle">
          <span
            >radius {{ mm(one.circle.inner_mm) }} to {{ mm(one.circle.outer_mm) }},
            {{ one.circle.pieces === 1 ? 'in one piece' : `in ${one.circle.pieces} pieces` }}</span
          >
        </template>
        <span v-for="(tier, i) in one.tiers" :key="i"
          >{{ tier.strips }} × {{ mm(tier.strip_mm) }} by {{ mm(tier.high_mm) }}, {{ tier.fullness.toFixed(1) }} times
          as full<template v-if="one.at_hand"> from what is at hand</template></span
        >
        <span class="soft"
          >{{ mm(one.cloth_mm ?? 0) }} of {{ one.cloth_label }}, {{ Math.round(one.grams ?? 0) }} g</span
        >
      </figcaption>
    </figure>
    <div v-if="load" class="load" data-load>
      <b :class="load.word">{{ WORDS[load.word] }}</b>
      <svg width="260" height="40" role="img" :aria-label="`${n(load.weight_n)} against ${n(load.holds_n)}`">
        <rect x="0" y="4" :width="(260 * load.weight_n) / most" height="12" class="weight" />
        <rect x="0" y="22" :width="(260 * load.holds_n) / most" height="12" class="held" />
      </svg>
      <span
        >{{ (load.grams / 1000).toFixed(1) }} kg weigh {{ n(load.weight_n) }}; friction holds {{ n(load.friction_n)
        }}<template v-if="Math.round(load.shape_n)"
          >, her shape {{ load.shape_n > 0 ? 'adds' : 'takes' }} {{ n(Math.abs(load.shape_n)) }}</template
        ><template v-if="load.straps_n">, straps carry {{ n(load.straps_n) }}</template></span
      >
      <p v-if="openBuild.build.trims.waist_stay" class="small">
        With a waist stay. <button type="button" class="ask" @click="stay(false)">take it out</button>
      </p>
      <ul v-if="trims?.helps?.length">
        <li v-for="help in trims.helps" :key="help.what">
          {{ help.what }}
          <span class="soft"
            >{{ n(help.after.weight_n) }} then against {{ n(help.after.holds_n) }}:
            {{ WORDS[help.after.word].toLowerCase() }}.</span
          >
          <button type="button" class="ask" @click="DO[help.does]()">do that</button>
        </li>
      </ul>
    </div>
  </div>
</template>

<style scoped>
.hangs {
  display: flex;
  gap: 28px;
  align-items: flex-start;
  overflow-x: auto;
}
figure {
  margin: 0;
  display: flex;
  gap: 8px;
}
figure path {
  fill: var(--bench);
  stroke: var(--ink);
  stroke-width: 1.2;
}
figcaption span,
figcaption b,
.load > span,
.load > b {
  display: block;
}
figcaption {
  font-size: 0.92rem;
  line-height: 1.3;
  min-width: 190px;
}
.load {
  min-width: 280px;
  max-width: 360px;
  font-size: 0.95rem;
}
.load > b {
  font-size: 1.1rem;
}
.holds {
  color: var(--settled);
}
.barely {
  color: var(--caution);
}
.slips {
  color: var(--takein);
}
.weight {
  fill: var(--steel);
}
.held {
  fill: var(--settled);
}
ul {
  padding-left: 16px;
  margin: 4px 0 0;
}
</style>
