<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { answer, api, asFile, ofBuild, Refused } from '../../api/client'
import type { BackPhoto, GapSeen } from '../../api/types'
import { useOpenBuild } from '../../stores/openBuild'
import { PAGE } from '../../stores/news'
import { useSettings } from '../../stores/settings'
import { hardware, length, withUnit } from '../../parts/words'
import { touched } from '../../parts/touch'

// The gap from a photo of the back: a known length, the waist, both edges at some heights. Marks are dragged, or moved
// by arrows.
const props = defineProps<{ photo?: BackPhoto }>()
const emit = defineEmits<{ take: [photo: BackPhoto, read: GapSeen[]]; leave: []; marked: [photo: BackPhoto] }>()
const openBuild = useOpenBuild()
const settings = useSettings()
type Spot = [number, number]
type Picked = { what: 'scale' | 'waist' | 'row'; i: number; side: 0 | 1 }
const file = ref<{ id: string; width_px: number; height_px: number; name: string } | undefined>(
  props.photo && { ...props.photo, name: props.photo.name },
)
const corners = ref((props.photo?.scale.length ?? 2) > 2)
const scale = ref<Spot[]>([...((props.photo?.scale ?? []) as Spot[])])
const waist = ref<Spot | undefined>((props.photo?.waist as Spot | null) ?? undefined)
const rows = ref<Spot[][]>((props.photo?.rows ?? []).map((row) => row.map((spot) => [...spot] as Spot)))
/** A length as it was typed, if it was only typed so far. */
const typed = (mm: unknown) =>
  typeof mm === 'string' ? mm : typeof mm === 'number' ? length(mm, settings.unit, { bare: true }) : ''
const known = ref(typed(props.photo?.known_mm))
const knownHigh = ref(typed(props.photo?.known_high_mm))
const picked = ref<Picked | null>(null)
const size = computed(() => ({ wide: file.value?.width_px ?? 1, high: file.value?.height_px ?? 1 }))
const read = ref<GapSeen[]>([])
const said = ref<{ at: string; text: string }>()
const next = computed<'scale' | 'waist' | 'row'>(() =>
  scale.value.length < (corners.value ? 4 : 2) ? 'scale' : !waist.value ? 'waist' : 'row',
)
const CORNERS = ['top left', 'top right', 'bottom right', 'bottom left']
const task = computed(() => {
  const half = rows.value[rows.value.length - 1]?.length === 1
  if (next.value === 'scale')
    return corners.value
      ? `Touch the ${CORNERS[scale.value.length]} corner of the rectangle`
      : scale.value.length
        ? 'Touch its other end'
        : 'Touch one end of a length that you know'
  if (next.value === 'waist') return 'Touch where the waist crosses the gap'
  return half
    ? 'Touch the right edge at the same height'
    : `Touch the left edge of the gap${rows.value.length ? ' at another height' : ''}`
})
async function upload(files: FileList | null) {
  const chosen = files?.[0]
  if (!chosen) return
  try {
    file.value = {
      ...(await answer(
        api.POST('/api/photos', {
          params: { query: { name: chosen.name, build: openBuild.here.id, page: PAGE } },
          body: chosen,
          ...asFile,
        }),
      )),
      name: chosen.name.replace(/\.\w+$/, ''),
    }
    said.value = undefined
    clear()
  } catch (error) {
    said.value = { at: 'file', text: error instanceof Refused ? error.trouble.sentence : 'It could not be read.' }
  }
}
function clear() {
  scale.value = []
  waist.value = undefined
  rows.value = []
  read.value = []
  picked.value = null
}
const frame = ref<SVGSVGElement>()
function spot(event: MouseEvent): Spot {
  // through the drawing's own frame, since the picture stands in the middle of it
  const at = touched(frame.value, event)
  const held = (value: number) => Math.round(Math.min(1, Math.max(0, value)) * 1e5) / 1e5
  return [held(at.x / size.value.wide), held(at.y / size.value.high)]
}
let dragged = false
function touch(event: MouseEvent) {
  if (dragged) return void (dragged = false)
  const at = spot(event)
  if (next.value === 'scale') picked.value = { what: 'scale', i: scale.value.push(at) - 1, side: 0 }
  else if (next.value === 'waist') {
    waist.value = at
    picked.value = { what: 'waist', i: 0, side: 0 }
  } else {
    const last = rows.value.at(-1)
    if (last?.length === 1) last.push(at)
    else rows.value.push([at])
    picked.value = {
      what: 'row',
      i: rows.value.length - 1,
      side: (rows.value[rows.value.length - 1].length - 1) as 0 | 1,
    }
  }
}
function put(one: Picked, at: Spot) {
  if (one.what === 'scale') scale.value[one.i] = at
  else if (one.what === 'waist') waist.value = at
  else rows.value[one.i][one.side] = at
}
const where = (picked: Picked): Spot =>
  picked.what === 'scale'
    ? scale.value[picked.i]
    : picked.what === 'waist'
      ? (waist.value ?? [0, 0])
      : rows.value[picked.i][picked.side]
