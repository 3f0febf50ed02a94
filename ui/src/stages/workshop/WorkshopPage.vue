<script setup lang="ts">
import { mdiDotsVertical } from '@mdi/js'
import { computed, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import type { BookEntry, Build, Line } from '../../api/types'
import { Refused } from '../../api/client'
import { useNotices } from '../../stores/notices'
import { useSettings } from '../../stores/settings'
import { workshop } from '../../stores/workshop'
import { path } from '../../surface/flat'
import { daysLeft, longDay } from '../../parts/words'
import { useDraft } from '../../parts/useDraft'
import DamagedLine from './DamagedLine.vue'
import DemoBeside from '../../parts/DemoBeside.vue'

const notices = useNotices()
const settings = useSettings()
const router = useRouter()
const lines = ref<Line[]>()
const away = ref<Line[]>([])
const showAway = ref(false)
const failed = ref('')
const atTheLaptop = location.protocol === 'http:' // devices of the room come over TLS
const making = ref(false)
const blank = () => ({ name: '', character: '', kind: 'underbust corset' as NonNullable<Build['kind']> })
const form = ref(blank())
const book = ref<BookEntry[]>([])
const chooser = ref<HTMLInputElement>()
const fault = ref('')
const draft = useDraft(
  '-',
  'new build',
  form,
  () => null,
  (one) => !one.name && !one.character,
)
if (draft.restored.value) making.value = true
function begin() {
  if (!draft.restored.value) form.value = blank()
  fault.value = ''
  making.value = true
}
function leave() {
  making.value = false
  draft.restored.value = undefined
  form.value = blank()
}

async function load() {
  try {
    ;[lines.value, away.value, book.value] = await Promise.all([
      workshop.list(),
      workshop.list(true),
      workshop.wearers(),
    ])
    failed.value = ''
  } catch (error) {
    failed.value = error instanceof Refused ? error.trouble.sentence : String(error)
  }
}
onMounted(load)

const toOpen = (line: Line) => ({ name: line.next_stage, params: { id: line.id } })

async function make() {
  const { name, character, kind } = form.value
  if (!name.trim()) {
    fault.value = 'Give it a name, such as the character’s.'
    return
  }
  try {
    const line = await workshop.make({ name: name.trim(), character: character.trim(), kind })
    draft.drop()
    making.value = false
    router.push({ name: 'wearer', params: { id: line.id } })
  } catch (error) {
    if (error instanceof Refused) fault.value = error.trouble.faults[0]?.sentence ?? error.trouble.sentence
    else notices.complain(error)
  }
}

async function takeIn(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  if (file.size > 20_000_000) {
    notices.tell(
      `${file.name} has ${(file.size / 1e6).toFixed(1)} MB; a build with its pictures has a few, 20 MB at the most.`,
    )
    input.value = ''
    return
  }
  try {
    const line = await workshop.takeIn(file)
    await load()
    notices.tell(`“${line.name}” is in the workshop.`)
  } catch (error) {
    notices.tell(`${file.name}: ${error instanceof Refused ? error.trouble.sentence : 'it could not be read.'}`)
  }
  input.value = ''
}

async function act(step: () => Promise<unknown>, said: string, back?: () => Promise<unknown>) {
  try {
    await step()
    await load()
    notices.tell(said, back && { label: 'Undo', run: () => back().then(load, notices.complain) })
  } catch (error) {
    notices.complain(error)
  }
}

const remove = (line: Line) =>
  act(
    () => workshop.remove(line.id),
    `“${line.name}” is deleted.`,
    () => workshop.bringBack(line.id),
  )
const putAway = (line: Line, archived: boolean) =>
  act(
    () => workshop.archive(line.id, archived),
    archived ? `“${line.name}” is put away.` : `“${line.name}” is on the table again.`,
    () => workshop.archive(line.id, !archived),
  )
const forget = (entry: BookEntry) =>
  act(
    () => workshop.forgetWearer(entry.id),
    `${entry.name} is out of the book; builds keep their own copy.`,
    () => workshop.bringWearerBack(entry.id),
  )
const copy = (line: Line) => act(() => workshop.duplicate(line.id), `“${line.name}” is copied.`)

function outline(line: Line): { d: string; box: string } {
  let x = 0
  const parts: string[] = []
  const panels = line.silhouette
  const zs = panels.flat().map((point) => point[1])
  for (const panel of panels) {
    const xs = panel.map((point) => point[0])
    const left = Math.min(...xs)
    parts.push(
      path(
        panel.map(([px, z]): [number, number] => [x + px - left, -z]),
        true,
      ),
    )
    x += Math.max(...xs) - left + 7
  }
  return { d: parts.join(''), box: `-4 ${-Math.max(...zs) - 4} ${x + 4} ${Math.max(...zs) - Math.min(...zs) + 8}` }
}
const groups = computed(() => [
  { title: '', lines: lines.value ?? [], archived: false },
  ...(showAway.value ? [{ title: 'Put away', lines: away.value, archived: true }] : []),
])
</script>

<template>
  <div class="workshop">
    <div class="head">
      <h1>On the table</h1>
      <span class="spring" />
      <v-btn variant="outlined" @click="chooser?.click()">Take in a file</v-btn>
      <input
        ref="chooser"
        type="file"
        accept=".json,application/json"
        class="hidden"
        aria-label="Build file"
        @change="takeIn"
      />
      <v-btn color="primary" @click="begin">New build</v-btn>
    </div>

    <p v-if="failed" class="failed" role="alert">
      {{ failed }} <v-btn size="small" variant="outlined" @click="load">Try again</v-btn>
    </p>
    <v-progress-linear v-else-if="!lines" indeterminate color="metal" aria-label="Opening the workshop" />
    <div v-else-if="!lines.length && !away.length" class="empty">
      <h2>Nothing on the table yet</h2>
      <p>A picture, three or four girths, and the pattern follows. Each further measure makes it surer.</p>
      <div class="ways">
        <v-btn color="primary" size="large" to="/first">First build, step by step</v-btn>
        <DemoBeside v-if="atTheLaptop" />
      </div>
    </div>
    <template v-for="group in groups" v-else :key="group.title">
      <h2 v-if="group.title" class="group">{{ group.title }}</h2>
      <ul class="builds">
        <li v-for="line in group.lines" :key="line.id" class="line">
          <DamagedLine
            v-if="line.trouble"
            :line="line"
            @mended="
              (said) => {
                notices.tell(said)
                load()
              }
            "
            @remove="remove(line)"
          />
          <router-link v-else :to="toOpen(line)" class="open">
            <svg v-if="line.silhouette.length" :viewBox="outline(line).box" class="shape" aria-hidden="true">
              <path :d="outline(line).d" />
            </svg>
            <span v-else class="shape none" aria-hidden="true" />
            <span class="who">
              <b>{{ line.name }}</b>
              <small>{{ line.character || line.kind }}</small>
              <small>{{
                [
                  line.character && line.kind,
                  line.wearer && `for ${line.wearer}`,
                  line.version && `version ${line.version}`,
                  line.fittings && `${line.fittings} ${line.fittings === 1 ? 'fitting' : 'fittings'}`,
                ]
                  .filter(Boolean)
                  .join(' · ')
              }}</small>
            </span>
            <span class="next">{{ group.archived ? '' : line.next_step }}</span>
            <span
              class="day"
              :class="{
                near:
                  !group.archived &&
                  line.needed_on &&
                  /^(\d|1[0-3]) days left|today|tomorrow/.test(daysLeft(line.needed_on)),
              }"
            >
              <b>{{ daysLeft(line.needed_on) }}</b>
              <small v-if="line.needed_on">{{ longDay(line.needed_on) }}</small>
            </span>
          </router-link>
          <v-menu v-if="!line.trouble" location="bottom end">
            <template #activator="{ props }"
              ><v-btn
                v-bind="props"
                :icon="mdiDotsVertical"
                size="small"
                variant="text"
                :aria-label="`More for ${line.name}`"
            /></template>
            <v-list density="compact" role="menu">
              <v-list-item role="menuitem" title="Copy" @click="copy(line)" />
              <v-list-item
                role="menuitem"
                :title="group.archived ? 'Take out again' : 'Put away'"
                @click="putAway(line, !group.archived)"
              />
              <v-list-item role="menuitem" title="Delete" @click="remove(line)" />
            </v-list>
          </v-menu>
        </li>
      </ul>
    </template>
    <v-btn v-if="away.length" variant="text" size="small" class="away" @click="showAway = !showAway">
      {{ showAway ? 'Hide what is put away' : `Put away: ${away.length}` }}
    </v-btn>

    <section v-if="book.length" class="wearers" aria-label="Wearers">
      <h2 class="group">Wearers</h2>
      <ul class="builds">
        <li v-for="entry in book" :key="entry.id" class="line wearer">
          <b>{{ entry.name }}</b>
          <span>
            <template v-if="entry.measurings.length"
              >measured {{ entry.measurings.map((one) => longDay(one.taken_on)).join(', ') }}</template
            >
            <small v-if="entry.damaged" class="damage" role="alert"
              >{{ entry.damaged > 1 ? `${entry.damaged} of her measurings are` : 'One of her measurings is' }} damaged{{
                entry.measurings.length ? '.' : ': measure her again.'
              }}</small
            >
          </span>
          <span class="rests">
            <router-link
              v-for="build in entry.builds"
              :key="build.id"
              :to="{ name: 'wearer', params: { id: build.id } }"
              :class="{ old: !build.newest }"
              >{{ build.name }}{{ build.newest ? '' : ', on older measures' }}</router-link
            >
          </span>
          <v-menu location="bottom end">
            <template #activator="{ props }"
              ><v-btn
                v-bind="props"
                :icon="mdiDotsVertical"
                size="small"
                variant="text"
                :aria-label="`More for ${entry.name}`"
            /></template>
            <v-list density="compact" role="menu"
              ><v-list-item role="menuitem" title="Take out of the book" @click="forget(entry)"
            /></v-list>
          </v-menu>
        </li>
      </ul>
    </section>

    <v-dialog v-model="making" max-width="440" aria-label="New build">
      <form @submit.prevent="make">
        <v-card title="New build">
          <v-card-text class="form">
            <v-text-field
              v-model="form.name"
              label="Name"
              autofocus
              :error-messages="fault"
              @update:model-value="fault = ''"
            />
            <v-text-field v-model="form.character" label="Character and where from" />
            <v-select
              v-model="form.kind"
              label="Kind of garment"
              :items="settings.catalogue.kinds.map((one) => one.name)"
            />
            <p class="soft small">{{ settings.catalogue.kinds.find((one) => one.name === form.kind)?.what }}</p>
          </v-card-text>
          <v-card-actions>
            <v-btn to="/first">Step by step</v-btn>
            <v-spacer />
            <v-btn @click="leave">Leave it</v-btn>
            <v-btn color="primary" variant="flat" type="submit">Make it</v-btn>
          </v-card-actions>
        </v-card>
      </form>
    </v-dialog>
  </div>
