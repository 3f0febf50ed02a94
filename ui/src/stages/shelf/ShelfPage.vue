<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import type { OnShelf, OrderSeen, Point } from '../../api/types'
import { useKeys } from '../../parts/keys'
import TheSlip from '../../parts/TheSlip.vue'
import { across, hardware, length, run, shortDay } from '../../parts/words'
import { useSettings } from '../../stores/settings'
import { useShelf } from '../../stores/shelf'
import { path } from '../../surface/flat'
import CsvBox from './CsvBox.vue'
import PieceForm from './PieceForm.vue'
import { onShelf } from '../../commands/shelf'

// What there is: cloth and scraps, bones, metalware, laces and tapes; what is kept for which build; what is coming.
const shelf = useShelf()
const settings = useSettings()
const router = useRouter()
const making = ref(false)
const begun = ref(0) // a form that is opened anew is another, also while the one before still fades
watch(making, (now) => now && begun.value++)
const editing = ref('')
const keeping = ref('')
const words = ref('')
onMounted(shelf.load)

const SORTS = [
  ['cloth', 'Cloth'],
  ['bone', 'Bones'],
  ['busk', 'Busks'],
  ['zip', 'Zips'],
  ['grommets', 'Grommets'],
  ['hooks', 'Hooks'],
  ['ends', 'Tips and caps'],
  ['lace', 'Laces'],
  ['tape', 'Tapes'],
  ['thread', 'Thread'],
  ['trim', 'Trims'],
] as const
const shown = computed(() => {
  const wanted = words.value.trim().toLowerCase()
  const pieces = (shelf.latest?.pieces ?? []).filter((piece) =>
    [piece.piece.label, piece.piece.where, piece.piece.lot, piece.piece.note, kept(piece)]
      .join(' ')
      .toLowerCase()
      .includes(wanted),
  )
  return SORTS.map(([sort, title]) => ({
    sort,
    title,
    pieces: pieces.filter((piece) => piece.piece.sort === sort),
  })).filter((group) => group.pieces.length)
})
const amount = (shelf: OnShelf, mm: number) =>
  shelf.measure === 'length'
    ? shelf.piece.sort === 'cloth'
      ? length(mm, settings.unit)
      : run(mm, settings.unit)
    : String(Math.round(mm))
const size = (shelf: OnShelf) => {
  const { piece } = shelf
  if (piece.sort === 'cloth') {
    const xs = shelf.shape.map((spot) => spot[0])
    const ys = shelf.shape.map((spot) => spot[1])
    return across(Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys), settings.unit)
  }
  if (piece.sort === 'bone') return `${piece.count} × ${hardware(piece.length_mm ?? 0, settings.unit)}`
  if (shelf.measure === 'length') return run(shelf.amount, settings.unit)
  return String(piece.count)
}
function kept(one: OnShelf) {
  return one.reserved
    .map((kept) => {
      const name = shelf.nameOf.get(kept.build) ?? 'a build that is put away'
      const all = Math.abs(kept.amount - one.amount) < 0.6
      return all ? name : `${name} (${amount(one, kept.amount)})`
    })
    .join(', ')
}
const scrap = (shelf: OnShelf) => {
  const spots = shelf.shape as Point[]
  const [w, h] = [Math.max(...spots.map((p) => p[0])), Math.max(...spots.map((p) => p[1]))]
  return {
    box: `-8 ${-h - 8} ${w + 16} ${h + 16}`,
    d: path(
      spots.map(([x, y]): Point => [x, -y]),
      true,
    ),
  }
}
const to = ref({ build: '', amount: '' })
function keep(one: OnShelf) {
  keeping.value = keeping.value === one.piece.id ? '' : one.piece.id
  to.value = { build: shelf.latest?.builds[0]?.name ?? '', amount: '' }
  shelf.errors = {}
}
async function reserve(one: OnShelf) {
  const written = to.value.amount.trim()
  if (await shelf.step(onShelf.reserve(one.piece.id, to.value.build, written || null))) keeping.value = ''
}
const letGo = (one: OnShelf, build: string) => shelf.act(onShelf.reserve(one.piece.id, build, 0))
const takeOff = (one: OnShelf) => shelf.act(onShelf.takeOff(one.piece.id))

const orders = computed(() => shelf.latest?.orders ?? [])
const coming = computed(() => orders.value.filter((order) => order.order.state === 'placed'))
const past = computed(() => orders.value.filter((order) => order.order.state !== 'placed').slice(0, 5))
const stands = (seen: OrderSeen) => {
  if (seen.here) return 'the parcel is here'
  const due = shortDay(seen.order.due_on)
  return seen.on_its_way ? `sent, here on ${due}` : `placed, here on ${due}`
}
const brings = (seen: OrderSeen) =>
  seen.order.lines
    .map((line) => {
      const all = line.packs * line.pack
      const much = line.article.measure === 'length' ? run(all, settings.unit) : `${all} ×`
      return `${much} ${line.article.label}`
    })
    .join(', ')
