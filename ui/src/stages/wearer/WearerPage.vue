<script setup lang="ts">
import { computed, ref } from 'vue'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'
import FindingsList from '../../parts/FindingsList.vue'
import LengthField from '../../parts/LengthField.vue'
import type { LevelName } from '../../api/types'
import { hardware, length, LEVEL_LABELS } from '../../parts/words'
import TapeFigure from './TapeFigure.vue'
import HerGarments from './HerGarments.vue'
import MeasuresSheet from './MeasuresSheet.vue'
import WearerBook from './WearerBook.vue'
import { useMeasureCommands } from '../../commands/measures'
import { certain } from '../../parts/certain'

const openBuild = useOpenBuild()
const measures = useMeasureCommands()
const settings = useSettings()
const wearer = computed(() => openBuild.build.wearer)
const here = ref<LevelName>(openBuild.levels.includes('waist') ? 'waist' : 'neck_base')
const info = (name: LevelName) =>
  certain(
    settings.catalogue.levels.find((level) => level.name === name),
    name,
  )
const all = ref(false)
const rows = computed<LevelName[]>(() =>
  all.value ? settings.catalogue.levels.map((level) => level.name) : openBuild.levels,
)
const STAND = ['high_bust', 'bust', 'underbust', 'ribs', 'waist', 'high_hip', 'hip'] as const
const standLevels = computed(() => STAND.filter((name) => openBuild.levels.includes(name)))
const body = computed(() => Object.fromEntries((openBuild.plan.body?.levels ?? []).map((level) => [level.name, level])))
const believed = (name: LevelName) => {
  const level = body.value[name]
  return level
    ? `${length(level.girth_mm, settings.unit)} ± ${length(level.spread_mm, settings.unit, { bare: true })}`
    : ''
}
const HEIGHTS = ['front', 'side', 'back'] as const
const learnt = computed(() => openBuild.build.fittings.length > 0)
const NEEDED = computed(() => openBuild.kind.needed)
const readings = (name: LevelName) => wearer.value[name].readings_mm
const chooser = ref<HTMLInputElement>()
async function takeAnswer(event: Event) {
  const input = event.target as HTMLInputElement
  if (input.files?.[0]) await measures.takeLetter(input.files[0])
  input.value = ''
}
const stand = computed(() => openBuild.build.stand)
const unconfirmed = computed(() => openBuild.levels.some((name) => wearer.value[name].unconfirmed))
const confirm = (checked: boolean) =>
  openBuild.edit(
    openBuild.levels.map((name) => ({ at: `wearer.${name}.unconfirmed`, value: !checked })),
    checked ? 'Measures checked' : 'Measures came by letter',
  )
const addReading = (name: LevelName) =>
  openBuild.set(`wearer.${name}.readings_mm`, [...readings(name), readings(name)[readings(name).length - 1]])
const dropReading = (name: LevelName, i: number) =>
  openBuild.set(
    `wearer.${name}.readings_mm`,
    readings(name).filter((_, k) => k !== i),
  )
</script>

