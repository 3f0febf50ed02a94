<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { answer, api, ofBuild } from '../../api/client'
import type { LinesSeen, Picture } from '../../api/types'
import { useOpenBuild } from '../../stores/openBuild'
import { useNotices } from '../../stores/notices'
import { useAddPicture } from '../../commands/pictures'

// Reference pictures and sketches, with lines marked on them; sketches side by side, one chosen.
const openBuild = useOpenBuild()
const addPicture = useAddPicture()
const notices = useNotices()
const pictures = computed<Picture[]>(() => openBuild.build.brief.pictures)
const sketches = computed(() => pictures.value.filter((picture) => picture.role === 'sketch'))
const here = ref(0)
const picture = computed<Picture | undefined>(() => pictures.value[Math.min(here.value, pictures.value.length - 1)])
const at = computed(() => `brief.pictures.${Math.min(here.value, pictures.value.length - 1)}`)
const comparing = ref(false)
const LINES = ['top line', 'hem', 'closure', 'seam', 'trim'] as const
const ACROSS = [
  'waist across',
  'shoulders across',
  'chest across',
  'bust across',
  'underbust across',
  'high hip across',
  'hip across',
] as const
const kind = ref<(typeof LINES)[number] | (typeof ACROSS)[number]>('top line')
type Spot = [number, number]
const drawing = ref<Spot[]>([])
const picked = ref<number>()
watch(here, () => ((drawing.value = []), (picked.value = undefined)))
const chooser = ref<HTMLInputElement>()
let role: 'reference' | 'sketch' = 'reference'
function add(what: typeof role) {
  role = what
  chooser.value?.click()
}
async function take(files: FileList | null | undefined) {
  for (const file of files ?? []) {
    if (file.size > 20_000_000)
      notices.tell(`${file.name} has ${(file.size / 1e6).toFixed(0)} MB; a picture has 20 MB at the most.`)
    else if (await addPicture(file, role)) here.value = pictures.value.length - 1
  }
}
const set = (field: string, value: unknown) => openBuild.set(`${at.value}.${field}`, value)
const marks = computed(() => picture.value?.marks ?? [])
const setMarks = (next: unknown[], label: string) => openBuild.edit([{ at: `${at.value}.marks`, value: next }], label)
function spot(event: MouseEvent): Spot {
  const frame = (event.currentTarget as Element).getBoundingClientRect()
  return [held((event.clientX - frame.left) / frame.width), held((event.clientY - frame.top) / frame.height)]
}
function click(event: MouseEvent) {
  if (dragged) return void (dragged = false)
  picked.value = undefined
  drawing.value = [...drawing.value, spot(event)]
}
function finish() {
  const points = drawing.value.filter(
    (one, i, all) => !i || Math.hypot(one[0] - all[i - 1][0], one[1] - all[i - 1][1]) > 0.002,
  )
  drawing.value = []
  if (points.length > 1)
    setMarks(
      [...marks.value, { kind: kind.value, points }],
      `${kind.value[0].toUpperCase()}${kind.value.slice(1)} marked`,
    )
}
function key(event: KeyboardEvent) {
  if (event.key === 'Enter' && drawing.value.length) finish()
  else if (event.key === 'Escape') drawing.value = []
  else if ((event.key === 'Delete' || event.key === 'Backspace') && picked.value !== undefined) drop(picked.value)
  else if (picked.value !== undefined && event.key in NUDGES) nudge(event)
  else if (event.key === 'Backspace' && drawing.value.length) drawing.value = drawing.value.slice(0, -1)
  else return
  event.preventDefault()
}
// a mark that is picked is moved: a point of it by hand, all of it by the arrows
const NUDGES: Record<string, Spot> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }
const held = (value: number) => Math.round(Math.min(1, Math.max(0, value)) * 1e4) / 1e4
const moved = ref<Spot[]>()
let dragged = false
const replaced = (i: number, points: Spot[]) =>
  setMarks(
    marks.value.map((mark, k) => (k === i ? { ...mark, points } : mark)),
    `${marks.value[i].kind[0].toUpperCase()}${marks.value[i].kind.slice(1)} moved`,
  )
