<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Plan } from '../../api/types'

// The lacing, hole by hole: forwards and back with the arrows; what is laced so far is drawn.
const props = defineProps<{ walk: NonNullable<Plan['walk']>; heights: number[]; tied?: boolean }>()
const at = ref(0)
watch(
  () => props.walk.length,
  () => (at.value = 0),
)
const step = computed(() => props.walk[Math.min(at.value, props.walk.length - 1)])
const top = computed(() => Math.max(...props.heights))
const span = computed(() => top.value - Math.min(...props.heights) || 1)
const x = (side: string) => (side === 'left' ? 34 : 126)
const y = (row: number) => 16 + ((top.value - props.heights[row]) / span.value) * 248
type Line = { d: string; end: string; now: boolean }
const lines = computed<Line[]>(() => {
  const found: Line[] = []
  const where: Record<string, { row: number; side: string }> = {
    'left end': { row: 0, side: 'left' },
    'right end': { row: 0, side: 'right' },
  }
  props.walk.forEach((one, i) => {
    if (i > at.value) return
    const from = one.end === 'lace' ? (i ? props.walk[i - 1].to : one.to) : where[one.end]
    const to = one.to
    if (one.way === 'loop') {
      const out = to.side === 'left' ? -26 : 26
      const [a, b] = [x(from.side), y(from.row)]
      found.push({
        d: `M${a} ${b}C${a + out} ${b} ${x(to.side) + out} ${y(to.row)} ${x(to.side)} ${y(to.row)}`,
        end: one.end,
        now: i === at.value,
      })
    } else if (one.way !== 'start')
      found.push({ d: `M${x(from.side)} ${y(from.row)}L${x(to.side)} ${y(to.row)}`, end: one.end, now: i === at.value })
    if (one.end !== 'lace') where[one.end] = to
  })
  return found
})
function key(event: KeyboardEvent) {
  const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1, Home: -1e3, End: 1e3 }[event.key]
  if (by === undefined) return
  go(by)
  event.preventDefault()
}
const go = (by: number) => (at.value = Math.max(0, Math.min(props.walk.length - 1, at.value + by)))
</script>

<template>
  <section class="walk" aria-label="Lacing, hole by hole" tabindex="0" @keydown="key">
    <svg viewBox="0 0 160 284" role="img" aria-label="Laced so far, seen from behind">
      <line x1="22" x2="22" y1="6" y2="278" class="edge" />
      <line x1="138" x2="138" y1="6" y2="278" class="edge" />
      <path
        v-for="(line, i) in lines"
        :key="i"
        :d="line.d"
        class="lace"
        :class="[line.end.replace(' ', '-'), { now: line.now }]"
      />
      <template v-for="(_, row) in heights" :key="row">
        <circle
          v-for="side in ['left', 'right']"
          :key="side"
          :cx="x(side)"
          :cy="y(row)"
          r="4.5"
          class="hole"
          :class="{ now: step.to.row === row && step.to.side === side }"
        />
      </template>
    </svg>
    <div>
      <p class="said" aria-live="polite">{{ step.sentence }}</p>
      <div class="acts">
        <v-btn size="small" variant="outlined" :disabled="!at" @click="go(-1)">Back</v-btn>
        <v-btn size="small" color="primary" :disabled="at === walk.length - 1" @click="go(1)">Next</v-btn>
        <span class="soft small">{{ at + 1 }} of {{ walk.length }}</span>
      </div>
      <p v-if="at === walk.length - 1" class="soft">Now draw it up from both ends to the waist, and tie it.</p>
    </div>
  </section>
</template>

<style scoped>
.walk {
  display: grid;
  grid-template-columns: 150px minmax(0, 1fr);
  gap: 12px;
}
svg {
  width: 150px;
}
.said {
  font-size: 1.05rem;
  min-height: 84px;
  margin: 4px 0;
  line-height: 1.3;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}
.edge {
  stroke: var(--ink);
  stroke-width: 2.5;
}
.hole {
  fill: var(--paper);
  stroke: var(--metal);
  stroke-width: 2.5;
}
.hole.now {
  fill: var(--marked);
  stroke: var(--ink);
  r: 6.5;
}
.lace {
  fill: none;
  stroke: var(--steel);
  stroke-width: 3;
}
.lace.right-end {
  stroke: var(--letout);
}
.lace.now {
  stroke-width: 5;
}
</style>
