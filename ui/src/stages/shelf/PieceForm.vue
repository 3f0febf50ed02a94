<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { answer, api, asFile, Refused } from '../../api/client'
import type { Article, OnShelf, Point } from '../../api/types'
import { length, withUnit } from '../../parts/words'
import { path } from '../../surface/flat'
import { useSettings } from '../../stores/settings'
import { useDraft, whenSaved } from '../../parts/useDraft'
import { useShelf } from '../../stores/shelf'
import { cornersIn, outlinesIn } from './corners'
import ScrapPhoto from './ScrapPhoto.vue'
import { onShelf } from '../../commands/shelf'

// A piece for the shelf: what it is, how much, where it lies. Cloth by its size, or as the scrap that it is.
const props = defineProps<{ piece?: OnShelf }>()
const emit = defineEmits<{ done: [] }>()
const shelf = useShelf()
const settings = useSettings()
const old = props.piece?.piece
const named = (one: { sort: string; name: string } | undefined | null) =>
  shelf.articles.find((article) => article.sort === one?.sort && article.name === one.name)
const article = ref<Article | undefined>(named(old))
const bare = (mm: number | null | undefined, hardware = false) =>
  mm == null ? '' : length(mm, settings.unit, { bare: true, hardware })
const isHard = computed(() => ['bone', 'busk', 'zip'].includes(article.value?.sort ?? ''))
const form = ref({
  count: String(old?.count ?? 1),
  long: bare(old?.length_mm, old?.sort === 'bone'),
  wide: bare(old?.width_mm),
  where: old?.where ?? '',
  lot: old?.lot ?? '',
  cost: old?.cost ? String(old.cost) : '',
  note: old?.note ?? '',
})
type Shape = 'size' | 'drawn' | 'photo'
const shape = ref<Shape>(old?.outline ? 'drawn' : 'size')
const outline = ref<Point[]>((old?.outline as Point[] | null) ?? [])
const flaws = ref<Point[][]>((old?.flaws as Point[][]) ?? [])
const drawingSaid = ref('')
const cloth = computed(() => article.value?.sort === 'cloth')
const long = computed(() => ['cloth', 'bone', 'lace', 'tape'].includes(article.value?.sort ?? ''))
watch(article, (now) => {
  if (now?.sort === 'cloth' && !form.value.wide) {
    const known = settings.catalogue.cloths.find((cloth) => cloth.name === now.name)
    if (known) form.value.wide = bare(known.width_mm - 2 * known.selvedge_mm)
  }
})
const unit = computed(() => (isHard.value ? settings.smallUnit : settings.unit))

/** Corners as typed: x and y in her unit, one corner a line. */
const typed = ref(outline.value.map(([x, y]) => `${bare(x)}, ${bare(y)}`).join('\n'))
const corners = computed(() => cornersIn(typed.value, settings.unit))
watch(corners, (now) => {
  if (shape.value === 'drawn') outline.value = now
})
const typedFlaws = ref(
  flaws.value.map((flaw) => flaw.map(([x, y]) => `${bare(x)}, ${bare(y)}`).join('\n')).join('\n\n'),
)
watch(typedFlaws, (now) => (flaws.value = outlinesIn(now, settings.unit)))
const flawed = ref(!!flaws.value.length)
const view = computed(() => {
  const spots = outline.value
  if (spots.length < 2) return undefined
  const [l, b] = [Math.min(...spots.map((p) => p[0])), Math.min(...spots.map((p) => p[1]))]
  const [r, t] = [Math.max(...spots.map((p) => p[0])), Math.max(...spots.map((p) => p[1]))]
  return {
    box: `${l - 10} ${-t - 10} ${r - l + 20} ${t - b + 20}`,
    d: path(
      spots.map(([x, y]): Point => [x, -y]),
      true,
    ),
  }
})
async function fromDrawing(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  drawingSaid.value = ''
  try {
    const found = await answer(
      api.POST('/api/drawings', { params: { query: { name: file.name } }, body: file, ...asFile }),
    )
    const piece = found.pieces[0]
    if (!piece) drawingSaid.value = found.needs_unit ? 'This drawing has no size of its own.' : 'No outline in it.'
    else {
      const [l, b] = [Math.min(...piece.points.map((p) => p[0])), Math.min(...piece.points.map((p) => p[1]))]
      outline.value = piece.points.map(([x, y]): Point => [x - l, y - b])
      typed.value = outline.value.map(([x, y]) => `${bare(x)}, ${bare(y)}`).join('\n')
    }
  } catch (error) {
    drawingSaid.value = `${file.name}: ${error instanceof Refused ? error.trouble.sentence : 'it could not be read.'}`
  }
  input.value = ''
}
// What was typed and not put on the shelf yet comes back.
const held = ref<{ what: Article | null; form: typeof form.value; shape: Shape; corners: string; flaws: string }>({
  what: article.value ?? null,
  form: { ...form.value },
  shape: shape.value,
  corners: typed.value,
  flaws: typedFlaws.value,
})
const asOpened = JSON.stringify(held.value)
const draft = useDraft(
  '-',
  `shelf ${old?.id ?? 'piece'}`,
  held,
  () => shelf.latest?.revision ?? null,
  (now) => JSON.stringify(now) === asOpened,
)
if (draft.restored.value) {
  const back = held.value
  article.value = named(back.what) ?? back.what ?? undefined // what there is may not be read yet
  form.value = { ...back.form }
  shape.value = back.shape === 'photo' ? 'drawn' : back.shape // the photo is not held, what was read of it is
  typed.value = back.corners
  typedFlaws.value = back.flaws
  flawed.value = !!back.flaws
}
watch(
  [article, form, shape, typed, typedFlaws],
  () => {
    held.value = {
      what: article.value ?? null,
      form: { ...form.value },
      shape: shape.value,
      corners: typed.value,
      flaws: typedFlaws.value,
    }
  },
  { deep: true },
)
function leave() {
  draft.drop()
  emit('done')
}
const label = (article: Article) => article.label
async function keep() {
  const one = article.value
  if (!one) return
  const scrap = cloth.value && shape.value !== 'size'
  const given = {
    sort: one.sort,
    name: one.name,
    label: old?.label ?? one.label,
    count: cloth.value ? '1' : form.value.count,
    length_mm: long.value && !scrap && form.value.long.trim() ? withUnit(form.value.long, unit.value) : null,
    width_mm: cloth.value && !scrap && form.value.wide.trim() ? withUnit(form.value.wide, settings.unit) : null,
    outline: scrap ? outline.value : null,
    flaws: cloth.value ? flaws.value : [],
    where: form.value.where,
    lot: form.value.lot,
    cost: form.value.cost || '0',
    note: form.value.note,
  }
  const kept = old ? await shelf.step(onShelf.rewrite(old.id, given)) : await shelf.step(onShelf.put([given]))
  if (kept) leave()
}
function take(found: { outline: Point[]; flaws: Point[][] }) {
  outline.value = found.outline
  flaws.value = found.flaws
  typed.value = outline.value.map(([x, y]) => `${bare(x)}, ${bare(y)}`).join('\n')
}
</script>