function nudge(event: KeyboardEvent) {
  const by = event.shiftKey ? 0.01 : 0.002
  const [x, y] = NUDGES[event.key]
  void replaced(
    picked.value!,
    marks.value[picked.value!].points.map((point) => [held(point[0] + x * by), held(point[1] + y * by)] as Spot),
  )
}
function grab(event: PointerEvent, i: number, point: number) {
  const svg = (event.currentTarget as Element).closest('svg')!
  const points = marks.value[i].points.map((point) => [...point] as Spot)
  const move = (next: PointerEvent) => {
    const frame = svg.getBoundingClientRect()
    points[point] = [held((next.clientX - frame.left) / frame.width), held((next.clientY - frame.top) / frame.height)]
    moved.value = [...points]
    dragged = true
  }
  const end = () => {
    window.removeEventListener('pointermove', move)
    window.removeEventListener('pointerup', end)
    if (moved.value) void replaced(i, points)
    moved.value = undefined
  }
  window.addEventListener('pointermove', move)
  window.addEventListener('pointerup', end)
}
const shownPoints = (i: number) => (picked.value === i && moved.value ? moved.value : (marks.value[i].points as Spot[]))

// the garment, and her outline in it, laid over the picture
const over = ref(false)
const lines = ref<LinesSeen['pictures']>([])
const back = computed(() => lines.value.find((line) => line.picture === picture.value?.id))
watch(
  () => [over.value, openBuild.latest?.revision],
  async () => {
    if (over.value)
      lines.value = await answer(api.GET('/api/builds/{build_id}/lines', ofBuild(openBuild.here.id)))
        .then((found) => found.pictures)
        .catch(() => [])
  },
)
const drop = (i: number) => {
  picked.value = undefined
  setMarks(
    marks.value.filter((_, k) => k !== i),
    'Mark taken out',
  )
}
const remove = () =>
  openBuild.edit(
    [{ at: 'brief.pictures', value: pictures.value.filter((one) => one !== picture.value) }],
    'Picture taken out',
  )
const line = (points: number[][], picture: Picture) =>
  points.map(([x, y]) => `${x * picture.width_px},${y * picture.height_px}`).join(' ')
const thick = (picture: Picture) => Math.max(picture.width_px, picture.height_px) / 260
const choose = (picture: Picture) =>
  openBuild.set('brief.chosen_sketch', openBuild.build.brief.chosen_sketch === picture.id ? null : picture.id)
const chosen = computed(() => sketches.value.find((sketch) => sketch.id === openBuild.build.brief.chosen_sketch))
const because = ref('')
watch(
  () => openBuild.build.brief.chosen_because,
  (text) => (because.value = text),
  { immediate: true },
)
</script>