<template>
  <div class="wearer">
    <section class="measures">
      <WearerBook />
      <div class="head">
        <h1>
          Measures <span v-if="wearer.name" class="soft">of {{ wearer.name }}</span>
        </h1>
        <v-menu location="bottom end">
          <template #activator="{ props }"
            ><v-btn v-bind="props" size="small" variant="outlined">A client far away</v-btn></template
          >
          <v-list density="compact" min-width="270" role="menu">
            <v-list-item
              role="menuitem"
              :href="`/api/builds/${openBuild.here.id}/letter.html`"
              download
              title="Sheet to send"
              subtitle="a page that works offline and saves her answer"
            />
            <v-list-item
              role="menuitem"
              :href="`/api/builds/${openBuild.here.id}/letter.pdf?paper=${settings.house.paper}`"
              download
              title="Sheet to print"
              subtitle="PDF, one page"
            />
            <v-list-item
              role="menuitem"
              title="Read her answer"
              subtitle="measures.fuseau-letter.json"
              @click="chooser?.click()"
            />
          </v-list>
        </v-menu>
        <input
          ref="chooser"
          type="file"
          accept=".json,application/json"
          class="hidden"
          aria-label="Client's answer"
          @change="takeAnswer"
        />
      </div>
      <table>
        <thead>
          <tr>
            <td />
            <th>Girth</th>
            <th colspan="2">Arcs, side to side</th>
            <th colspan="3">Height along the body</th>
            <th>Left half</th>
            <th>{{ learnt ? 'Believed now' : 'Believed' }}</th>
          </tr>
          <tr class="sub">
            <td />
            <td />
            <th>front</th>
            <th>back</th>
            <th>front</th>
            <th>side</th>
            <th>back</th>
            <th>has more</th>
            <td />
          </tr>
        </thead>
        <tbody>
          <tr v-for="name in rows" :key="name" :class="{ here: here === name }" @focusin="here = name">
            <th scope="row">
              {{ LEVEL_LABELS[name]
              }}<small v-if="info(name).sign"
                >{{ info(name).sign > 0 ? 'above' : 'below' }} the {{ info(name).zero }}</small
              >
            </th>
            <td class="girth">
              <div v-for="(mm, i) in readings(name)" :key="`${name}-${i}-${readings(name).length}`" class="reading">
                <LengthField
                  :at="`wearer.${name}.readings_mm.${i}`"
                  :mm="mm"
                  :label="`${LEVEL_LABELS[name]} girth, reading ${i + 1}`"
                  hide-label
                />
                <button
                  v-if="readings(name).length > 1"
                  type="button"
                  class="mini"
                  :aria-label="`Take out reading ${i + 1} of ${LEVEL_LABELS[name]}`"
                  @click="dropReading(name, i)"
                >
                  ×
                </button>
                <button
                  v-else
                  type="button"
                  class="mini"
                  :aria-label="`Another reading of ${LEVEL_LABELS[name]}`"
                  title="Measured again"
                  @click="addReading(name)"
                >
                  +
                </button>
              </div>
              <LengthField
                v-if="!readings(name).length"
                :at="`wearer.${name}.readings_mm`"
                :mm="null"
                list
                :label="`${LEVEL_LABELS[name]} girth`"
                hide-label
                :placeholder="NEEDED.includes(name) ? 'needed' : 'if you have it'"
              />
              <p v-else-if="openBuild.saidAt(`wearer.${name}.readings_mm`)?.severity === 'caution'" class="check">
                {{ openBuild.saidAt(`wearer.${name}.readings_mm`)?.text }}
              </p>
              <button
                v-if="readings(name).length > 1"
                type="button"
                class="again"
                :aria-label="`${LEVEL_LABELS[name]} measured again`"
                @click="addReading(name)"
              >
                + measured again
              </button>
            </td>
            <td>
              <LengthField
                :at="`wearer.${name}.front_arc_mm`"
                :mm="wearer[name].front_arc_mm"
                :label="`${LEVEL_LABELS[name]}, front arc`"
                hide-label
                :placeholder="
                  body[name] ? length(body[name].girth_mm * body[name].front_share, settings.unit, { bare: true }) : ''
                "
              />
            </td>
            <td>
              <LengthField
                :at="`wearer.${name}.back_arc_mm`"
                :mm="wearer[name].back_arc_mm"
                :label="`${LEVEL_LABELS[name]}, back arc`"
                hide-label
                :placeholder="
                  body[name]
                    ? length(body[name].girth_mm * (1 - body[name].front_share), settings.unit, { bare: true })
                    : ''
                "
              />
            </td>
            <template v-if="info(name).sign">
              <td v-for="side in HEIGHTS" :key="side">
                <LengthField
                  :at="`wearer.${name}.height_${side}_mm`"
                  :mm="wearer[name][`height_${side}_mm`]"
                  :label="`${LEVEL_LABELS[name]}, height at the ${side}`"
                  hide-label
                  :placeholder="
                    body[name] ? length(Math.abs(body[name][`${side}_mm`]), settings.unit, { bare: true }) : ''
                  "
                />
              </td>
            </template>
            <td v-else colspan="3" class="soft zero">all heights are taken from here</td>
            <td>
              <LengthField
                :at="`wearer.${name}.left_more_mm`"
                :mm="wearer[name].left_more_mm"
                :label="`${LEVEL_LABELS[name]}, left half more than right`"
                hide-label
                placeholder="same"
              />
            </td>
            <td class="in believed">{{ believed(name) }}</td>
          </tr>
        </tbody>
      </table>
      <div class="more">
        <LengthField
          v-if="openBuild.levels.includes('bust')"
          at="wearer.bust_points_mm"
          :mm="wearer.bust_points_mm"
          label="Bust point to bust point"
          :placeholder="body.bust ? length(0.2 * body.bust.girth_mm, settings.unit, { bare: true }) : ''"
        />
        <LengthField
          v-if="openBuild.levels.includes('waist')"
          at="wearer.waist_to_lap_sitting_mm"
          :mm="wearer.waist_to_lap_sitting_mm"
          label="Waist to lap, sitting"
          placeholder="not measured"
        />
        <div>
          <span id="soft-label" class="label">How soft</span>
          <v-btn-toggle
            :model-value="wearer.softness"
            aria-labelledby="soft-label"
            @update:model-value="(value: string) => openBuild.set('wearer.softness', value)"
          >
            <v-btn value="lean">lean</v-btn><v-btn value="average">average</v-btn><v-btn value="soft">soft</v-btn>
          </v-btn-toggle>
        </div>
        <div>
          <span id="new-label" class="label">Worn laced before?</span>
          <v-btn-toggle
            :model-value="wearer.new_to_lacing ? 'new' : 'used'"
            aria-labelledby="new-label"
            @update:model-value="(value: string) => openBuild.set('wearer.new_to_lacing', value === 'new')"
          >
            <v-btn value="new">new to it</v-btn><v-btn value="used">used to it</v-btn>
          </v-btn-toggle>
        </div>
        <label class="letter"
          ><input
            type="checkbox"
            :checked="unconfirmed"
            @change="confirm(!($event.target as HTMLInputElement).checked)"
          />
          Sent by letter, nobody has checked</label
        >
      </div>
      <button type="button" class="again" @click="all = !all">
        {{ all ? 'Only what this garment needs' : 'All levels, neck to hip' }}
      </button>
      <MeasuresSheet />
      <section v-if="standLevels.length" class="stand" aria-label="Dress stand">
        <h2>Dress stand</h2>
        <div class="standgrid">
          <div class="text">
            <label for="stand-name">which</label
            ><input
              id="stand-name"
              :value="stand.name"
              @change="openBuild.set('stand.name', ($event.target as HTMLInputElement).value)"
            />
          </div>
          <LengthField
            v-for="name in standLevels"
            :key="name"
            :at="`stand.${name}_mm`"
            :mm="stand[`${name}_mm`]"
            :label="LEVEL_LABELS[name]"
          />
          <LengthField at="stand.above_waist_mm" :mm="stand.above_waist_mm" label="reaches up" />
          <LengthField at="stand.below_waist_mm" :mm="stand.below_waist_mm" label="and down" />
        </div>
        <ul v-if="openBuild.plan.stand.length" class="padding" aria-label="Padding">
          <li v-for="level in openBuild.plan.stand" :key="level.name" :class="level.kind.replaceAll(' ', '-')">
            <b>{{ level.label }}</b>{{ ' ' }}
            <template v-if="level.kind === 'pad'"
              >pad by {{ length(level.change_mm, settings.unit) }}, a layer of
              {{ hardware(level.layer_mm, settings.unit) }}</template
            >
            <template v-else-if="level.kind === 'pin out'"
              >pin {{ length(-level.change_mm, settings.unit) }} out</template
            >
            <template v-else>as it is</template>
          </li>
        </ul>
      </section>
      <HerGarments />
    </section>
    <aside class="side" aria-label="Where the tape goes">
      <TapeFigure :here="here" :body="body" :stand="openBuild.plan.stand" />
      <FindingsList :stages="['wearer']" />
      <v-btn v-if="openBuild.plan.pattern" color="primary" :to="{ name: 'pattern' }">See the pattern</v-btn>
    </aside>
  </div>
