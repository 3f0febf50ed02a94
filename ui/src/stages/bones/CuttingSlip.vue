<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import type { CuttingPlan, OnShelf, ReusedBone, WrittenStock } from '../../api/types'
import { useOpenBuild } from '../../stores/openBuild'
import ThinkingBar from '../../parts/ThinkingBar.vue'
import { useThought } from '../../parts/useThought'
import { useSettings } from '../../stores/settings'
import { useShelf } from '../../stores/shelf'
import { hardware, withUnit } from '../../parts/words'
import NamedSelect from '../../parts/NamedSelect.vue'
import { useBoneCommands } from '../../commands/bones'
import { useMaterials } from '../../stores/materials'
import { onShelf } from '../../commands/shelf'
import { api, ofBuild } from '../../api/client'

// From the shelf and from the shop: which piece gives which bones; and, once they are cut, what a moved pattern
// changes.
const openBuild = useOpenBuild()
const bones = useBoneCommands()
const materials = useMaterials()
const settings = useSettings()
const thought = useThought((build) => api.GET('/api/builds/{build_id}/bones/cutting', ofBuild(build)), 'cutting')
const { found, busy, failed } = thought
const plans = computed(() => found.value ?? [])

// bones on the workshop's shelf: those that are free, or kept for this build, are cut from first
const shelf = useShelf()
onMounted(shelf.load)
const lying = computed(() => (shelf.latest?.pieces ?? []).filter((piece) => piece.piece.sort === 'bone'))
const made = ref({ kind: '', length: '', count: '1' })
watch(
  () => openBuild.plan.bones[1]?.kind,
  (kind) => kind && !made.value.kind && (made.value.kind = kind),
  { immediate: true },
)
async function put() {
  const { kind, length, count } = made.value
  const piece: WrittenStock = {
    sort: 'bone',
    name: kind,
    label: kindOf(kind),
    length_mm: withUnit(length, settings.smallUnit),
    count,
  }
  if (await shelf.step(onShelf.put([piece]))) {
    made.value = { ...made.value, length: '', count: '1' }
    await thought.ask()
  }
}
async function takeOff(id: string) {
  if (await shelf.act(onShelf.takeOff(id))) await thought.ask()
}
async function keep(id: string, amount: number | null) {
  if (await shelf.act(onShelf.reserve(id, openBuild.here.id, amount))) await thought.ask()
}
const mine = (shelf: OnShelf) => shelf.reserved.find((kept) => kept.build === openBuild.here.id)
const others = (shelf: OnShelf) => shelf.reserved.filter((kept) => kept.build !== openBuild.here.id)
/** Whether pieces are cut from that are not kept for this build. */
const isKept = (kind: string, mm: number) =>
  lying.value.some((one) => one.piece.name === kind && Math.abs((one.piece.length_mm ?? 0) - mm) < 0.1 && mine(one))
const fromFree = computed(() =>
  plans.value.some((plan) =>
    plan.pieces.some((piece) => piece.source === 'shelf' && !isKept(plan.kind, piece.length_mm)),
  ),
)
const error = shelf.saidAt
/** What bones are cut from is used up, and lies there again when they are not. */
/** Kinds that were ticked off as cut while making, though nothing is written down of them here. */
const ticked = computed(() =>
  openBuild.plan.bones
    .filter((bone) => openBuild.here.ticked_bones.includes(bone.kind))
    .map((bone) => bone.kind_label)
    .filter((one, i, all) => all.indexOf(one) === i),
)
async function cutOrNot(what: 'cut' | 'uncut') {
  if (await bones[what]()) await shelf.load()
}
const kindOf = materials.boneLabel
const mm = (value: number) => hardware(value, settings.unit)
const metres = (value: number) =>
  settings.unit === 'in' ? `${(value / 914.4).toFixed(2)} yd` : `${(value / 1000).toFixed(1)} m`
const price = computed(() => plans.value.reduce((sum, one) => sum + one.price, 0))
const buy = (plan: CuttingPlan) =>
  [
    ...(plan.coil_mm ? [`${metres(plan.coil_mm)} off the coil`] : []),
    ...Object.entries(plan.bought_mm).map(([length, count]) => `${count} × ${mm(Number(length))}`),
  ].join(', ')