<template>
  <section class="pictures" aria-label="Pictures" @dragover.prevent @drop.prevent="take($event.dataTransfer?.files)">
    <input
      ref="chooser"
      type="file"
      accept="image/jpeg,image/png,image/webp"
      multiple
      class="hidden"
      aria-label="Picture"
      @change="
        (event) => {
          const input = event.target as HTMLInputElement
          take(input.files)
          input.value = ''
        }
      "
    />
    <div class="bar">
      <button
        v-for="(one, i) in pictures"
        :key="one.id"
        type="button"
        class="thumb"
        :class="{ now: !comparing && one === picture, chosen: one.id === chosen?.id }"
        :aria-label="`${one.role} ${one.name || i + 1}`"
        @click="
          () => {
            here = i
            comparing = false
          }
        "
      >
        <img :src="`/api/pictures/${one.id}`" alt="" />
      </button>
      <v-btn size="small" variant="outlined" @click="add('reference')">Add a reference</v-btn>
      <v-btn size="small" variant="outlined" @click="add('sketch')">Add a sketch</v-btn>
      <span class="spring" />
      <v-btn
        v-if="sketches.length > 1"
        size="small"
        :variant="comparing ? 'flat' : 'outlined'"
        :color="comparing ? 'primary' : undefined"
        @click="comparing = !comparing"
        >Sketches side by side</v-btn
      >
    </div>
    <div v-if="!pictures.length" class="none">
      <h2>The pictures you work from</h2>
      <p>
        Film stills, drawings, your own sketches: JPEG, PNG or WebP. Mark on them where the top line, hem, closure and
        seams run.
      </p>
      <v-btn color="primary" @click="add('reference')">Add a reference</v-btn>
    </div>
    <div v-else-if="comparing" class="compare">
      <figure v-for="sketch in sketches" :key="sketch.id" :class="{ chosen: sketch.id === chosen?.id }">
        <img :src="`/api/pictures/${sketch.id}`" :alt="sketch.name" />
        <figcaption>
          <b>{{ sketch.name || 'Sketch' }}</b> {{ sketch.note
          }}<v-btn
            size="small"
            :variant="sketch.id === chosen?.id ? 'flat' : 'outlined'"
            :color="sketch.id === chosen?.id ? 'success' : undefined"
            @click="choose(sketch)"
            >{{ sketch.id === chosen?.id ? 'Chosen' : 'Choose this one' }}</v-btn
          >
        </figcaption>
      </figure>
      <v-text-field
        v-if="chosen"
        v-model="because"
        class="because"
        label="Chosen because"
        @change="openBuild.set('brief.chosen_because', because)"
      />
    </div>
    <template v-else-if="picture">
      <div class="tools">
        <v-btn-toggle v-model="kind" aria-label="Mark"
          ><v-btn v-for="known in LINES" :key="known" :value="known" size="small">{{ known }}</v-btn></v-btn-toggle
        >
        <v-select
          class="width"
          label="A width"
          :model-value="kind.endsWith('across') ? kind : null"
          :items="ACROSS.map((one) => ({ value: one, title: one.replace(' across', '') }))"
          @update:model-value="(one: typeof kind) => (kind = one)"
        />
        <v-btn v-if="drawing.length > 1" size="small" color="primary" @click="finish">Mark the {{ kind }}</v-btn>
        <v-btn v-if="drawing.length" size="small" variant="text" @click="drawing = []">Leave it</v-btn>
        <v-btn v-if="picked !== undefined" size="small" variant="outlined" @click="drop(picked)"
          >Take out this {{ marks[picked]?.kind }}</v-btn
        >
        <span class="spring" />
        <label class="check"><input v-model="over" type="checkbox" /> the garment on it</label>
        <span v-if="over && back?.fault" class="soft small">{{ back.fault }}</span>
        <v-btn size="small" variant="text" @click="remove">Take out the picture</v-btn>
      </div>
      <div class="stage">
        <svg
          :viewBox="`0 0 ${picture.width_px} ${picture.height_px}`"
          tabindex="0"
          role="group"
          :aria-label="`Picture ${picture.name}, click to mark the ${kind}`"
          :style="{ aspectRatio: `${picture.width_px} / ${picture.height_px}` }"
          @click="click"
          @dblclick.prevent="finish"
          @keydown="key"
        >
          <image :href="`/api/pictures/${picture.id}`" :width="picture.width_px" :height="picture.height_px" />
          <g
            v-for="(mark, i) in marks"
            :key="i"
            class="mark"
            :class="[mark.kind.replaceAll(' ', '-'), { picked: picked === i, across: mark.kind.endsWith('across') }]"
            @click.stop="
              () => {
                picked = i
                drawing = []
              }
            "
          >
            <polyline :points="line(shownPoints(i), picture)" class="under" :stroke-width="thick(picture) * 2.4" />
            <polyline :points="line(shownPoints(i), picture)" :stroke-width="thick(picture)" />
            <text
              :x="mark.points[0][0] * picture.width_px"
              :y="mark.points[0][1] * picture.height_px - thick(picture) * 2"
              :font-size="thick(picture) * 7.5"
            >
              {{ mark.kind }}
            </text>
          </g>
          <g v-if="picked !== undefined && marks[picked]" class="mark" :class="marks[picked].kind.replaceAll(' ', '-')">
            <circle
              v-for="(point, k) in shownPoints(picked)"
              :key="k"
              class="point"
              :cx="point[0] * picture.width_px"
              :cy="point[1] * picture.height_px"
              :r="thick(picture) * 2.2"
              @pointerdown.stop.prevent="grab($event, picked, k)"
              @click.stop
            />
          </g>
          <g v-if="over && back" class="worn" aria-label="The garment on the picture" role="img">
            <polyline
              v-for="(one, i) in [...back.outline, ...back.back]"
              :key="i"
              :class="one.what"
              :points="line(one.points, picture)"
              :stroke-width="thick(picture) * (one.what === 'outline' ? 0.7 : 0.9)"
            />
          </g>
          <g
            v-if="drawing.length"
            class="mark drawing"
            :class="[kind.replaceAll(' ', '-'), { across: kind.endsWith('across') }]"
          >
            <polyline :points="line(drawing, picture)" :stroke-width="thick(picture)" />
            <circle
              v-for="(one, i) in drawing"
              :key="i"
              :cx="one[0] * picture.width_px"
              :cy="one[1] * picture.height_px"
              :r="thick(picture) * 1.6"
            />
          </g>
        </svg>
      </div>
      <div class="about">
        <v-text-field
          label="Called"
          :model-value="picture.name"
          @change="(event: Event) => set('name', (event.target as HTMLInputElement).value)"
        />
        <v-text-field
          label="What to see in it"
          :model-value="picture.note"
          @change="(event: Event) => set('note', (event.target as HTMLInputElement).value)"
        />
      </div>
    </template>
  </section>
