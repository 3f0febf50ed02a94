<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import { answer, api, ofBuild, Refused } from '../../api/client'
import type { ClothCut, ClothLaid, CutPlan, Pinned, Placed } from '../../api/types'
import { useOpenBuild } from '../../stores/openBuild'
import { useNotices } from '../../stores/notices'
import { useSettings } from '../../stores/settings'
import { useKeys } from '../../parts/keys'
import FindingsList from '../../parts/FindingsList.vue'
import MeasureFirst from '../../parts/MeasureFirst.vue'
import TheSlip from '../../parts/TheSlip.vue'
import { hardware, length, run, shortDay } from '../../parts/words'
import ByShelf from './ByShelf.vue'
import ClothAtHand from './ClothAtHand.vue'
import { drawnSheets } from './sheets'
import SheetsTable from './SheetsTable.vue'
import WaysOut from './WaysOut.vue'
import { useCutCommands } from '../../commands/cut'

// Every piece of every ply as it lies on the cloth there is, what is to be bought of each, and what is cut.
const openBuild = useOpenBuild()
const commands = useCutCommands()
const settings = useSettings()
const notices = useNotices()
const plan = computed(() => openBuild.plan)
const choices = computed(() => openBuild.build.cut)
const cut = ref<CutPlan>()
const failed = ref('')
const chosen = ref('')
const picked = ref('')
const waysOf = ref('')
const looking = ref(false)
/** How each cloth is laid, each with the build as it was then. */
const layings = ref<Record<string, { laid: ClothLaid; revision: number } | undefined>>({})
const working = ref('')
const CARE_S = 3
const LOOK_MS = 400
/** How far it is, once it takes long enough to be asked. */
const share = ref(0)
let turn = 0
let asking = new AbortController()

const cloths = computed(() => cut.value?.cloths ?? [])
const here = computed(
  () =>
    cloths.value.find((cloth) => cloth.cloth === chosen.value) ??
    cloths.value.find((cloth) => !done(cloth.cloth)) ??
    cloths.value.at(0),
)
const laid = computed(() => (here.value ? layings.value[here.value.cloth] : undefined))
const stale = computed(() => !!laid.value && laid.value.revision !== openBuild.here.revision)
const folded = (cloth: string) => !!choices.value.fold.includes(cloth)
const done = (cloth: string) => choices.value.done[cloth]
const cutSo = computed(() => here.value && done(here.value.cloth))
const pins = computed<Pinned[]>(() => (here.value && choices.value.pinned[here.value.cloth]) ?? [])

async function lay(one: ClothCut, seconds: number) {
  const revision = openBuild.here.revision
  working.value = one.cloth
  const build = openBuild.here.id
  const watching = useIntervalFn(async () => {
    const now = await answer(api.GET('/api/builds/{build_id}/underway', ofBuild(build))).catch(() => [])
    share.value = now.find((thought) => thought.what === 'marker')?.share ?? 0
  }, LOOK_MS)
  try {
    const found = await answer(
      api.GET('/api/builds/{build_id}/cut/{cloth}', {
        params: { path: { build_id: build, cloth: one.cloth }, query: { seconds } },
        signal: asking.signal,
      }),
    )
    layings.value[one.cloth] = { laid: found, revision }
  } finally {
    watching.pause()
    share.value = 0
  }
}
/** What is laid in a turn of its own; a later turn, or a stop, ends it without a word. */
async function inTurn(work: (mine: () => boolean) => Promise<void>) {
  const here = ++turn
  const mine = () => here === turn
  failed.value = ''
  try {
    await work(mine)
  } catch (error) {
    if (mine()) failed.value = error instanceof Refused ? error.trouble.sentence : 'It could not be laid.'
  } finally {
    if (mine()) working.value = ''
  }
}
/** All cloths one after the other, quickly, so that there is something to look at; then the shown one with care. */
const layAll = () =>
  inTurn(async (mine) => {
    cut.value = await answer(api.GET('/api/builds/{build_id}/cut', ofBuild(openBuild.here.id)))
    const first = here.value ? [here.value, ...cloths.value.filter((cloth) => cloth !== here.value)] : []
    for (const one of first.filter((one) => !done(one.cloth))) {
      if (!mine()) return
      await lay(one, 0)
    }
    if (mine() && here.value && !done(here.value.cloth)) await lay(here.value, CARE_S)
  })
