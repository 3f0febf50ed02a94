<script setup lang="ts">
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import { answer, api, Refused } from '../../api/client'
import type { Point, ScrapRead } from '../../api/types'
import { length, withUnit } from '../../parts/words'
import { useSettings } from '../../stores/settings'
import { touched } from '../../parts/touch'

// A scrap by its photo: the corners of something of a known size beside it, a thread along the grain, its edge, flaws.
// The photo stays in this browser; only its marks are read.
const emit = defineEmits<{ read: [found: { outline: Point[]; flaws: Point[][] }] }>()
const settings = useSettings()
const picture = ref<{ url: string; w: number; h: number }>()
type Step = 'corners' | 'grain' | 'edge' | 'flaws'
const at = ref<Step>('corners')
const corners = ref<Point[]>([])
const grain = ref<Point[]>([])
const edge = ref<Point[]>([])
const flaws = ref<Point[][]>([])
const wide = ref(settings.unit === 'in' ? '8 1/4' : '21')
const high = ref(settings.unit === 'in' ? '11 3/4' : '29.7')
const found = ref<ScrapRead>()
const said = ref('')
const NAMES = ['top left', 'top right', 'bottom right', 'bottom left']
const task = computed(() => {
  if (at.value === 'corners') return `Touch the ${NAMES[corners.value.length]} corner of the sheet beside it`
  if (at.value === 'grain')
    return grain.value.length ? 'Touch where it goes to, toward the top' : 'Touch where a thread of the grain begins'
  if (at.value === 'edge') return 'Go round the edge of the scrap, corner by corner'
  return 'Go round a flaw; another one begins with “Next flaw”'
})
function load(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  const url = URL.createObjectURL(file)
  const image = new Image()
  image.onload = () => {
    if (picture.value) URL.revokeObjectURL(picture.value.url)
    picture.value = { url, w: image.naturalWidth, h: image.naturalHeight }
    clear()
  }
  image.onerror = () => (said.value = `${file.name} is no picture that this browser can show.`)
  image.src = url
}
onBeforeUnmount(() => picture.value && URL.revokeObjectURL(picture.value.url))
function clear() {
  corners.value = []
  grain.value = []
  edge.value = []
  flaws.value = []
  found.value = undefined
  said.value = ''
  at.value = 'corners'
}
const frame = ref<SVGSVGElement>()
function touch(event: MouseEvent) {
  const spot = touched(frame.value, event)
  const here: Point = [Math.round(spot.x * 10) / 10, Math.round(spot.y * 10) / 10]
  if (at.value === 'corners') {
    corners.value.push(here)
    if (corners.value.length === 4) at.value = 'grain'
  } else if (at.value === 'grain') {
    grain.value.push(here)
    if (grain.value.length === 2) at.value = 'edge'
  } else if (at.value === 'edge') edge.value.push(here)
  else {
    if (!flaws.value.length) flaws.value.push([])
    flaws.value[flaws.value.length - 1].push(here)
  }
}
function back() {
  if (at.value === 'flaws') {
    const last = flaws.value.at(-1)
    if (last?.length) last.pop()
    else if (flaws.value.length) flaws.value.pop()
    else at.value = 'edge'
  } else if (at.value === 'edge' && edge.value.length) edge.value.pop()
  else if (at.value !== 'corners' && grain.value.length) {
    grain.value.pop()
    at.value = 'grain'
  } else {
    corners.value.pop()
    at.value = 'corners'
  }
}
let asked = 0
watch(
  [corners, grain, edge, flaws, wide, high],
  async () => {
    const mine = ++asked
    if (edge.value.length < 3 || grain.value.length < 2 || corners.value.length < 4)
      return void (found.value = undefined)
    try {
      const read = await answer(
        api.POST('/api/scrap', {
          body: {
            scale: corners.value,
            known_mm: wide.value.trim() ? withUnit(wide.value, settings.unit) : null,
            known_high_mm: high.value.trim() ? withUnit(high.value, settings.unit) : null,
            outline: edge.value,
            grain: grain.value,
            flaws: flaws.value.filter((flaw) => flaw.length > 2),
          },
        }),
      )
      if (mine !== asked) return
      found.value = read
      said.value = ''
      emit('read', { outline: read.outline, flaws: read.flaws })
    } catch (error) {
      if (mine !== asked) return
      found.value = undefined
      said.value = error instanceof Refused ? error.trouble.sentence : 'It could not be read.'
    }
  },
  { deep: true },
)
const points = (spots: Point[]) => spots.map((spot) => spot.join(',')).join(' ')
const dot = computed(() => (picture.value ? picture.value.w / 160 : 4))
</script>