function grab(one: Picked, event: PointerEvent) {
  picked.value = one
  dragged = true
  const move = (to: PointerEvent) => put(one, spot(to))
  const drop = () => {
    window.removeEventListener('pointermove', move)
    window.removeEventListener('pointerup', drop)
    setTimeout(() => (dragged = false))
  }
  window.addEventListener('pointermove', move)
  window.addEventListener('pointerup', drop)
  event.stopPropagation()
}
function nudge(event: KeyboardEvent) {
  const one = picked.value
  const way = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key]
  if (!one) return
  if (way) {
    const step = event.shiftKey ? 10 : 1
    const [x, y] = where(one)
    put(one, [x + (way[0] * step) / size.value.wide, y + (way[1] * step) / size.value.high])
  } else if (event.key === 'Delete' || event.key === 'Backspace') {
    if (one.what === 'scale') scale.value = []
    else if (one.what === 'waist') waist.value = undefined
    else rows.value.splice(one.i, 1)
    picked.value = null
  } else return
  event.preventDefault()
}
const marks = computed<{ key: string; one: Picked; at: Spot; label: string }[]>(() => [
  ...scale.value.map((at, i) => ({
    key: `s${i}`,
    one: { what: 'scale' as const, i, side: 0 as const },
    at,
    label: `Scale mark ${i + 1}`,
  })),
  ...(waist.value
    ? [{ key: 'w', one: { what: 'waist' as const, i: 0, side: 0 as const }, at: waist.value, label: 'Waist mark' }]
    : []),
  ...rows.value.flatMap((row, i) =>
    row.map((at, side) => ({
      key: `r${i}${side}`,
      one: { what: 'row' as const, i, side: side as 0 | 1 },
      at,
      label: `${side ? 'Right' : 'Left'} edge ${i + 1}`,
    })),
  ),
])
const markedPhoto = computed<BackPhoto | undefined>(
  () =>
    file.value && {
      id: file.value.id,
      name: file.value.name,
      width_px: file.value.width_px,
      height_px: file.value.height_px,
      scale: scale.value,
      known_mm: known.value.trim() ? (withUnit(known.value, settings.unit) as unknown as number) : null,
      known_high_mm:
        corners.value && knownHigh.value.trim()
          ? (withUnit(knownHigh.value, settings.unit) as unknown as number)
          : null,
      waist: waist.value ?? null,
      rows: rows.value.filter((row) => row.length === 2).map((row) => [row[0], row[1]] as [Spot, Spot]),
    },
)
// held with the fitting while it is marked; half a row too, as the edge that is marked so far
watch(
  () => [file.value, scale.value, waist.value, rows.value, known.value, knownHigh.value],
  () => markedPhoto.value && emit('marked', halfDone(markedPhoto.value)),
  { deep: true },
)
const halfDone = (photo: BackPhoto): BackPhoto => ({
  ...photo,
  known_mm: (known.value || null) as unknown as number | null,
  known_high_mm: (knownHigh.value || null) as unknown as number | null,
  rows: rows.value as unknown as BackPhoto['rows'],
})
let asked = 0
watch(
  markedPhoto,
  async (marked) => {
    const mine = ++asked
    if (!marked || next.value !== 'row' || !marked.rows.length || !marked.known_mm) {
      read.value = []
      said.value = undefined
      return
    }
    try {
      const found = await answer(
        api.POST('/api/builds/{build_id}/photo', { ...ofBuild(openBuild.here.id), body: marked }),
      )
      if (mine === asked) {
        read.value = found
        said.value = undefined
      }
    } catch (error) {
      if (mine !== asked) return
      read.value = []
      const fault = error instanceof Refused ? error.trouble.faults[0] : undefined
      said.value = {
        at: fault?.at ?? '',
        text: fault?.sentence ?? (error instanceof Refused ? error.trouble.sentence : 'It could not be measured.'),
      }
    }
  },
  { deep: true, immediate: true },
)
const px = ([x, y]: Spot): [number, number] => [x * size.value.wide, y * size.value.high]
const dot = computed(() => (file.value ? Math.max(file.value.width_px, file.value.height_px) / 110 : 6))
const cross = ([x, y]: number[]) => {
  const arm = dot.value * 1.8
  return `M${x - arm} ${y}h${2 * arm}M${x} ${y - arm}v${2 * arm}`
}
</script>