<template>
  <form class="piece-form" @submit.prevent="keep">
    <p v-if="draft.restored.value" class="wide soft small">
      As you typed it {{ whenSaved(draft.restored.value.saved) }}.
    </p>
    <v-autocomplete
      v-model="article"
      label="What is it?"
      :items="shelf.articles"
      :item-title="label"
      return-object
      :disabled="!!old"
      class="wide"
      autofocus
    />
    <template v-if="article">
      <template v-if="cloth">
        <v-btn-toggle v-model="shape" mandatory density="compact" class="wide" aria-label="How it is measured">
          <v-btn value="size" size="small">By its size</v-btn>
          <v-btn value="drawn" size="small">A scrap, corner by corner</v-btn>
          <v-btn value="photo" size="small">A scrap, by a photo</v-btn>
        </v-btn-toggle>
        <template v-if="shape === 'size'">
          <v-text-field
            v-model="form.long"
            :label="`along the grain, ${settings.unit}`"
            :error-messages="shelf.saidAt('length_mm')"
          />
          <v-text-field
            v-model="form.wide"
            :label="`between the selvedges, ${settings.unit}`"
            :error-messages="shelf.saidAt('width_mm')"
          />
        </template>
        <template v-else-if="shape === 'drawn'">
          <v-textarea
            v-model="typed"
            rows="6"
            :label="`Corners, along and across the grain, ${settings.unit}, one a line`"
            :error-messages="shelf.saidAt('outline')"
            class="wide"
          />
          <div class="wide drawing">
            <svg v-if="view" :viewBox="view.box" class="shape" role="img" aria-label="The scrap">
              <path :d="view.d" />
            </svg>
            <label class="file"
              >or from an SVG or DXF drawing <input type="file" accept=".svg,.dxf" @change="fromDrawing"
            /></label>
            <p v-if="drawingSaid" class="bad" role="alert">{{ drawingSaid }}</p>
          </div>
        </template>
        <ScrapPhoto v-else class="wide" @read="take" />
        <template v-if="shape !== 'photo'">
          <button v-if="!flawed" type="button" class="ask wide" @click="flawed = true">It has a flaw …</button>
          <v-textarea
            v-else
            v-model="typedFlaws"
            rows="3"
            :label="`Corners of what to keep clear of, ${settings.unit}; an empty line before the next`"
            :error-messages="shelf.saidAt('flaws')"
            class="wide"
          />
        </template>
        <p v-if="shape === 'photo' && shelf.saidAt('outline')" class="bad wide" role="alert">
          {{ shelf.saidAt('outline') }}
        </p>
      </template>
      <template v-else>
        <v-text-field
          v-if="long"
          v-model="form.long"
          :label="article.sort === 'bone' ? `length of a piece, ${unit}` : `length, such as 6 m`"
          :error-messages="shelf.saidAt('length_mm')"
        />
        <v-text-field v-model="form.count" label="how many" :error-messages="shelf.saidAt('count')" />
      </template>
      <v-text-field v-model="form.where" label="where it lies" :error-messages="shelf.saidAt('where')" />
      <v-text-field v-model="form.cost" label="what it cost" :error-messages="shelf.saidAt('cost')" />
      <v-text-field v-model="form.lot" label="lot or bath" :error-messages="shelf.saidAt('lot')" />
      <v-text-field v-model="form.note" label="note" :error-messages="shelf.saidAt('note')" />
    </template>
    <p v-if="shelf.errors.revision" class="bad wide">{{ shelf.errors.revision }}</p>
    <div class="wide acts">
      <v-btn type="submit" size="small" color="primary" :disabled="!article">{{
        old ? 'Keep it so' : 'Put it on the shelf'
      }}</v-btn>
      <v-btn size="small" variant="text" @click="leave">Leave it</v-btn>
    </div>
  </form>
</template>

<style scoped>
.piece-form {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px 10px;
  margin: 8px 0 14px;
}
.wide {
  grid-column: 1 / -1;
}
.acts {
  display: flex;
  gap: 8px;
}
.drawing {
  display: flex;
  gap: 14px;
  align-items: center;
  flex-wrap: wrap;
}
.shape {
  width: 150px;
  height: 96px;
}
.shape path {
  fill: var(--bench);
  stroke: var(--ink);
  stroke-width: 1.4;
  vector-effect: non-scaling-stroke;
}
.bad {
  color: var(--takein);
  margin: 0;
}
</style>