</template>

<style scoped>
.workshop {
  max-width: 1120px;
  margin: 0 auto;
  padding: 26px 28px 40px;
}
.head {
  display: flex;
  align-items: center;
  gap: 10px;
  margin-bottom: 14px;
}
.spring {
  flex: 1;
}
.hidden {
  display: none;
}
.builds {
  list-style: none;
  padding: 0;
  margin: 0;
  border-top: 1px solid var(--ink);
}
.line {
  display: flex;
  align-items: center;
  border-bottom: 1px solid var(--line);
}
.open {
  flex: 1;
  display: grid;
  grid-template-columns: 150px minmax(0, 1.2fr) minmax(0, 1fr) 150px;
  gap: 22px;
  align-items: center;
  padding: 12px 6px;
  color: inherit;
  text-decoration: none;
}
.open:hover {
  background: var(--bench);
}
.shape {
  height: 62px;
  width: 150px;
}
.shape path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.2;
  vector-effect: non-scaling-stroke;
}
.shape.none {
  border: 1px dashed var(--dot);
  width: 110px;
  margin-left: 20px;
}
.who b {
  font-size: 1.15rem;
  font-weight: 650;
  display: block;
}
small {
  color: var(--steel);
  display: block;
  font-size: 0.88rem;
  line-height: 1.25;
}
.next {
  font-weight: 500;
}
.day b {
  font-weight: 600;
}
.near b {
  color: var(--caution);
}
.group {
  margin: 26px 0 8px;
}
.away {
  margin-top: 14px;
}
.wearer {
  display: grid;
  grid-template-columns: 150px minmax(0, 1fr) minmax(0, 1fr) auto;
  gap: 22px;
  padding: 7px 6px;
}
.rests {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
}
.rests a {
  color: var(--letout);
}
.rests .old {
  color: var(--caution);
}
@media (max-width: 899px) {
  .workshop {
    padding: 18px 14px 30px;
  }
  .head {
    flex-wrap: wrap;
  }
  .open {
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 6px 14px;
  }
  .shape {
    display: none;
  }
  .next {
    grid-column: 1 / -1;
    grid-row: 2;
  }
  .wearer {
    grid-template-columns: minmax(0, 1fr) auto;
  }
}
.empty {
  padding: 60px 0;
  text-align: center;
}
.empty p {
  max-width: 560px;
  margin: 6px auto 20px;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 14px;
  justify-content: center;
  align-items: center;
}
.failed {
  color: var(--takein);
}
.form {
  display: grid;
  gap: 12px;
}
</style>
