<script setup lang="ts">
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import { get, Refused, send } from '../../api/client'
import type { ClothCut, CutPlan, Marker } from '../../api/types'
import { useBuild } from '../../stores/build'
import { useSettings } from '../../stores/settings'
import { useKeys } from '../../parts/keys'
import FindingsList from '../../parts/FindingsList.vue'
import MeasureFirst from '../../parts/MeasureFirst.vue'
import TheSlip from '../../parts/TheSlip.vue'
import { hardware, length, run } from '../../parts/words'
import MarkerTable from './MarkerTable.vue'

// Every piece of every ply as it lies on its cloth, and how much of each is needed.
const open = useBuild()
const settings = useSettings()
const plan = computed(() => open.plan!)
const cut = ref<CutPlan>()
const failed = ref('')
const chosen = ref('')
const folded = ref<Record<string, boolean>>({})
const picked = ref('')
/** Markers by cloth and way, each with the build as it was when it was laid. */
const markers = ref<Record<string, { marker: Marker; revision: number }>>({})
const working = ref('')
let turn = 0

const cloths = computed(() => cut.value?.cloths ?? [])
const here = computed(() => cloths.value.find((one) => one.cloth === chosen.value) ?? cloths.value[0])
const keyOf = (one: ClothCut) => `${one.cloth}${folded.value[one.cloth] ? ' folded' : ''}`
const laid = computed(() => (here.value ? markers.value[keyOf(here.value)] : undefined))
const stale = computed(() => !!laid.value && laid.value.revision !== open.latest!.revision)