<template>
  <div class="photo">
    <label class="file"
      >Photo of the scrap, with a sheet of paper beside it <input type="file" accept="image/*" @change="load"
    /></label>
    <template v-if="picture">
      <div class="known">
        <v-text-field v-model="wide" :label="`the sheet is wide, ${settings.unit}`" />
        <v-text-field v-model="high" :label="`and high, ${settings.unit}`" />
      </div>
      <p class="task" role="status">
        <b>{{ task }}</b>
        <v-btn size="x-small" variant="text" @click="back">One back</v-btn>
        <v-btn v-if="at === 'edge' && edge.length > 2" size="x-small" variant="outlined" @click="at = 'flaws'"
          >It has a flaw</v-btn
        >
        <v-btn v-if="at === 'flaws'" size="x-small" variant="outlined" @click="flaws.push([])">Next flaw</v-btn>
      </p>
      <svg
        ref="frame"
        :viewBox="`0 0 ${picture.w} ${picture.h}`"
        role="img"
        aria-label="The photo, to be marked"
        @click="touch"
      >
        <image :href="picture.url" :width="picture.w" :height="picture.h" />
        <polygon v-if="corners.length" :points="points(corners)" class="sheet" />
        <line
          v-if="grain.length === 2"
          :x1="grain[0][0]"
          :y1="grain[0][1]"
          :x2="grain[1][0]"
          :y2="grain[1][1]"
          class="grain"
        />
        <polygon v-if="edge.length" :points="points(edge)" class="edge" />
        <polygon v-for="(flaw, i) in flaws" :key="i" :points="points(flaw)" class="flaw" />
        <circle
          v-for="(spot, i) in [...corners, ...grain, ...edge, ...flaws.flat()]"
          :key="i"
          :cx="spot[0]"
          :cy="spot[1]"
          :r="dot"
        />
      </svg>
    </template>
    <p v-if="said" class="bad" role="alert">{{ said }}</p>
    <p v-if="found" class="in">
      <b
        >{{ length(found.long_mm, settings.unit) }} along the grain,
        {{ length(found.wide_mm, settings.unit) }} across</b
      >, {{ Math.round(found.area_mm2 / 100) }} cm².
    </p>
  </div>
</template>

<style scoped>
.known {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
  margin: 8px 0 4px;
}
.task {
  display: flex;
  align-items: center;
  gap: 6px;
  margin: 4px 0;
}
svg {
  width: 100%;
  max-height: 420px;
  background: var(--bench);
  cursor: crosshair;
}
polygon {
  fill: none;
  stroke-width: 2;
  vector-effect: non-scaling-stroke;
}
.sheet {
  stroke: var(--letout);
}
.edge {
  stroke: var(--takein);
  fill: var(--takein);
  fill-opacity: 0.12;
}
.flaw {
  stroke: var(--caution);
}
.grain {
  stroke: var(--ink);
  stroke-width: 2;
  vector-effect: non-scaling-stroke;
}
circle {
  fill: var(--paper);
  stroke: var(--ink);
  vector-effect: non-scaling-stroke;
}
.bad {
  color: var(--takein);
}
p {
  margin: 4px 0;
}
</style>
