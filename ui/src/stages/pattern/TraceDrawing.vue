<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { answer as answered, api, asFile, ofBuild, Refused } from '../../api/client'
import type { Drawing, Point, TracedAnswer, TracedPattern, LevelName } from '../../api/types'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'
import { path } from '../../surface/flat'
import { length, LEVEL_LABELS, withUnit } from '../../parts/words'
import { usePatternCommands } from '../../commands/pattern'
import { entriesOf } from '../../parts/entries'
import { touched } from '../../parts/touch'

// Outlines from a drawing: which panel each is, its waistline, and how it has to be turned.
const shown = defineModel<boolean>({ required: true })
const openBuild = useOpenBuild()
const pattern = usePatternCommands()
const settings = useSettings()
type Piece = {
  points: Point[]
  number: number | null
  waist: number
  mirrored: boolean
  upside: boolean
  drawn: boolean
  corners: Point[] | null
}
const file = ref<File>()
const drawing = ref<Drawing>()
const pieces = ref<Piece[]>([])
const front = ref(3)
const unit = ref<'mm' | 'cm' | 'in' | 'px'>('mm')
const fault = ref('')
const answer = ref<TracedAnswer>()
const chooser = ref<HTMLInputElement>()
watch(shown, (now) => {
  if (now)
    [file.value, drawing.value, pieces.value, fault.value, answer.value] = [undefined, undefined, [], '', undefined]
})

async function read(chosen: File, size?: typeof unit.value) {
  fault.value = ''
  if (chosen.size > 4_000_000) {
    fault.value = `${chosen.name} has ${(chosen.size / 1e6).toFixed(1)} MB; a drawing has 4 MB at the most.`
    return
  }
  file.value = chosen
  try {
    drawing.value = await answered(
      api.POST('/api/drawings', { params: { query: { name: chosen.name, unit: size } }, body: chosen, ...asFile }),
    )
    pieces.value = drawing.value.pieces.map((piece, i) => ({
      points: piece.points,
      number: i < 9 ? i + 1 : null,
      waist: piece.waist_mm ?? 0,
      mirrored: false,
      upside: false,
      drawn: piece.waist_drawn,
      corners: null,
    }))
    front.value = Math.max(1, Math.ceil(pieces.value.length / 2))
  } catch (error) {
    drawing.value = undefined
    fault.value =
      error instanceof Refused ? `${chosen.name}: ${error.trouble.sentence}` : 'This file could not be read.'
  }
}
function choose(event: Event) {
  const input = event.target as HTMLInputElement
  if (input.files?.[0]) read(input.files[0])
  input.value = ''
}
const used = computed(() => pieces.value.filter((piece) => piece.number !== null))
const traced = computed<TracedPattern>(() => ({
  pieces: used.value.map((piece) => ({
    points: piece.points,
    number: piece.number!,
    waist_mm: piece.waist,
    mirrored: piece.mirrored,
    upside_down: piece.upside,
    corners: piece.corners,
  })),
  front_panels: Math.min(front.value, Math.max(1, used.value.length - 1)),
}))
let asked = 0
watch(
  traced,
  async (now) => {
    const mine = ++asked
    if (now.pieces.length < 2) {
      answer.value = undefined
      return
    }
    const found = await answered(
      api.POST('/api/builds/{build_id}/traced/check', { ...ofBuild(openBuild.here.id), body: now }),
    ).catch((error) => {
      fault.value = error instanceof Refused ? error.trouble.sentence : ''
      return undefined
    })
    if (mine === asked && found) {
      answer.value = found
      fault.value = ''
    }
  },
  { deep: true },
)
const saidOf = (number: number | null) => answer.value?.misfits.filter((misfit) => misfit.panel === number) ?? []
function turn(piece: Piece, how: string) {
  if (how !== 'upside down') piece.mirrored = !piece.mirrored
  if (how !== 'mirrored') piece.upside = !piece.upside
}
// corners: found by the server, moved by hand where it found others than meant
const CORNERS = ['hem at CF', 'top at CF', 'top at CB', 'hem at CB']
const cornersOf = (piece: Piece): Point[] =>
  piece.corners ?? (piece.number !== null ? answer.value?.corners[piece.number] : undefined) ?? []