const better = (seconds: number) => inTurn(async () => void (here.value && (await lay(here.value, seconds))))
async function stop() {
  turn++
  asking.abort()
  asking = new AbortController()
  working.value = ''
  const build = openBuild.latest?.id
  if (!build) return
  await api
    .DELETE('/api/builds/{build_id}/underway/{what}', { params: { path: { build_id: build, what: 'marker' } } })
    .catch(() => undefined)
}
function fold(now: boolean) {
  const cloth = here.value?.cloth
  if (!cloth) return
  const rest = choices.value.fold.filter((one) => one !== cloth)
  void openBuild.edit([{ at: 'cut.fold', value: now ? [...rest, cloth] : rest }], now ? 'On the fold' : 'Open')
}
watch(() => [openBuild.latest?.id, openBuild.latest?.revision, settings.unit], layAll, { immediate: true })
onBeforeUnmount(stop)

const sheets = computed(() => {
  const found = laid.value?.laid
  if (!found || !here.value) return []
  const names = new Map(found.at_hand.map((one) => [one.piece.id, one.piece.where || one.piece.label]))
  const lengths = new Set(found.at_hand.filter((one) => one.measure === 'length').map((one) => one.piece.id))
  return drawnSheets(found.laying.sheets, found.laying.marker, names, lengths, folded(here.value.cloth))
})
const isPin = (sheet: string, placed: Placed) => (pin: Pinned) =>
  pin.sheet === sheet &&
  pin.key === placed.key &&
  !!pin.mirrored === placed.mirrored &&
  Math.hypot(pin.x_mm - placed.x_mm, pin.y_mm - placed.y_mm) < 0.01
const pinned = computed(
  () =>
    new Set(
      sheets.value.flatMap((sheet) =>
        sheet.placed
          .filter((one) => pins.value.some(isPin(sheet.key, one)))
          .map((one) => `${sheet.key} ${one.key} ${one.number}`),
      ),
    ),
)
function move(sheet: string, one: Placed, dx: number, dy: number) {
  const others = pins.value.filter((pin) => !isPin(sheet, one)(pin))
  const { key, mirrored, angle_deg } = one
  const pin = { sheet, key, mirrored, angle_deg, x_mm: one.x_mm + dx, y_mm: one.y_mm + dy }
  void keepPins([...others, pin])
}
async function keepPins(kept: Pinned[]) {
  if (here.value && !(await commands.pin(here.value.cloth, kept)) && openBuild.errors['cut.pinned'])
    notices.tell(openBuild.errors['cut.pinned'])
}

const step = (by: number) => {
  const count = cloths.value.length
  if (!count) return
  const at = cloths.value.findIndex((cloth) => cloth === here.value)
  show(cloths.value[(at + by + count) % count].cloth)
}
function show(cloth: string) {
  chosen.value = cloth
  picked.value = ''
  waysOf.value = ''
  const careful = (laid.value?.laid.laying.seconds ?? 0) >= CARE_S
  if (here.value && !careful && !done(cloth) && !working.value) void better(CARE_S)
}
useKeys([
  { keys: ', and .', does: 'the cloth before, or after', on: [','], run: () => step(-1) },
  { keys: '.', does: 'the next cloth', on: ['.'], run: () => step(1) },
  { keys: 'f', does: 'on the fold, or open', on: ['f'], run: () => here.value && fold(!folded(here.value.cloth)) },
  { keys: 'b', does: 'look for a better one', on: ['b'], run: () => void better(12) },
  {
    keys: '← ↑ ↓ →',
    does: 'move the picked piece (with Shift further); it then stays',
    on: [],
    run: () => undefined,
  },
])

