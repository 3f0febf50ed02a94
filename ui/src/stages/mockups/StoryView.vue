<script setup lang="ts">
import { computed } from 'vue'
import type { LevelName } from '../../api/types'
import { useOpenBuild } from '../../stores/openBuild'
import ThinkingBar from '../../parts/ThinkingBar.vue'
import { useThought } from '../../parts/useThought'
import { useSettings } from '../../stores/settings'
import { hardware, length, LEVEL_LABELS, shortDay } from '../../parts/words'
import { api, ofBuild } from '../../api/client'

// The story in one picture: gaps as read, what was believed of each girth, and the odds, from the tape to the last
// mock-up.
const emit = defineEmits<{ leave: [] }>()
const openBuild = useOpenBuild()
const settings = useSettings()
const thought = useThought((build) => api.GET('/api/builds/{build_id}/story', ofBuild(build)), 'story')
const { found: chapters, failed } = thought
const told = computed(() => chapters.value ?? [])
const LEFT = 150
const COLUMN = 190
const width = computed(() => LEFT + COLUMN * (chapters.value?.length ?? 1))
const x = (i: number) => LEFT + COLUMN * i + COLUMN / 2
// the gaps, at true proportion
const zs = computed(() => (chapters.value ?? []).flatMap((chapter) => chapter.gaps.map((gap) => gap.z_mm)))
const zTop = computed(() => Math.max(...zs.value, 60))
const zSpan = computed(() => zTop.value - Math.min(...zs.value, -60))
const GAP = 150
const gy = (z: number) => 62 + ((zTop.value - z) / zSpan.value) * GAP
const gx = (i: number, gap: number, side: number) => x(i) + (side * gap * GAP) / zSpan.value / 2
const edge = (i: number, side: number) =>
  [...told.value[i].gaps]
    .map((gap, k) => `${k ? 'L' : 'M'}${gx(i, gap.gap_mm, side).toFixed(1)} ${gy(gap.z_mm).toFixed(1)}`)
    .join('')
// girths, as millimetres from what the tape said
const names = computed(() => chapters.value?.[0]?.levels.map((level) => level.name) ?? [])
const ROW = 42
const FROM = 62 + GAP + 46
const off = (i: number, name: string) => {
  const [then, taped] = [told.value[i], told.value[0]].map((one) => one.levels.find((level) => level.name === name)!)
  return { by: then.girth_mm - taped.girth_mm, spread: then.spread_mm, now: then.girth_mm }
}
const most = computed(() =>
  Math.max(
    14,
    ...names.value.flatMap((name) =>
      (chapters.value ?? []).map((_, i) => Math.abs(off(i, name).by) + off(i, name).spread),
    ),
  ),
)
const ly = (row: number) => FROM + ROW * row + ROW / 2
const dx = (i: number, mm: number) => x(i) + (mm / most.value) * (COLUMN / 2 - 12)
const oddsAt = computed(() => FROM + ROW * names.value.length + 34)
const height = computed(() => oddsAt.value + 64)
const percent = (share: number | null) => (share === null ? '–' : `${Math.round(share * 100)} of 100`)
const cost = computed(() => (chapters.value ?? []).reduce((sum, one) => sum + (one.cost ?? 0), 0))
const hours = computed(() => (chapters.value ?? []).reduce((sum, one) => sum + (one.hours ?? 0), 0))
</script>