async function lay(one: ClothCut, seconds: number) {
  const [key, fold, revision] = [keyOf(one), !!folded.value[one.cloth], open.latest!.revision]
  working.value = key
  const path = `/builds/${open.latest!.id}/markers/${one.cloth}?fold=${fold}&seconds=${seconds}`
  const marker = await get<Marker>(path)
  markers.value[key] = { marker, revision }
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
/** All cloths one after the other: quickly first, so that there is something to look at, then with more care. */
const layAll = () =>
  inTurn(async (mine) => {
    cut.value = await get<CutPlan>(`/builds/${open.latest!.id}/cut`)
    const first = here.value ? [here.value, ...cloths.value.filter((one) => one !== here.value)] : []
    for (const seconds of [1, 3])
      for (const one of first) {
        if (!mine()) return
        await lay(one, seconds)
      }
  })
const better = (seconds: number) => inTurn(async () => void (here.value && (await lay(here.value, seconds))))
function stop() {
  turn++
  working.value = ''
  const build = open.latest?.id
  if (build) void send<void>('DELETE', `/builds/${build}/underway/marker`).catch(() => undefined)
}
function fold(now: boolean) {
  if (!here.value) return
  folded.value[here.value.cloth] = now
  if (!laid.value || stale.value) void better(3)
}
watch(() => [open.latest?.id, open.latest?.revision, settings.unit], layAll, { immediate: true })
onBeforeUnmount(stop)

const step = (by: number) => {
  const count = cloths.value.length
  if (!count) return
  const at = cloths.value.findIndex((one) => one === here.value)
  chosen.value = cloths.value[(at + by + count) % count].cloth
  picked.value = ''
}
useKeys([
  { keys: ', and .', does: 'the cloth before, or after', on: [','], run: () => step(-1) },
  { keys: '.', does: 'the next cloth', on: ['.'], run: () => step(1) },
  {
    keys: 'f',
    does: 'on the fold, or open',
    on: ['f'],
    run: () => fold(!(here.value && folded.value[here.value.cloth])),
  },
  { keys: 'b', does: 'look for a better one', on: ['b'], run: () => void better(12) },
])

const need = (one: ClothCut) => {
  const marker = markers.value[keyOf(one)]?.marker
  return marker ? marker.length_mm + one.strips_mm : undefined
}
const tooNarrow = (one: ClothCut) => !!markers.value[keyOf(one)]?.marker.too_wide.length
const told = (one: ClothCut) => {
  if (tooNarrow(one)) return 'too narrow'
  const mm = need(one)
  return mm === undefined ? '…' : run(mm, settings.unit)
}
const price = computed(() => cloths.value.reduce((sum, one) => sum + ((need(one) ?? 0) / 1000) * one.price_per_m, 0))
const all = computed(() => cloths.value.every((one) => need(one) !== undefined && !tooNarrow(one)))
const title = computed(() => {
  const pieces = cloths.value.flatMap((one) => one.pieces).reduce((sum, one) => sum + one.count, 0)
  return `${pieces} pieces from ${cloths.value.length} ${cloths.value.length === 1 ? 'cloth' : 'cloths'}`
})
const taken = computed(() => {
  const { usable_mm, used_share, bound_mm } = laid.value!.marker
  const [wide, least] = [length(usable_mm, settings.unit), length(bound_mm, settings.unit)]
  const said = `of ${wide} width, ${Math.round(used_share * 100)} % used; by area ${least} at the least`
  const strips = here.value!.strips_mm
  return strips ? `${said}. And ${length(strips, settings.unit)} for the binding on the bias.` : `${said}.`
})
const how = (strip: CutPlan['strips'][number]) => {
  if (strip.strips) return `${strip.strips.count} on the bias`
  return strip.cloth ? 'wider than its cloth' : `in ${strip.lengths_mm.length}`
}
const mm = (value: number) => hardware(value, settings.unit)
const noted = (key: string) => {
  const placed = laid.value?.marker
  if (placed?.too_wide.includes(key)) return 'wider than the cloth'
  return placed?.spare.includes(key) ? 'one too many on the fold' : ''
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
          @update:model-value="(value: string) => ((chosen = value), (picked = ''))"
        >
          <v-btn v-for="one in cloths" :key="one.cloth" :value="one.cloth" size="small">{{ one.label }}</v-btn>
        </v-btn-toggle>
        <span class="spring" />
        <span v-if="here && !folded[here.cloth]" class="soft small"
          ><i class="down" aria-hidden="true" /> face down</span
        >
        <label v-if="here" class="toggle"
          ><input
            type="checkbox"
            :checked="!!folded[here.cloth]"
            @change="fold(($event.target as HTMLInputElement).checked)"
          />
          on the fold</label
        >
      </div>
      <MarkerTable
        v-if="here && laid"
        :marker="laid.marker"
        :cloth="here"
        :picked="picked"
        :stale="stale"
        @pick="picked = picked === $event ? '' : $event"
      />
      <div v-else class="empty">
        <p v-if="failed" role="alert">{{ failed }}</p>
        <v-progress-linear v-else indeterminate color="metal" aria-label="Laying the pieces" />
      </div>
      <div class="foot">
        <p v-if="laid" class="in">
          <b>{{ length(laid.marker.length_mm, settings.unit) }}</b> {{ taken }}
          <b v-if="stale" class="old">Laid before the last change.</b>
        </p>
        <span class="spring" />
        <span v-if="failed && laid" role="alert" class="old">{{ failed }}</span>
        <v-btn v-if="working" size="small" variant="text" @click="stop">Stop</v-btn>
        <v-progress-circular v-if="working" indeterminate size="18" width="2" aria-label="Laying the pieces" />
        <v-btn v-else size="small" variant="outlined" @click="better(12)">Better</v-btn>
      </div>
    </section>
    <TheSlip v-if="cut" :title="title" under="Each cloth with its own pieces, as much of its length as they take.">
      <FindingsList :stages="['cut']" />
      <table class="numbers" aria-label="Cloth needed">
        <tbody>
          <tr v-for="one in cloths" :key="one.cloth" :class="{ on: one === here }">
            <td>
              <button type="button" class="name" @click="((chosen = one.cloth), (picked = ''))">{{ one.label }}</button>
            </td>
            <td class="n">{{ one.pieces.reduce((sum, piece) => sum + piece.count, 0) }} pieces</td>
            <td class="n in">
              <b :class="{ old: tooNarrow(one) }">{{ told(one) }}</b>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="all" class="soft small">Some {{ price.toFixed(0) }} in all, by the catalogue's prices.</p>
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
                <button type="button" class="name" @click="picked = picked === piece.key ? '' : piece.key">
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
  flex: 1 1 400px;
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
.name {
  font: inherit;
  color: var(--letout);
  text-decoration: underline dotted;
  padding: 0;
  text-align: left;
}
.on td {
  background: var(--marked);
}
.old {
  color: var(--caution);
}
p {
  margin: 4px 0;
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