<template>
  <v-dialog :model-value="true" width="1180" persistent aria-label="A photo of the back" @keydown.esc="emit('leave')">
    <v-card class="photo" aria-label="Gap from a photo">
      <div class="picture" @keydown="nudge">
        <div v-if="!file" class="none">
          <h2>A photo of the back</h2>
          <p>
            Straight from behind, the whole gap in the picture, with something of a known length in the plane of her
            back: a ruler, or a sheet of card.
          </p>
          <label class="choose"
            ><input
              type="file"
              accept="image/jpeg,image/png,image/webp"
              aria-label="Photo of the back"
              @change="upload(($event.target as HTMLInputElement).files)"
            />Choose a photo</label
          >
        </div>
        <svg
          v-else
          ref="frame"
          :viewBox="`0 0 ${file.width_px} ${file.height_px}`"
          role="application"
          aria-label="Photo with its marks"
          @click="touch"
        >
          <image :href="`/api/pictures/${file.id}`" :width="file.width_px" :height="file.height_px" />
          <polygon v-if="scale.length > 1" :points="scale.map((at) => px(at).join(',')).join(' ')" class="scale" />
          <template v-for="(row, i) in rows" :key="i">
            <line
              v-if="row.length === 2"
              :x1="px(row[0])[0]"
              :y1="px(row[0])[1]"
              :x2="px(row[1])[0]"
              :y2="px(row[1])[1]"
              class="row"
            />
          </template>
          <g
            v-for="mark in marks"
            :key="mark.key"
            tabindex="0"
            role="button"
            :aria-label="mark.label"
            class="mark"
            :class="[
              mark.one.what,
              {
                now:
                  picked && picked.what === mark.one.what && picked.i === mark.one.i && picked.side === mark.one.side,
              },
            ]"
            @pointerdown="grab(mark.one, $event)"
            @click.stop
            @focus="picked = mark.one"
          >
            <circle :cx="px(mark.at)[0]" :cy="px(mark.at)[1]" :r="dot" />
            <path :d="cross(px(mark.at))" />
          </g>
        </svg>
      </div>
      <aside>
        <h1>Gap from a photo</h1>
        <template v-if="file">
          <p class="task" aria-live="polite">{{ task }}</p>
          <div class="how" role="radiogroup" aria-label="What is known">
            <button
              type="button"
              role="radio"
              :aria-checked="!corners"
              @click="
                () => {
                  corners = false
                  scale = []
                }
              "
            >
              a length
            </button>
            <button
              type="button"
              role="radio"
              :aria-checked="corners"
              @click="
                () => {
                  corners = true
                  scale = []
                }
              "
            >
              a rectangle, seen at a slant
            </button>
          </div>
          <label
            >{{ corners ? 'Its width' : 'That length' }}
            <span
              ><input v-model="known" class="in" aria-label="Known length" :aria-invalid="said?.at === 'known_mm'" />
              {{ settings.unit }}</span
            ></label
          >
          <label v-if="corners"
            >Its height
            <span
              ><input
                v-model="knownHigh"
                class="in"
                aria-label="Known height"
                :aria-invalid="said?.at === 'known_high_mm'"
              />
              {{ settings.unit }}</span
            ></label
          >
          <table v-if="read.length" class="numbers" aria-label="Gaps on the photo">
            <thead>
              <tr>
                <th>height</th>
                <th class="n">gap</th>
                <th class="n">give or take</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="(one, i) in read" :key="i">
                <td class="in">{{ length(one.z_mm, settings.unit) }}</td>
                <td class="n in">
                  <b>{{ hardware(one.gap_mm, settings.unit) }}</b>
                </td>
                <td class="n in">± {{ hardware(one.spread_mm, settings.unit) }}</td>
              </tr>
            </tbody>
          </table>
          <p v-if="picked" class="soft small">
            Arrows move the mark by a pixel, with Shift by ten; Delete takes it out.
          </p>
        </template>
        <p v-if="said" class="bad" role="alert">{{ said.text }}</p>
        <div class="acts">
          <v-btn color="primary" :disabled="!read.length" @click="markedPhoto && emit('take', markedPhoto, read)"
            >Take {{ read.length === 1 ? 'this gap' : `these ${read.length || ''} gaps` }}</v-btn
          >
          <v-btn v-if="file" variant="outlined" @click="clear">Mark anew</v-btn>
          <v-btn variant="text" @click="emit('leave')">Leave it</v-btn>
        </div>
      </aside>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.photo {
  display: grid !important;
  grid-template-columns: minmax(0, 1fr) 320px;
  height: 720px;
}
.picture {
  background: var(--bench);
  display: grid;
  place-items: center;
  min-height: 0;
  overflow: hidden;
}
svg {
  max-width: 100%;
  max-height: 720px;
  width: 100%;
  height: 100%;
  cursor: crosshair;
}
.none {
  text-align: center;
  padding: 40px;
  max-width: 460px;
}
.choose {
  display: inline-block;
  background: var(--ink);
  color: var(--paper);
  padding: 10px 18px;
  border-radius: 4px;
  cursor: pointer;
}
.choose:focus-within {
  outline: 2px solid var(--letout);
  outline-offset: 2px;
}
.choose input {
  position: absolute;
  opacity: 0;
  width: 1px;
}
aside {
  padding: 16px;
  display: flex;
  flex-direction: column;
  gap: 10px;
  border-left: 1px solid var(--line);
  overflow-y: auto;
}
h1 {
  font-size: 1.18rem;
}
.task {
  font-size: 1.08rem;
  font-weight: 600;
  margin: 0;
  background: var(--marked);
  padding: 8px 10px;
  border-radius: 4px;
}
label {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
aside input {
  width: 92px;
  font: inherit;
  border: 1px solid #8b99a5;
  border-radius: 3px;
  padding: 5px 7px;
  text-align: right;
  background: var(--paper);
  color: var(--ink);
}
aside input[aria-invalid='true'] {
  border-color: var(--takein);
}
.how {
  display: flex;
  gap: 6px;
}
.how button {
  border: 1px solid var(--line);
  border-radius: 4px;
  padding: 6px 10px;
  font: inherit;
  color: var(--ink);
}
.how [aria-checked='true'] {
  background: var(--ink);
  color: var(--paper);
}
.scale {
  fill: none;
  stroke: #c03fae;
  stroke-width: 3;
  vector-effect: non-scaling-stroke;
}
.row {
  stroke: #1f5fa8;
  stroke-width: 3;
  vector-effect: non-scaling-stroke;
}
.mark circle {
  fill: #ffffffb0;
  stroke: #1d2733;
  stroke-width: 1.5;
  vector-effect: non-scaling-stroke;
}
.mark path {
  stroke: #1d2733;
  stroke-width: 1;
  vector-effect: non-scaling-stroke;
  fill: none;
}
.mark.now circle {
  fill: #ffdf6b;
}
.mark.waist circle {
  fill: #8fd0b0;
}
.mark {
  cursor: grab;
  outline: none;
}
.bad {
  color: var(--takein);
  margin: 0;
}
.acts {
  margin-top: auto;
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
}
@media (max-width: 899px) {
  .photo {
    grid-template-columns: minmax(0, 1fr);
    overflow-y: auto;
  }
}
</style>