const held = ref<{ piece: Piece; i: number }>()
const paper = ref<SVGSVGElement>()
function toDrawing(event: PointerEvent): Point {
  const at = touched(paper.value, event)
  return [at.x, -at.y]
}
function dragCorner(event: PointerEvent) {
  if (!held.value) return
  const { piece, i } = held.value
  const [x, y] = toDrawing(event)
  const spot = piece.points.reduce(
    (best, one) => (Math.hypot(one[0] - x, one[1] - y) < Math.hypot(best[0] - x, best[1] - y) ? one : best),
    piece.points[0],
  )
  piece.corners = cornersOf(piece).map((corner, k) => (k === i ? spot : corner))
}
function stepCorner(piece: Piece, i: number, event: KeyboardEvent) {
  const way = { ArrowLeft: -1, ArrowUp: -1, ArrowRight: 1, ArrowDown: 1 }[event.key]
  if (!way) return
  event.preventDefault()
  const [x, y] = cornersOf(piece)[i]
  const here = piece.points.reduce(
    (best, one, k) =>
      Math.hypot(one[0] - x, one[1] - y) < Math.hypot(piece.points[best][0] - x, piece.points[best][1] - y) ? k : best,
    0,
  )
  const next = piece.points[(here + way + piece.points.length) % piece.points.length]
  piece.corners = cornersOf(piece).map((corner, k) => (k === i ? next : corner))
}
// the drawing as it lies, on paper with y down
const box = computed(() => {
  const all = pieces.value.flatMap((piece) => piece.points)
  const xs = all.map((point) => point[0])
  const ys = all.map((point) => -point[1])
  return {
    x: Math.min(...xs) - 14,
    y: Math.min(...ys) - 24,
    w: Math.max(...xs) - Math.min(...xs) + 28,
    h: Math.max(...ys) - Math.min(...ys) + 44,
  }
})
const middle = (piece: Piece) => {
  const xs = piece.points.map((point) => point[0])
  return (Math.min(...xs) + Math.max(...xs)) / 2
}
const span = (piece: Piece) => {
  const xs = piece.points.map((point) => point[0])
  return [Math.min(...xs) - 6, Math.max(...xs) + 6]
}
const relative = (piece: Piece) => piece.waist - Math.min(...piece.points.map((point) => point[1]))
function setWaist(piece: Piece, text: string) {
  const size = Number(withUnit(text, '').trim().replace(',', '.'))
  if (Number.isFinite(size))
    piece.waist = Math.min(...piece.points.map((point) => point[1])) + size * (settings.unit === 'in' ? 25.4 : 10)
}
const stops = computed(() => answer.value?.misfits.some((misfit) => misfit.stops) ?? true)
async function keep() {
  if (await pattern.keepTraced(traced.value, file.value?.name ?? '')) shown.value = false
  else fault.value = Object.entries(openBuild.errors).find(([at]) => at.startsWith('traced'))?.[1] ?? ''
}
</script>