</template>

<style scoped>
.width {
  flex: 0 0 122px;
}
.pictures {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  grid-template-rows: auto auto minmax(0, 1fr) auto;
  gap: 10px;
  padding: 14px 16px;
  min-width: 0;
  min-height: 0;
  height: 100%;
}
.hidden {
  display: none;
}
.spring {
  flex: 1;
}
.bar,
.tools {
  display: flex;
  gap: 8px;
  align-items: center;
  flex-wrap: wrap;
}
.thumb {
  width: 46px;
  height: 46px;
  padding: 0;
  border: 2px solid var(--line) !important;
  border-radius: 3px;
  overflow: hidden;
}
.thumb img {
  width: 100%;
  height: 100%;
  object-fit: cover;
}
.thumb.now {
  border-color: var(--ink) !important;
}
.thumb.chosen {
  border-color: var(--settled) !important;
}
.none {
  grid-row: 2 / -1;
  border: 1px dashed var(--dot);
  border-radius: 4px;
  display: grid;
  align-content: center;
  justify-items: center;
  gap: 8px;
  padding: 30px;
  text-align: center;
}
.none p {
  max-width: 360px;
  margin: 0 0 6px;
}
.stage {
  min-height: 0;
  display: grid;
  place-items: center;
  background: var(--bench);
  border-radius: 4px;
  overflow: hidden;
}
.stage svg {
  max-width: 100%;
  max-height: 100%;
  height: 100%;
  cursor: crosshair;
}
@media (max-width: 899px) {
  .pictures {
    height: auto;
    grid-template-rows: auto;
  }
  .stage svg {
    height: auto;
    width: 100%;
    max-height: 75vh;
  }
}
.mark {
  cursor: pointer;
}
.point {
  fill: var(--paper);
  stroke: currentColor;
  stroke-width: 2;
  cursor: grab;
}
.worn polyline {
  fill: none;
  stroke: #fff;
  paint-order: stroke;
  filter: drop-shadow(0 0 1px #000) drop-shadow(0 0 1px #000);
  pointer-events: none;
}
.worn .outline {
  stroke-dasharray: 6 4;
}
.check {
  display: flex;
  gap: 6px;
  align-items: center;
}
.mark polyline {
  fill: none;
  stroke: currentColor;
  stroke-linejoin: round;
  stroke-linecap: round;
}
.mark .under {
  stroke: #fcfcfa;
  stroke-opacity: 0.75;
}
.mark.across {
  color: #b4325e;
}
.mark text {
  fill: currentColor;
  font-weight: 650;
  paint-order: stroke;
  stroke: #fcfcfa;
  stroke-width: 0.35em;
}
.mark circle {
  fill: #fcfcfa;
  stroke: currentColor;
  stroke-width: 3;
}
.top-line {
  color: #1f5fa8;
}
.hem {
  color: #b4325e;
}
.closure {
  color: #2c7a55;
}
.seam {
  color: #1d2733;
}
.trim {
  color: #8a6314;
}
.picked polyline:last-of-type {
  stroke-dasharray: 8 6;
}
.seam polyline:last-of-type {
  stroke-dasharray: 14 7;
}
.closure polyline:last-of-type {
  stroke-dasharray: 3 8;
}
.trim polyline:last-of-type {
  stroke-dasharray: 16 6 3 6;
}
.about {
  display: grid;
  grid-template-columns: 1fr 2fr;
  gap: 10px;
}
.compare {
  grid-row: 2 / -1;
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(180px, 1fr));
  gap: 12px;
  align-content: start;
  overflow-y: auto;
}
.compare figure {
  margin: 0;
  border: 2px solid var(--line);
  border-radius: 4px;
  padding: 8px;
}
.compare .chosen {
  border-color: var(--settled);
}
.compare img {
  width: 100%;
  max-height: 420px;
  object-fit: contain;
}
figcaption {
  display: flex;
  gap: 8px;
  align-items: center;
  justify-content: space-between;
  flex-wrap: wrap;
}
.because {
  grid-column: 1 / -1;
}
</style>