<template>
  <section class="story" aria-label="The story of its mock-ups">
    <header>
      <h1>What the mock-ups taught</h1>
      <v-btn size="small" variant="outlined" @click="emit('leave')">Back to the mock-ups</v-btn>
    </header>
    <ThinkingBar v-if="!chapters || failed" label="Telling the story" :thought="thought" />
    <p v-else-if="chapters.length < 2">
      Nothing was tried on yet. After the first fitting, what it taught stands here.
    </p>
    <div v-else class="scroll">
      <svg
        :viewBox="`0 0 ${width} ${height}`"
        :style="{ width: `${width}px`, maxWidth: '100%' }"
        role="img"
        aria-label="Gaps, girths and odds from fitting to fitting"
      >
        <g v-for="(chapter, i) in chapters" :key="i">
          <text :x="x(i)" y="20" text-anchor="middle" class="head">
            {{ chapter.fitting ? `Fitting ${chapter.fitting}` : 'The tape alone' }}
          </text>
          <text v-if="chapter.places.length" :x="x(i)" :y="62 + GAP + 36" text-anchor="middle" class="soft">
            {{ chapter.places.slice(0, 2).join(', ')
            }}{{ chapter.places.length > 2 ? ` +${chapter.places.length - 2}` : '' }}
          </text>
          <text :x="x(i)" y="39" text-anchor="middle" class="soft">
            {{
              chapter.fitting
                ? `version ${chapter.version}${chapter.tried_on ? `, ${shortDay(chapter.tried_on)}` : ''}`
                : 'before any mock-up'
            }}
          </text>
          <template v-if="chapter.gaps.length > 1">
            <path :d="edge(i, -1)" class="edge" />
            <path :d="edge(i, 1)" class="edge" />
            <text
              v-for="gap in [chapter.gaps[0], chapter.gaps[chapter.gaps.length - 1]]"
              :key="gap.z_mm"
              :x="x(i)"
              :y="gy(gap.z_mm) + (gap === chapter.gaps[0] ? -6 : 17)"
              text-anchor="middle"
              class="in"
            >
              {{ hardware(gap.gap_mm, settings.unit) }}
            </text>
          </template>
          <text v-else :x="x(i)" :y="gy(0)" text-anchor="middle" class="soft">
            {{ chapter.fitting ? 'no gap read' : '' }}
          </text>
          <line v-if="i" :x1="x(i) - COLUMN / 2" :x2="x(i) - COLUMN / 2" y1="8" :y2="height - 8" class="rule" />
        </g>
        <text x="0" :y="gy(0) + 4" class="row">Gap as read</text>
        <text x="0" :y="FROM - 10" class="soft">Girth beside the tape’s</text>
        <g v-for="(name, row) in names" :key="name">
          <text x="0" :y="ly(row) + 5" class="row">{{ LEVEL_LABELS[name as LevelName] }}</text>
          <g v-for="(_, i) in chapters" :key="i">
            <line :x1="x(i)" :x2="x(i)" :y1="ly(row) - 15" :y2="ly(row) + 15" class="zero" />
            <rect
              :x="dx(i, off(i, name).by - off(i, name).spread)"
              :y="ly(row) - 6"
              :width="dx(i, off(i, name).spread) - x(i) + (dx(i, off(i, name).spread) - x(i))"
              height="12"
              class="spread"
            />
            <circle :cx="dx(i, off(i, name).by)" :cy="ly(row)" r="4.5" class="girth" />
            <text :x="x(i) + COLUMN / 2 - 6" :y="ly(row) - 8" text-anchor="end" class="in number">
              {{ length(off(i, name).now, settings.unit, { bare: true }) }} ±
              {{ length(off(i, name).spread, settings.unit) }}
            </text>
          </g>
        </g>
        <text x="0" :y="oddsAt + 5" class="row">Would fit, cut then</text>
        <g v-for="(chapter, i) in chapters" :key="`o${i}`">
          <rect :x="x(i) - 70" :y="oddsAt - 8" width="140" height="14" class="all" />
          <rect
            :x="x(i) - 70"
            :y="oddsAt - 8"
            :width="140 * (chapter.probability ?? 0)"
            height="14"
            class="odds"
            :class="{ ready: (chapter.probability ?? 0) >= openBuild.build.practice.ready_share }"
          />
          <text :x="x(i)" :y="oddsAt + 26" text-anchor="middle" class="head">{{ percent(chapter.probability) }}</text>
          <text v-if="chapter.bought !== null" :x="x(i)" :y="oddsAt + 45" text-anchor="middle" class="soft">
            {{ chapter.bought >= 0 ? '+' : '−' }}{{ Math.abs(Math.round(chapter.bought * 100)) }} of 100{{
              chapter.hours ? `, ${chapter.hours} h` : ''
            }}{{ chapter.cost ? `, ${chapter.cost} spent` : '' }}
          </text>
        </g>
      </svg>
      <p v-if="hours || cost" class="soft">
        All mock-ups together: {{ hours ? `${hours} hours` : '' }}{{ hours && cost ? ', ' : ''
        }}{{ cost ? `${cost} for cloth and notions` : '' }}.
      </p>
    </div>
  </section>
</template>

<style scoped>
.story {
  padding: 14px 20px;
  overflow: auto;
  height: 100%;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: center;
  margin-bottom: 8px;
}
h1 {
  font-size: 1.3rem;
}
.scroll {
  overflow-x: auto;
}
text {
  font-size: 14px;
  fill: var(--ink);
}
.soft {
  fill: var(--steel);
}
.head {
  font-weight: 650;
  font-size: 15px;
}
.row {
  font-weight: 600;
}
.number {
  font-size: 13px;
}
.edge {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2.4;
}
.rule {
  stroke: var(--line);
}
.zero {
  stroke: var(--dot);
}
.spread {
  fill: var(--letout);
  opacity: 0.28;
}
.girth {
  fill: var(--letout);
}
.all {
  fill: var(--bench);
}
.odds {
  fill: var(--caution);
}
.odds.ready {
  fill: var(--settled);
}
</style>