<template>
  <v-dialog v-model="shown" max-width="1180" aria-label="Trace a drawing">
    <v-card title="Trace a drawing">
      <v-card-text class="body">
        <input
          ref="chooser"
          type="file"
          accept=".svg,.dxf,image/svg+xml"
          class="hidden"
          aria-label="Drawing"
          @change="choose"
        />
        <div v-if="!drawing" class="first">
          <p>An SVG or DXF with the panels of one half as closed outlines, stitch line to stitch line.</p>
          <v-btn color="primary" variant="flat" @click="chooser?.click()">Choose a drawing</v-btn>
        </div>
        <div v-else-if="drawing.needs_unit" class="first">
          <p>{{ drawing.notes[0] }}</p>
          <v-btn-toggle v-model="unit" aria-label="Unit of the drawing"
            ><v-btn value="mm">mm</v-btn><v-btn value="cm">cm</v-btn><v-btn value="in">inches</v-btn
            ><v-btn value="px">pixels, 96 to the inch</v-btn></v-btn-toggle
          >
          <v-btn color="primary" variant="flat" @click="read(file!, unit)">Read it</v-btn>
        </div>
        <div v-else class="trace">
          <svg
            ref="paper"
            :viewBox="`${box.x} ${box.y} ${box.w} ${box.h}`"
            role="group"
            aria-label="The drawing"
            @pointermove="dragCorner"
            @pointerup="held = undefined"
          >
            <g
              v-for="(piece, i) in pieces"
              :key="i"
              :class="{ out: piece.number === null, odd: saidOf(piece.number).length }"
            >
              <path
                :d="
                  path(
                    piece.points.map(([x, y]): Point => [x, -y]),
                    true,
                  )
                "
              />
              <line :x1="span(piece)[0]" :x2="span(piece)[1]" :y1="-piece.waist" :y2="-piece.waist" class="waist" />
              <circle
                v-for="(spot, k) in cornersOf(piece)"
                :key="k"
                :cx="spot[0]"
                :cy="-spot[1]"
                :r="box.w / 170"
                class="corner"
                role="button"
                tabindex="0"
                :aria-label="`Panel ${piece.number}, ${CORNERS[k]}`"
                @pointerdown.prevent="held = { piece, i: k }"
                @keydown="stepCorner(piece, k, $event)"
              >
                <title>{{ CORNERS[k] }}</title>
              </circle>
              <text :x="middle(piece)" :y="-piece.waist - 8">
                {{ piece.number ?? '–' }}{{ piece.mirrored ? ' ⇋' : '' }}{{ piece.upside ? ' ⇅' : '' }}
              </text>
            </g>
          </svg>
          <div class="list">
            <p v-for="note in drawing.notes" :key="note" class="soft small">{{ note }}</p>
            <table class="numbers">
              <thead>
                <tr>
                  <th>panel</th>
                  <th>waist above its lowest, {{ settings.unit }}</th>
                  <th>turn</th>
                </tr>
              </thead>
              <tbody>
                <template v-for="(piece, i) in pieces" :key="i">
                  <tr>
                    <td>
                      <select v-model="piece.number" :aria-label="`Piece ${i + 1} is panel`">
                        <option :value="null">not used</option>
                        <option v-for="n in Math.min(9, pieces.length)" :key="n" :value="n">
                          {{ n }}{{ n === 1 ? ', CF' : n === used.length ? ', CB' : '' }}
                        </option>
                      </select>
                    </td>
                    <td>
                      <input
                        class="in"
                        :value="length(relative(piece), settings.unit, { bare: true })"
                        :aria-label="`Waistline of piece ${i + 1}`"
                        @change="setWaist(piece, ($event.target as HTMLInputElement).value)"
                      /><small v-if="!piece.drawn">narrowest</small>
                    </td>
                    <td class="turns">
                      <button
                        type="button"
                        :aria-pressed="piece.mirrored"
                        :aria-label="`Mirror piece ${i + 1}`"
                        title="Mirrored"
                        @click="piece.mirrored = !piece.mirrored"
                      >
                        ⇋</button
                      ><button
                        type="button"
                        :aria-pressed="piece.upside"
                        :aria-label="`Turn piece ${i + 1} upside down`"
                        title="Upside down"
                        @click="piece.upside = !piece.upside"
                      >
                        ⇅
                      </button>
                    </td>
                  </tr>
                  <tr v-for="one in saidOf(piece.number)" :key="one.sentence">
                    <td colspan="3" class="said">
                      {{ one.sentence }}
                      <v-btn v-if="one.turn" size="x-small" variant="outlined" @click="turn(piece, one.turn)"
                        >Turn it</v-btn
                      >
                    </td>
                  </tr>
                </template>
              </tbody>
            </table>
            <p class="front">
              <span id="trace-front">In front of the side seam</span
              ><v-btn-toggle v-model="front" aria-labelledby="trace-front"
                ><v-btn v-for="n in Math.max(1, used.length - 1)" :key="n" :value="n" size="small">{{
                  n
                }}</v-btn></v-btn-toggle
              >
            </p>
            <p v-if="answer && Object.keys(answer.sewn_mm).length" class="girths">
              Sewn:
              <span v-for="[name, mm] in entriesOf(answer.sewn_mm)" :key="name"
                >{{ LEVEL_LABELS[name as LevelName].toLowerCase() }}
                <b class="in">{{ length(mm, settings.unit) }}</b></span
              >
            </p>
            <v-btn size="small" variant="text" @click="chooser?.click()">Another drawing</v-btn>
          </div>
        </div>
        <p v-if="fault" class="said" role="alert">{{ fault }}</p>
      </v-card-text>
      <v-card-actions>
        <v-btn @click="shown = false">Leave it</v-btn>
        <v-btn v-if="pieces.length" color="primary" variant="flat" :disabled="stops" @click="keep"
          >Make it version {{ openBuild.build.versions.length + 1 }}</v-btn
        >
      </v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.hidden {
  display: none;
}
.first {
  display: grid;
  gap: 14px;
  justify-items: start;
  padding: 18px 0;
}
.trace {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 400px;
  gap: 20px;
}
svg {
  width: 100%;
  height: 470px;
  background: var(--bench);
  border-radius: 4px;
}
path {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 1.4;
  vector-effect: non-scaling-stroke;
}
.out {
  opacity: 0.35;
}
.odd path {
  stroke: var(--takein);
  stroke-width: 2;
}
.waist {
  stroke: var(--ink);
  stroke-width: 1.6;
  vector-effect: non-scaling-stroke;
}
text {
  text-anchor: middle;
  font-size: 22px;
  font-weight: 600;
  fill: var(--steel);
}
.corner {
  fill: var(--paper);
  stroke: var(--letout);
  stroke-width: 2;
  vector-effect: non-scaling-stroke;
  cursor: grab;
}
.corner:focus-visible {
  fill: var(--letout);
}
.list {
  max-height: 500px;
  overflow-y: auto;
}
select,
input {
  font: inherit;
  border: 1px solid #8b99a5;
  border-radius: 3px;
  padding: 3px 6px;
  background: var(--paper);
  color: var(--ink);
}
input {
  width: 78px;
  text-align: right;
}
small {
  color: var(--steel);
  margin-left: 6px;
}
.turns button {
  font-size: 1.15rem;
  padding: 0 8px;
  border: 1px solid var(--line);
  border-radius: 3px;
  margin-right: 4px;
  color: var(--ink);
}
.turns [aria-pressed='true'] {
  background: var(--ink);
  color: var(--paper);
}
.said {
  color: var(--takein);
}
.front {
  display: flex;
  gap: 10px;
  align-items: center;
  margin: 10px 0;
}
.front :deep(.v-btn) {
  min-width: 32px;
  padding: 0 8px;
}
.girths span {
  margin-right: 10px;
  white-space: nowrap;
}
@media (max-width: 899px) {
  .trace {
    grid-template-columns: minmax(0, 1fr);
    overflow-y: auto;
  }
}
</style>