const needs = (cut: ClothCut) => layings.value[cut.cloth]?.laid.to_buy_mm
const tooNarrow = (cut: ClothCut) => !!layings.value[cut.cloth]?.laid.laying.marker.too_wide.length
const told = (cut: ClothCut) => {
  if (cut.is_cut) return 'cut'
  if (tooNarrow(cut)) return 'too narrow'
  const mm = needs(cut)
  if (mm === undefined) return '…'
  if (!mm) return 'enough'
  return hasSome(cut) ? `${run(mm, settings.unit)} short` : `buy ${run(mm, settings.unit)}`
}
const lacking = computed(() => here.value && needs(here.value))
const hasSome = (cut: ClothCut) => !!layings.value[cut.cloth]?.laid.at_hand.length
const wrong = (cut: ClothCut) => !done(cut.cloth) && (tooNarrow(cut) || (!!needs(cut) && hasSome(cut)))
const toLay = computed(() => cloths.value.filter((cloth) => !done(cloth.cloth)))
const price = computed(() => toLay.value.reduce((sum, one) => sum + ((needs(one) ?? 0) / 1000) * one.price_per_m, 0))
const all = computed(() => toLay.value.every((one) => needs(one) !== undefined && !tooNarrow(one)))
const title = computed(() => {
  const pieces = cloths.value.flatMap((cloth) => cloth.pieces).reduce((sum, one) => sum + one.count, 0)
  return `${pieces} pieces from ${cloths.value.length} ${cloths.value.length === 1 ? 'cloth' : 'cloths'}`
})
const taken = computed(() => {
  const { marker } = laid.value!.laid.laying
  if (!marker.length_mm) return ''
  const share = `${Math.round(marker.used_share * 100)} % used`
  const [wide, least] = [length(marker.usable_mm, settings.unit), length(marker.bound_mm, settings.unit)]
  return `new, of ${wide} width, ${share}; by area ${least} at the least.`
})
const strips = computed(() => {
  if (!here.value || !laid.value) return ''
  const { strips_mm: bias, repeats_mm } = here.value
  const repeat = repeats_mm ?? 0
  const mm = bias + repeat
  if (!mm) return ''
  const why = [bias && 'the binding on the bias', repeat && 'its repeat'].filter(Boolean).join(' and ')
  const more = laid.value.laid.to_buy_mm > laid.value.laid.laying.marker.length_mm + 1
  const long = length(mm, settings.unit)
  return more ? `And ${long} more, to buy, for ${why}.` : `With ${long} for ${why}.`
})
const how = (strip: CutPlan['strips'][number]) => {
  if (strip.strips) {
    const joins = choices.value.binding_joins
    return joins ? `${joins} joins` : `${strip.strips.count} on the bias`
  }
  return strip.cloth ? 'wider than its cloth' : `in ${strip.lengths_mm.length}`
}
const mm = (value: number) => hardware(value, settings.unit)
const noted = (key: string) => {
  const laying = laid.value?.laid.laying
  if (laying?.marker.too_wide.includes(key)) return 'wider than the cloth'
  return laying?.spare.includes(key) ? 'one too many on the fold' : ''
}

/** Cut as it is seen here. */
const nowCut = async (cut: ClothCut) => !!laid.value && commands.done(cut.cloth, laid.value.laid)
const notCut = (cut: ClothCut) => commands.notDone(cut.cloth)
/** Cut, or not: the cloth is laid once more for it, and what is stopped before must not be that. */
async function say(act: (one: ClothCut) => Promise<boolean>) {
  await stop()
  if (here.value && !(await act(here.value)) && openBuild.errors.cut) notices.tell(openBuild.errors.cut)
}
const fromWhat = (cloth: string) => {
  const one = done(cloth)
  if (!one) return ''
  const from = one.used.map((used) => used.stock.where || used.stock.label)
  return [...new Set(from), ...(one.new_mm ? [`${run(one.new_mm, settings.unit)} new`] : [])].join(', ')
}
/** What stands against cutting the real cloth now, in the words of the mock-ups. */
const unready = computed(() => {
  const { verdict } = plan.value
  const ready = !verdict || ['cut the cloth', 'wear it'].includes(verdict.word)
  return ready || !toLay.value.length ? '' : verdict.sentence
})
const older = (cloth: string) => {
  const version = done(cloth)?.version
  const now = openBuild.build.versions.length
  return version && version !== now ? version : 0
}
</script>