</template>

<style scoped>
.wearer {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 272px;
  min-height: 0;
}
.measures {
  padding: 16px 18px;
  overflow-y: auto;
}
.head {
  display: flex;
  justify-content: space-between;
  align-items: start;
}
.hidden {
  display: none;
}
h1 {
  margin-bottom: 10px;
}
h1 .soft {
  font-weight: 400;
}
table {
  border-collapse: collapse;
  width: 100%;
  table-layout: fixed;
}
th {
  text-align: left;
  font-weight: 500;
  color: var(--steel);
  font-size: 0.88rem;
}
.sub th {
  padding-bottom: 4px;
}
thead td {
  padding: 0;
}
thead tr:first-child td {
  width: 92px;
}
thead tr:first-child th:nth-child(2) {
  width: 138px;
}
thead tr:first-child th:last-child {
  width: 112px;
}
tbody tr {
  border-top: 1px solid var(--line);
  vertical-align: top;
}
tbody tr.here {
  background: var(--bench);
}
tbody th {
  color: var(--ink);
  font-size: 1.02rem;
  padding: 12px 6px;
  font-weight: 600;
}
tbody th small {
  display: block;
  color: var(--steel);
  font-weight: 400;
  font-size: 0.8rem;
  white-space: nowrap;
}
td {
  padding: 8px 4px;
}
.zero {
  padding-top: 14px;
}
.believed {
  color: var(--steel);
  padding-top: 14px;
  white-space: nowrap;
}
.reading {
  display: flex;
  gap: 4px;
  align-items: flex-start;
  margin-bottom: 3px;
}
.reading .field {
  flex: 1;
}
.mini {
  width: 26px;
  height: 33px;
  border: 1px solid var(--line);
  border-radius: 3px;
  color: var(--steel);
  font-size: 1.1rem;
}
.again {
  color: var(--letout);
  font-size: 0.88rem;
}
.check {
  color: var(--caution);
  font-size: 0.88rem;
  margin: 2px 0 0;
  line-height: 1.2;
}
.more {
  display: flex;
  gap: 26px;
  align-items: flex-start;
  margin-top: 18px;
  border-top: 1px solid var(--line);
  padding-top: 14px;
}
.more .field {
  width: 168px;
}
.letter {
  display: flex;
  gap: 6px;
  align-items: center;
  padding-top: 22px;
}
.letter input {
  width: 15px;
  height: 15px;
  accent-color: var(--ink);
}
.stand {
  margin-top: 18px;
  border-top: 1px solid var(--line);
  padding-top: 12px;
}
.standgrid {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(92px, 1fr));
  gap: 8px;
  margin-top: 4px;
}
.text label {
  display: block;
  font-size: 0.85rem;
  color: var(--steel);
  margin-bottom: 1px;
}
.text input {
  width: 100%;
  border: 1px solid #8b99a5;
  border-radius: 3px;
  padding: 5px 7px;
  font: inherit;
  background: var(--paper);
  color: var(--ink);
}
.padding {
  list-style: none;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 22px;
  padding: 0;
  margin: 10px 0 0;
}
.padding .pad {
  color: var(--letout);
}
.padding .pin-out {
  color: var(--takein);
}
.padding b {
  color: var(--ink);
}
.label {
  display: block;
  font-size: 0.85rem;
  color: var(--steel);
  margin-bottom: 1px;
}
.side {
  border-left: 1px solid var(--line);
  padding: 16px;
  overflow-y: auto;
}
@media (max-width: 899px) {
  .wearer {
    grid-template-columns: minmax(0, 1fr);
    height: auto;
  }
  .measures {
    overflow-x: auto;
  }
  table {
    min-width: 780px;
  }
}
</style>