const lacks = (seen: OrderSeen) =>
  seen.here && seen.order.lines.some((line, i) => seen.comes[i] < line.packs * line.pack)
const arrive = (seen: OrderSeen) => shelf.act(onShelf.arrive(seen.order.id, seen.here ? seen.comes : []))
const total = computed(() => (shelf.latest?.pieces ?? []).reduce((sum, one) => sum + one.piece.cost, 0))

useKeys([
  { keys: 'n', does: 'put something on the shelf', on: ['n'], run: () => (making.value = true) },
  { keys: 'Ctrl Z', does: 'undo', on: ['Ctrl+z'], run: () => void shelf.undo() },
  { keys: 'Ctrl Shift Z', does: 'do again', on: ['Ctrl+Shift+z', 'Ctrl+y'], run: () => void shelf.redo() },
  { keys: 'l', does: 'to the shopping list', on: ['l'], run: () => void router.push('/shopping') },
])
</script>

<template>
  <div class="page with-slip place">
    <section class="main" aria-label="The shelf">
      <div class="head">
        <h1>Shelf</h1>
        <v-text-field v-model="words" label="Look for" clearable class="look" @click:clear="words = ''" />
        <span class="spring" />
        <v-btn
          size="small"
          variant="text"
          :disabled="!shelf.latest?.undoes"
          :title="shelf.latest?.undoes ? `Undo: ${shelf.latest.undoes}` : ''"
          @click="shelf.undo()"
          >Undo</v-btn
        >
        <v-btn v-if="shelf.latest?.redoes" size="small" variant="text" @click="shelf.redo()">Do again</v-btn>
        <v-btn size="small" color="primary" @click="making = true">Put something on it</v-btn>
      </div>
      <p v-if="shelf.latest?.damaged" class="damage" role="alert">
        What was kept of the shelf last is damaged. This is the newest state that can be read: look whether all is so.
      </p>
      <p v-if="shelf.failed" class="bad" role="alert">
        {{ shelf.failed }} <v-btn size="small" variant="outlined" @click="shelf.load">Try again</v-btn>
      </p>
      <v-progress-linear v-else-if="!shelf.latest" indeterminate color="metal" aria-label="Looking at the shelf" />
      <p v-else-if="!shelf.latest.pieces.length" class="none">
        Nothing lies here yet. What you put on it is used first when cloth is laid out and bones are cut.
      </p>
      <p v-else-if="!shown.length" class="none">Nothing here is called so.</p>
      <table v-for="group in shown" :key="group.sort" class="numbers" :aria-label="group.title">
        <caption>
          {{
            group.title
          }}
        </caption>
        <colgroup>
          <col class="c-what" />
          <col class="c-size" />
          <col />
          <col class="c-kept" />
          <col class="c-acts" />
        </colgroup>
        <tbody>
          <template v-for="one in group.pieces" :key="one.piece.id">
            <tr :data-stock="one.piece.id">
              <td>
                <div class="what">
                  <svg
                    v-if="one.measure === 'piece' && one.piece.sort === 'cloth'"
                    :viewBox="scrap(one).box"
                    class="scrap"
                    aria-hidden="true"
                  >
                    <path :d="scrap(one).d" />
                  </svg>
                  <button type="button" class="pick" @click="editing = editing === one.piece.id ? '' : one.piece.id">
                    {{ one.piece.label }}
                  </button>
                </div>
              </td>
              <td class="n in size">{{ size(one) }}</td>
              <td class="small soft">
                {{ [one.piece.where, one.piece.lot, one.piece.note].filter(Boolean).join(' · ') }}
              </td>
              <td class="kept small">
                <template v-if="one.reserved.length">kept for {{ kept(one) }}</template>
                <span v-if="one.reserved.length && one.free > 0.5 && one.free < one.amount - 0.5" class="soft">
                  · {{ amount(one, one.free) }} free</span
                >
              </td>
              <td class="acts">
                <v-btn
                  v-if="one.free > 0.5"
                  size="x-small"
                  variant="text"
                  :aria-label="`keep for …: ${one.piece.label}`"
                  @click="keep(one)"
                  >keep for …</v-btn
                >
                <v-btn
                  v-for="mine in one.reserved"
                  :key="mine.build"
                  size="x-small"
                  variant="text"
                  :aria-label="`let go: ${one.piece.label}, for ${shelf.nameOf.get(mine.build)}`"
                  @click="letGo(one, mine.build)"
                  >let go</v-btn
                >
                <v-btn
                  v-if="!one.reserved.length"
                  size="x-small"
                  variant="text"
                  :aria-label="`take off: ${one.piece.label}`"
                  @click="takeOff(one)"
                  >take off</v-btn
                >
              </td>
            </tr>
            <tr v-if="keeping === one.piece.id">
              <td colspan="5">
                <form class="keep" @submit.prevent="reserve(one)">
                  <v-select
                    v-model="to.build"
                    label="For which build"
                    :items="shelf.latest!.builds"
                    item-title="label"
                    item-value="name"
                  />
                  <v-text-field
                    v-model="to.amount"
                    :label="one.measure === 'length' ? 'how much' : 'how many'"
                    :placeholder="`all that is free, ${amount(one, one.free)}`"
                    persistent-placeholder
                    :error-messages="shelf.saidAt('amount')"
                  />
                  <v-btn type="submit" size="small" variant="outlined">Keep it</v-btn>
                </form>
              </td>
            </tr>
            <tr v-if="editing === one.piece.id">
              <td colspan="5"><PieceForm :piece="one" @done="editing = ''" /></td>
            </tr>
          </template>
        </tbody>
      </table>
      <p v-if="total" class="soft small">
        Some {{ total.toFixed(0) }} lies here, as far as what it cost is written down.
      </p>
    </section>
    <TheSlip
      :title="
        coming.length ? `${coming.length} ${coming.length === 1 ? 'order' : 'orders'} under way` : 'Nothing under way'
      "
    >
      <ul class="orders" aria-label="Orders">
        <li v-for="one in coming" :key="one.order.id" :class="{ here: one.here }" :data-order="one.order.id">
          <b>{{ one.order.shop }}</b>, {{ stands(one) }}
          <p class="in">{{ brings(one) }}</p>
          <p v-if="lacks(one)" class="old small">It is short of some; what came is put on the shelf.</p>
          <v-btn size="x-small" variant="outlined" @click="arrive(one)">{{
            one.here ? 'Put it on the shelf' : 'It came already'
          }}</v-btn>
          <v-btn v-if="!one.here" size="x-small" variant="text" @click="shelf.act(onShelf.cancel(one.order.id))"
            >Call it off</v-btn
          >
        </li>
      </ul>
      <p><router-link to="/shopping">The shopping list</router-link></p>
      <template v-if="past.length">
        <h2>Before</h2>
        <ul class="orders" aria-label="Orders before">
          <li v-for="one in past" :key="one.order.id" class="soft small">
            {{ one.order.shop }}, {{ shortDay(one.order.placed_on) }}:
            {{
              one.order.state === 'short' ? 'came short' : one.order.state === 'cancelled' ? 'called off' : 'arrived'
            }},
            {{ brings(one) }}
          </li>
        </ul>
      </template>
      <CsvBox />
    </TheSlip>
    <v-dialog v-model="making" max-width="620" aria-label="Put something on the shelf">
      <v-card title="On the shelf">
        <v-card-text><PieceForm :key="begun" @done="making = false" /></v-card-text>
      </v-card>
    </v-dialog>
  </div>