<template>
  <MeasureFirst v-if="!plan.pattern" />
  <div v-else class="page with-slip">
    <section class="table" aria-label="The cloth on the table">
      <div class="tabs">
        <v-btn-toggle
          :model-value="here?.cloth"
          mandatory
          density="compact"
          aria-label="Which cloth"
          @update:model-value="show"
        >
          <v-btn v-for="cloth in cloths" :key="cloth.cloth" :value="cloth.cloth" size="small">{{ cloth.label }}</v-btn>
        </v-btn-toggle>
        <span class="spring" />
        <span v-if="here && !folded(here.cloth)" class="soft small"
          ><i class="down" aria-hidden="true" /> face down</span
        >
        <label v-if="here && !cutSo" class="toggle"
          ><input
            type="checkbox"
            :checked="folded(here.cloth)"
            @change="fold(($event.target as HTMLInputElement).checked)"
          />
          on the fold</label
        >
      </div>
      <div v-if="here && cutSo" class="empty">
        <h2>{{ here.label }} is cut</h2>
        <p>
          On {{ shortDay(cutSo.on) }}, {{ cutSo.pieces }} pieces from {{ fromWhat(here.cloth) }}. What is left of it
          lies on the shelf.
        </p>
        <p v-if="older(here.cloth)" class="old">
          It was cut from version {{ older(here.cloth) }}; the pattern is at version
          {{ openBuild.build.versions.length }}.
        </p>
        <v-btn size="small" variant="outlined" @click="say(notCut)">It is not cut after all</v-btn>
      </div>
      <SheetsTable
        v-else-if="here && laid"
        :sheets="sheets"
        :cloth="here"
        :picked="picked"
        :pinned="pinned"
        :stale="stale"
        @pick="picked = picked === $event ? '' : $event"
        @move="move"
      />
      <div v-else class="empty">
        <p v-if="failed" role="alert">{{ failed }}</p>
        <v-btn v-if="!working && cut" size="small" variant="outlined" @click="better(CARE_S)">Lay it out</v-btn>
        <v-progress-linear v-else indeterminate color="metal" aria-label="Laying the pieces" />
      </div>
      <div v-if="here && !cutSo" class="foot">
        <p v-if="laid" class="in">
          <template v-if="laid.laid.laying.marker.length_mm"
            ><b>{{ length(laid.laid.laying.marker.length_mm, settings.unit) }}</b> {{ taken }}
          </template>
          <b v-else-if="laid.laid.to_buy_mm">All pieces lie on what there is. </b>
          <b v-else class="good">All of it comes from what there is. </b>
          {{ strips }}
          <b v-if="stale" class="old">Laid before the last change.</b>
          <span v-if="laid.laid.laying.let_go.length" class="old" data-let-go
            >Not any more where you put {{ laid.laid.laying.let_go.length > 1 ? 'them' : 'it' }}, and laid anew:
            {{ laid.laid.laying.let_go.join(', ') }}.</span
          >
        </p>
        <span class="spring" />
        <span v-if="failed && laid" role="alert" class="old">{{ failed }}</span>
        <v-btn
          size="small"
          variant="text"
          :href="`/api/builds/${openBuild.here.id}/cut/${here.cloth}/layout.pdf?paper=${settings.house.paper}`"
          download=""
          >Print</v-btn
        >
        <v-btn v-if="pins.length" size="small" variant="text" @click="keepPins([])">Lay all anew</v-btn>
        <v-btn v-if="working" size="small" variant="text" @click="stop">Stop</v-btn>
        <v-progress-circular
          v-if="working"
          :indeterminate="!share"
          :model-value="share * 100"
          size="18"
          width="3"
          aria-label="Laying the pieces"
        />
        <v-btn v-else size="small" variant="outlined" @click="better(12)">Better</v-btn>
        <v-btn size="small" color="primary" :disabled="!laid || stale" @click="say(nowCut)">It is cut</v-btn>
      </div>
    </section>
    <TheSlip v-if="cut" :title="title" under="Each cloth with its own pieces, laid on what there is of it.">
      <FindingsList :stages="['cut']" />
      <p v-if="here?.ticked" class="caution">
        It was ticked off as cut while making; what it was cut from still lies on the shelf. “It is cut” takes it off.
      </p>
      <p v-if="unready" class="caution"><b>Before the cloth is cut:</b> {{ unready }}</p>
      <table class="numbers" aria-label="Cloth needed">
        <tbody>
          <tr v-for="cloth in cloths" :key="cloth.cloth" :class="{ on: cloth === here }">
            <td>
              <button type="button" class="pick" @click="show(cloth.cloth)">{{ cloth.label }}</button>
            </td>
            <td class="n">{{ cloth.pieces.reduce((sum, piece) => sum + piece.count, 0) }} pieces</td>
            <td class="n in">
              <b :class="{ old: wrong(cloth), good: told(cloth) === 'enough' || told(cloth) === 'cut' }">{{
                told(cloth)
              }}</b>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="all && price" class="soft small">Some {{ price.toFixed(0) }} to buy, by the catalogue's prices.</p>
      <ClothAtHand
        v-if="here && laid?.laid.at_hand.length && !cutSo"
        :laid="laid.laid"
        :label="here.label"
        @kept="better(0)"
      />
      <template v-if="here && !cutSo && lacking && hasSome(here)">
        <p class="old lacking">
          <b class="in">{{ length(lacking, settings.unit) }} of {{ here.label }} are lacking.</b>
        </p>
        <v-btn v-if="waysOf !== here.cloth" size="small" variant="outlined" @click="waysOf = here.cloth"
          >What would help?</v-btn
        >
        <WaysOut v-else :key="here.cloth" :cloth="here.cloth" :label="here.label" @taken="waysOf = ''" />
      </template>
      <template v-if="here">
        <h2>To cut from {{ here.label }}</h2>
        <p v-if="here.one_way" class="small">All with their top the same way.</p>
        <table class="numbers" aria-label="Pieces to cut">
          <tbody>
            <tr
              v-for="piece in here.pieces"
              :key="piece.key"
              :class="{ on: picked === piece.key }"
              :data-piece-row="piece.key"
            >
              <td>
                <button type="button" class="pick" @click="picked = picked === piece.key ? '' : piece.key">
                  {{ piece.label.includes(piece.what) ? piece.label : `${piece.what} ${piece.label}` }}
                </button>
              </td>
              <td>
                {{ piece.note }}<span v-if="noted(piece.key)" class="old">, {{ noted(piece.key) }}</span>
              </td>
            </tr>
          </tbody>
        </table>
      </template>
      <h2>Bound, taped</h2>
      <table class="numbers" aria-label="Bindings and tapes">
        <tbody>
          <tr v-for="(strip, i) in cut.strips" :key="i">
            <td>{{ strip.what }}</td>
            <td class="n in">{{ run(strip.length_mm, settings.unit) }}</td>
            <td class="n in">{{ mm(strip.width_mm) }}</td>
            <td class="n">
              {{ how(strip) }}
            </td>
          </tr>
        </tbody>
      </table>
      <h2>By what there is</h2>
      <v-btn v-if="!looking" size="small" variant="outlined" @click="looking = true">What would the shelf give?</v-btn>
      <ByShelf v-else />
      <p class="caution">Rotary cutters and shears cut fingers too: guard on, blade away from you.</p>
    </TheSlip>
  </div>