const reuse = computed(() => openBuild.plan.reuse)
const moved = computed(() => reuse.value?.bones.filter((bone) => bone.what !== 'stays') ?? [])
/** Bones that are cut and still fit are not cut again. */
const allCut = computed(() => !!reuse.value && !moved.value.length)
const named = (channel: string, half?: 'right' | 'left' | null) =>
  half ? `${channel} ${half === 'right' ? 'R' : 'L'}` : channel
/** What becomes of a channel's bone, in words. */
const said = (fate: ReusedBone) => {
  if (fate.what === 'new' || !fate.from_channel) return 'cut a new one'
  const own = fate.from_channel === fate.channel && fate.from_half === fate.half
  const from = named(fate.from_channel, fate.from_half)
  if (fate.what === 'moves here') return `take the one cut for ${from}, ${mm(fate.had_mm ?? 0)}`
  return own ? `cut it down from ${mm(fate.had_mm ?? 0)}` : `cut down the one from ${from}, ${mm(fate.had_mm ?? 0)}`
}
</script>

<template>
  <section>
    <template v-if="!allCut">
      <h2>To buy and cut</h2>
      <ThinkingBar v-if="busy || failed" label="Working the cutting out" :thought="thought" />
      <article v-for="one in plans" :key="one.kind" class="plan" :data-cutting="one.kind">
        <h3>{{ one.label }}</h3>
        <p>
          <b class="in">{{ buy(one) || 'Nothing to buy' }}</b>; {{ mm(one.waste_mm) }} left over<template
            v-if="one.ends"
            >; {{ one.ends }} ends to close</template
          >.<span v-if="!one.proven" class="soft"> The best found in the time; a better one may exist.</span>
        </p>
        <table class="numbers" :aria-label="`Pieces of ${one.label}`">
          <tbody>
            <tr v-for="(piece, i) in one.pieces" :key="i">
              <td>
                {{
                  piece.source === 'coil'
                    ? 'coil'
                    : `${piece.source === 'shelf' ? 'shelf' : 'new'} ${mm(piece.length_mm)}`
                }}
              </td>
              <td class="cuts">
                <span v-for="bone in piece.bones" :key="bone.label"
                  ><b>{{ bone.label }}</b> <span class="in">{{ mm(bone.length_mm).replace(/ \w+$/, '') }}</span></span
                >
              </td>
              <td class="n in">{{ piece.source === 'coil' ? '' : `rest ${mm(piece.rest_mm)}` }}</td>
            </tr>
          </tbody>
        </table>
        <p v-if="one.unmet.length" class="bad" role="alert">
          No piece of {{ one.label }}, on the shelf or sold, is long enough for
          {{ one.unmet.map((bone) => `${bone.label} (${mm(bone.length_mm)})`).join(', ') }}. Buy it by the coil, or take
          another kind there.
        </p>
      </article>
      <p v-if="fromFree" class="soft">
        Some of it is from pieces that are free: keep them for this build, or one that is needed first gets them.
      </p>
      <p v-if="plans.length" class="soft">
        In all some {{ price.toFixed(1) }}. Proven: no plan buys fewer pieces, and none that buys as few wastes
        less<template v-if="plans.some((one) => !one.proven)"> (where not said otherwise)</template>.
      </p>
    </template>

    <h2>On the shelf</h2>
    <table v-if="lying.length" class="numbers" aria-label="Bones on the shelf">
      <tbody>
        <tr v-for="one in lying" :key="one.piece.id" :data-stock="one.piece.id">
          <td>{{ one.piece.label }}</td>
          <td class="n in">{{ one.piece.count }} × {{ mm(one.piece.length_mm ?? 0) }}</td>
          <td class="small">
            {{ mine(one) ? 'kept' : '' }}
            {{
              others(one)
                .map((kept) => shelf.nameOf.get(kept.build))
                .join(', ')
            }}
          </td>
          <td class="shelfacts">
            <v-btn v-if="mine(one)" size="x-small" variant="text" @click="keep(one.piece.id, 0)">let go</v-btn>
            <v-btn v-else-if="one.free >= 1" size="x-small" variant="text" @click="keep(one.piece.id, null)"
              >keep</v-btn
            >
            <v-btn
              v-if="!one.reserved.length"
              size="x-small"
              variant="text"
              :aria-label="`take off: ${one.piece.label}, ${mm(one.piece.length_mm ?? 0)}`"
              @click="takeOff(one.piece.id)"
              >take off</v-btn
            >
          </td>
        </tr>
      </tbody>
    </table>
    <p v-else class="soft">No bones lie there: all are bought.</p>
    <form class="put" @submit.prevent="put">
      <NamedSelect v-model="made.kind" label="Kind" :items="materials.bones" class="wide" />
      <v-text-field
        v-model="made.length"
        :label="`length, ${settings.smallUnit}`"
        :error-messages="error('length_mm')"
      />
      <v-text-field v-model="made.count" label="pieces" :error-messages="error('count')" />
      <v-btn type="submit" size="small" variant="outlined" :disabled="!made.length.trim()">Put it there</v-btn>
    </form>

    <h2>Once they are cut</h2>
    <template v-if="reuse">
      <p v-if="!moved.length">
        <b>All cut bones still fit</b
        ><template v-if="openBuild.build.bones.cut_version"
          >; cut from version {{ openBuild.build.bones.cut_version }}</template
        >.
      </p>
      <template v-else>
        <p>
          <b
            >{{ moved.length }} of {{ reuse.bones.length }} change{{
              reuse.bones.some((bone) => bone.half) ? '' : ' on each half'
            }}</b
          >: {{ reuse.new }} new, {{ reuse.cut_down }} cut down.
        </p>
        <table class="numbers" aria-label="What becomes of the cut bones">
          <tbody>
            <tr v-for="(fate, i) in moved" :key="i" :data-fate="named(fate.channel, fate.half)">
              <td class="whose">
                <b>{{ named(fate.channel, fate.half) }}</b>
              </td>
              <td>{{ said(fate) }}</td>
              <td class="n in">{{ mm(fate.length_mm) }}</td>
            </tr>
          </tbody>
        </table>
        <p v-if="reuse.left.length" class="soft">
          Left over: {{ reuse.left.map((one) => `${named(one.channel, one.half)} ${mm(one.length_mm)}`).join(', ') }}.
        </p>
      </template>
      <div class="acts">
        <v-btn v-if="moved.length" size="small" variant="outlined" @click="cutOrNot('cut')">Now they are cut so</v-btn
        ><v-btn size="small" variant="text" @click="cutOrNot('uncut')">They are not cut</v-btn>
      </div>
    </template>
    <template v-else>
      <p v-if="ticked.length" class="caution">
        Ticked off as cut while making: {{ ticked.join(', ') }}. They are taken off the shelf here.
      </p>
      <p class="soft">Say so here: if top line or hem moves later, it tells which bones still serve, and where.</p>
      <v-btn size="small" variant="outlined" @click="cutOrNot('cut')">The bones are cut</v-btn>
    </template>
    <p class="caution">
      Wear eye protection when cutting steel; file and cap every cut end. Glue on tips and dip coats cure overnight.
    </p>
  </section>
</template>

<style scoped>
.shelfacts {
  text-align: right;
}
.whose {
  white-space: nowrap;
}
h2 {
  margin: 14px 0 2px;
}
h3 {
  font-size: 1rem;
  margin: 8px 0 0;
}
p {
  margin: 3px 0;
}
.plan {
  border-bottom: 1px solid var(--line);
  padding-bottom: 6px;
}
.plan td {
  vertical-align: top;
}
.plan td:first-child,
.plan td.n {
  white-space: nowrap;
}
.cuts {
  display: flex;
  flex-wrap: wrap;
  gap: 0 10px;
}
.put {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
  margin: 6px 0;
}
.wide {
  grid-column: 1 / -1;
}
.acts {
  display: flex;
  gap: 6px;
  margin-top: 6px;
}
.bad {
  color: var(--takein);
}
.caution {
  border-left: 4px solid var(--caution);
  padding-left: 10px;
  margin-top: 14px;
}
</style>