</template>

<style scoped>
.look {
  max-width: 260px;
  min-width: 160px;
}
table {
  table-layout: fixed;
  min-width: 640px;
}
.c-what {
  width: 29%;
}
.c-size {
  width: 17%;
}
.c-kept {
  width: 19%;
}
.c-acts {
  width: 172px;
}
.what {
  display: flex;
  align-items: center;
  gap: 8px;
}
.scrap {
  width: 44px;
  height: 30px;
}
.scrap path {
  fill: var(--bench);
  stroke: var(--ink);
  stroke-width: 1.2;
  vector-effect: non-scaling-stroke;
}
.size {
  font-weight: 600;
  padding-right: 16px !important;
}
.kept {
  color: var(--settled);
}
td.acts {
  text-align: right;
  white-space: nowrap;
}
.keep {
  display: grid;
  grid-template-columns: minmax(0, 1.4fr) minmax(0, 1fr) auto;
  gap: 10px;
  align-items: center;
  padding: 6px 0;
}
.none {
  padding: 40px 0;
}
.orders {
  list-style: none;
  padding: 0;
  margin: 8px 0;
}
.orders li {
  border-left: 3px solid var(--line);
  padding: 2px 0 6px 10px;
  margin-bottom: 8px;
}
.orders li.here {
  border-left-color: var(--settled);
}
.orders p {
  margin: 2px 0 4px;
}
.old {
  color: var(--caution);
}
.bad {
  color: var(--takein);
}
h2 {
  margin: 14px 0 2px;
}
a {
  color: var(--letout);
}
@media (max-width: 899px) {
  .keep {
    grid-template-columns: 1fr;
  }
}
</style>