</template>

<style scoped>
.table {
  display: grid;
  grid-template-rows: 40px minmax(0, 1fr) auto;
  min-width: 0;
}
.tabs,
.foot {
  display: flex;
  align-items: center;
  gap: 6px;
  padding: 4px 14px;
  border-bottom: 1px solid var(--line);
}
.foot {
  border-top: 1px solid var(--line);
  border-bottom: 0;
  min-height: 46px;
  flex-wrap: wrap;
}
.spring {
  flex: 1;
}
.foot p {
  margin: 0;
  flex: 1 1 340px;
}
.foot .spring {
  display: none;
}
.down {
  display: inline-block;
  width: 14px;
  height: 11px;
  border: 1px solid var(--ink);
  background: color-mix(in srgb, var(--metal) 14%, var(--paper));
}
.empty {
  padding: 30px;
}
h2 {
  margin: 14px 0 4px;
}
.empty h2 {
  margin-top: 0;
}
.on td {
  background: var(--marked);
}
.old {
  color: var(--caution);
}
.good {
  color: var(--settled);
}
p {
  margin: 4px 0;
}
.lacking {
  margin-top: 14px;
}
.caution {
  border-left: 4px solid var(--caution);
  padding-left: 10px;
  margin: 12px 0;
}
@media (max-width: 899px) {
  .table {
    grid-template-rows: auto minmax(320px, 1fr) auto;
  }
  .tabs {
    flex-wrap: wrap;
  }
}
</style>
