<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { Refused } from '../../api/client'
import type { KindName, LevelName } from '../../api/types'
import FindingsList from '../../parts/FindingsList.vue'
import FlatOutlines from '../../parts/FlatOutlines.vue'
import HouseToggle from '../../parts/HouseToggle.vue'
import LengthField from '../../parts/LengthField.vue'
import { useDraft, whenSaved } from '../../parts/useDraft'
import { useOpenBuild } from '../../stores/openBuild'
import { useNotices } from '../../stores/notices'
import { useSettings } from '../../stores/settings'
import { workshop } from '../../stores/workshop'
import { layOut } from '../../surface/flat'
import { JOBS, length, LEVEL_LABELS } from '../../parts/words'
import TapeFigure from '../wearer/TapeFigure.vue'
import { usePatternCommands } from '../../commands/pattern'
import { useAddPicture } from '../../commands/pictures'

// A build from its picture to paper in five steps. It is a build like any other from the first step on: whoever leaves
// here finds it in the workshop.
const STEPS = ['The picture', 'Who wears it', 'Her girths', 'The pattern', 'On paper'] as const
const route = useRoute()
const router = useRouter()
const openBuild = useOpenBuild()
const addPicture = useAddPicture()
const pattern = usePatternCommands()
const notices = useNotices()
const settings = useSettings()
const id = computed(() => (typeof route.params.id === 'string' && route.params.id) || '')
const step = computed(() => Math.min(5, Math.max(1, Number(route.query.step) || 1)))
const here = computed(() => id.value && openBuild.latest?.id === id.value)
watch(id, (now) => now && openBuild.latest?.id !== now && void openBuild.open(now), { immediate: true })

// --- the picture
const blank = (): { name: string; character: string; kind: KindName; day: string } => ({
  name: '',
  character: '',
  kind: 'underbust corset',
  day: '',
})
const asKept = () => {
  if (!here.value) return blank()
  const { name, character, needed_on } = openBuild.build.brief
  return { name: name, character: character, kind: openBuild.build.kind, day: needed_on ?? '' }
}
const form = ref(blank())
const picture = ref<File>()
const seen = ref('')
const fault = ref('')
const busy = ref(false)
// what is typed here and not kept yet is held by this browser
const typed = ref<Partial<ReturnType<typeof blank>>>({})
const held = useDraft(
  () => id.value || '-',
  'first build',
  typed,
  () => (here.value ? openBuild.here.revision : null),
  (now) => !Object.keys(now).length,
)
watch(here, () => (form.value = { ...asKept(), ...typed.value }), { immediate: true })
watch(
  form,
  (now) => {
    const kept = asKept() as Record<string, string>
    if (id.value && !here.value) return
    typed.value = Object.fromEntries(Object.entries(now).filter(([name, text]) => text !== kept[name]))
  },
  { deep: true },
)
function anew() {
  held.restored.value = undefined
  form.value = asKept()
}
function choose(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  URL.revokeObjectURL(seen.value)
  ;[picture.value, seen.value] = [file, URL.createObjectURL(file)]
}
const shown = computed(() => {
  const kept = here.value ? openBuild.build.brief.pictures.at(-1)?.id : undefined
  return seen.value || (kept && `/api/pictures/${kept}`)
})
async function keepPicture() {
  const { name, character, kind, day } = form.value
  fault.value = ''
  if (!name.trim()) {
    fault.value = 'Give it a name, such as the character’s.'
    return false
  }
  try {
    if (!id.value) {
      const line = await workshop.make({ name: name.trim(), character: character.trim(), kind })
      await router.replace({ name: 'first', params: { id: line.id }, query: { step: 1 } })
      await openBuild.open(line.id)
    }
    const { brief } = openBuild.build
    const changes = [
      { at: 'brief.name', value: name.trim(), was: brief.name },
      { at: 'brief.character', value: character.trim(), was: brief.character },
      { at: 'kind', value: kind, was: openBuild.build.kind },
      { at: 'brief.needed_on', value: day || null, was: brief.needed_on ?? null },
    ].filter((one) => one.value !== one.was)
    if (changes.length && !(await openBuild.edit(changes.map(({ at, value }) => ({ at, value }))))) {
      fault.value = openBuild.errors['brief.name'] ?? ''
      return false
    }
    typed.value = {}
    held.restored.value = undefined
    // one that can't be read is told of and let go, so that she goes on without it or with another
    const [file] = [picture.value, (picture.value = undefined)]
    const taken = !file || (await addPicture(file, 'reference'))
    if (!taken) seen.value = ''
    return taken
  } catch (error) {
    if (error instanceof Refused) fault.value = error.trouble.faults[0]?.sentence ?? error.trouble.sentence
    else notices.complain(error)
    return false
  }
}

// --- who, and her girths
const wearer = computed(() => openBuild.build.wearer)
const needed = computed(() => openBuild.kind.needed)
const at = ref<LevelName>('waist')
const tapeAt = computed(() => (openBuild.levels.includes(at.value) ? at.value : needed.value[0]))
const body = computed(() => Object.fromEntries((openBuild.plan.body?.levels ?? []).map((level) => [level.name, level])))
const missing = computed(() => needed.value.filter((name) => !wearer.value[name].readings_mm.length))

// --- the pattern
const outlines = computed(() => {
  const panels = openBuild.plan.pattern?.panels ?? []
  const { offsets } = layOut(panels)
  return panels.map((panel, i) => panel.outline.map(([x, z]): [number, number] => [x + offsets[i], z]))
})
const zero = computed(() => openBuild.plan.levels.find((level) => level.name === 'waist' || level.name === 'neck_base'))
const setJob = (word: string) =>
  openBuild.edit(
    JOBS[word as keyof typeof JOBS].map(([field, value]) => ({ at: `target.${field}`, value })),
    `Job: ${word}`,
  )

const top = useTemplateRef<HTMLElement>('top')
async function to(number: number) {
  if (step.value === 1 && number > 1 && !(await keepPicture())) return
  await router.push({ name: 'first', params: { id: id.value }, query: { step: number } })
  await nextTick()
  top.value?.focus()
}
async function next() {
  if (busy.value) return
  busy.value = true
  await to(step.value + 1)
  busy.value = false
}
const ready = computed(() => step.value !== 3 || !!openBuild.latest?.plan.pattern)
const can = (number: number) => number <= step.value || (here.value && (number < 4 || !!openBuild.plan.pattern))
async function tryOn() {
  if (!openBuild.build.versions.length && !(await pattern.version('cut'))) return
  await router.push({ name: 'mockups', params: { id: id.value } })
}
</script>

<template>
  <div class="first">
    <ol class="steps" aria-label="Five steps">
      <li v-for="(name, i) in STEPS" :key="name" :class="{ done: i + 1 < step }">
        <button
          type="button"
          :aria-current="i + 1 === step ? 'step' : undefined"
          :disabled="!can(i + 1)"
          @click="to(i + 1)"
        >
          <b>{{ i + 1 }}</b> {{ name }}
        </button>
      </li>
    </ol>
    <form class="now" :aria-label="STEPS[step - 1]" @submit.prevent="next">
      <template v-if="step === 1">
        <h1 ref="top" tabindex="-1">What do you see in the picture?</h1>
        <p v-if="held.restored.value" class="soft small" role="status">
          As you left it {{ whenSaved(held.restored.value.saved) }}.
          <v-btn size="small" variant="text" @click="anew">Begin anew</v-btn>
        </p>
        <div class="two">
          <v-text-field
            v-model="form.name"
            label="Name of the build"
            :error-messages="fault"
            @update:model-value="fault = ''"
          />
          <v-text-field v-model="form.character" label="Character and where from" />
        </div>
        <fieldset>
          <legend>What comes nearest to it?</legend>
          <label
            v-for="kind in settings.catalogue.kinds"
            :key="kind.name"
            class="kind"
            :class="{ on: form.kind === kind.name }"
          >
            <input v-model="form.kind" type="radio" name="kind" :value="kind.name" />
            <span
              ><b>{{ kind.name }}</b> <span class="soft">{{ kind.what }}</span></span
            >
          </label>
        </fieldset>
        <v-text-field
          v-model="form.day"
          type="date"
          label="Day it is needed, if there is one"
          class="short"
          :error-messages="openBuild.errors['brief.needed_on']"
        />
      </template>

      <template v-else-if="here && step === 2">
        <h1 ref="top" tabindex="-1">Who wears it?</h1>
        <v-text-field
          label="Her name"
          :error-messages="openBuild.errors['wearer.name']"
          :model-value="wearer.name"
          class="short"
          @change="(event: Event) => openBuild.set('wearer.name', (event.target as HTMLInputElement).value.trim())"
        />
        <div v-if="!openBuild.kind.tied">
          <span id="soft-label" class="label">How soft is she at the waist?</span>
          <v-btn-toggle
            :model-value="wearer.softness"
            mandatory
            aria-labelledby="soft-label"
            @update:model-value="(value: string) => openBuild.set('wearer.softness', value)"
          >
            <v-btn value="lean">lean</v-btn><v-btn value="average">average</v-btn><v-btn value="soft">soft</v-btn>
          </v-btn-toggle>
        </div>
        <div v-if="!openBuild.kind.tied">
          <span id="new-label" class="label">Has she worn something laced before?</span>
          <v-btn-toggle
            :model-value="wearer.new_to_lacing ? 'new' : 'used'"
            mandatory
            aria-labelledby="new-label"
            @update:model-value="(value: string) => openBuild.set('wearer.new_to_lacing', value === 'new')"
          >
            <v-btn value="new">new to it</v-btn><v-btn value="used">used to it</v-btn>
          </v-btn-toggle>
        </div>
        <p class="caution">
          Fuseau is a workshop aid and gives no medical advice. In pregnancy, after surgery, with hernia, reflux, heart,
          lung, spine or circulation trouble, or while still growing: no reduction unless a doctor has agreed.
        </p>
      </template>

      <template v-else-if="here && step === 3">
        <h1 ref="top" tabindex="-1">Her girths</h1>
        <p>Over what she will wear under it, the tape level and snug.</p>
        <div class="girths">
          <div v-for="name in openBuild.levels" :key="name" @focusin="at = name">
            <LengthField
              v-if="wearer[name].readings_mm.length"
              :at="`wearer.${name}.readings_mm.0`"
              :mm="wearer[name].readings_mm[0]"
              :label="LEVEL_LABELS[name]"
            />
            <LengthField
              v-else
              :at="`wearer.${name}.readings_mm`"
              :mm="null"
              list
              :label="LEVEL_LABELS[name]"
              :placeholder="needed.includes(name) ? 'needed' : 'if you have it'"
            />
          </div>
        </div>
        <p class="soft small">Heights, arcs and second readings can be written at any time, in the stage Wearer.</p>
        <FindingsList v-if="!missing.length" :stages="['wearer']" least="caution" />
      </template>

      <template v-else-if="here && step === 4 && openBuild.plan.pattern">
        <h1 ref="top" tabindex="-1">The pattern</h1>
        <div v-if="!openBuild.kind.tied">
          <span id="job-label" class="label">What it does to her waist</span>
          <v-btn-toggle :model-value="openBuild.here.job" aria-labelledby="job-label" @update:model-value="setJob">
            <v-btn v-for="(_, word) in JOBS" :key="word" :value="word">{{ word }}</v-btn>
          </v-btn-toggle>
        </div>
        <dl v-if="zero" class="zero">
          <div>
            <dt>{{ zero.label }}, her own</dt>
            <dd>{{ length(zero.body_mm, settings.unit) }}</dd>
          </div>
          <div v-if="zero.worn_mm !== null">
            <dt>worn</dt>
            <dd>{{ length(zero.worn_mm, settings.unit) }}</dd>
          </div>
          <div v-if="zero.closed_mm !== null">
            <dt>closed</dt>
            <dd>{{ length(zero.closed_mm, settings.unit) }}</dd>
          </div>
          <div v-if="openBuild.build.back.laced" class="gap">
            <dt><label for="target.gap_mm">gap behind</label></dt>
            <dd>
              <LengthField
                at="target.gap_mm"
                :mm="openBuild.build.target.gap_mm"
                label="Gap behind"
                hide-label
                hardware
              />
            </dd>
          </div>
        </dl>
        <FlatOutlines :outlines="outlines" label="One half, laid flat, from centre front to centre back" class="flat" />
        <p class="soft small ends"><span>CF</span><span>one half, cut twice as a mirrored pair</span><span>CB</span></p>
        <FindingsList :stages="['pattern']" />
      </template>

      <template v-else-if="here && step === 5 && openBuild.plan.pattern">
        <h1 ref="top" tabindex="-1">On paper</h1>
        <div class="choice">
          <HouseToggle of="paper" size="default" aria-label="Paper" />
          <v-btn
            color="primary"
            size="large"
            :href="`/api/builds/${id}/pattern.pdf?paper=${settings.house.paper}`"
            download=""
            >Pattern, 1:1</v-btn
          >
          <v-btn
            variant="outlined"
            size="large"
            :href="`/api/builds/${id}/fitting.pdf?paper=${settings.house.paper}`"
            download=""
            >Fitting slip</v-btn
          >
        </div>
        <ol class="then">
          <li>Print at 100 %, without “fit to page”.</li>
          <li>Measure the test square: 50 mm each way. If it is not, print again.</li>
          <li>Tape the pages at their marks. Cut the panels from firm plain cloth, sew and bone them.</li>
          <li>
            Try it on, write the {{ openBuild.build.back.laced ? 'gap' : 'pins' }} on the slip, and log it in Mock-ups:
            the next pattern follows.
          </li>
        </ol>
      </template>
      <p v-else-if="id && openBuild.failed" class="bad" role="alert">{{ openBuild.failed }}</p>
      <p v-else-if="step > 3 && here" class="soft">The girths come first.</p>

      <div class="acts">
        <v-btn v-if="step > 1" variant="text" @click="to(step - 1)">Back</v-btn>
        <v-btn v-if="step < 5" color="primary" type="submit" :loading="busy" :disabled="!ready">{{
          step === 3 && !ready ? 'Next, once they are there' : 'Next'
        }}</v-btn>
        <v-btn v-else-if="here" color="primary" variant="outlined" @click="tryOn">To the mock-ups</v-btn>
      </div>
    </form>
    <aside class="beside" aria-label="Beside it">
      <template v-if="step === 1">
        <img v-if="shown" :src="shown" alt="The picture" />
        <label class="file"
          >{{ shown ? 'Another picture' : 'Choose a picture' }}
          <input type="file" accept="image/jpeg,image/png,image/webp" aria-label="Choose a picture" @change="choose"
        /></label>
      </template>
      <TapeFigure v-else-if="here && step === 3" :here="tapeAt" :body="body" />
      <img v-else-if="shown" :src="shown" alt="The picture" />
    </aside>
  </div>
</template>

<style scoped>
.first {
  max-width: 1120px;
  margin: 0 auto;
  padding: 26px 28px 40px;
  display: grid;
  grid-template-columns: 170px minmax(0, 1fr) 272px;
  gap: 34px;
  align-items: start;
}
.steps {
  list-style: none;
  padding: 0;
  margin: 6px 0 0;
}
.steps button {
  font: inherit;
  color: inherit;
  padding: 8px 0 8px 12px;
  width: 100%;
  text-align: left;
  border-left: 3px solid var(--line);
}
.steps .done button {
  border-color: var(--settled);
}
.steps [aria-current] {
  border-color: var(--ink);
  font-weight: 650;
}
.steps :disabled {
  color: var(--steel);
  cursor: default;
}
.now {
  display: grid;
  gap: 14px;
}
h1:focus {
  outline: 0;
}
p {
  margin: 0;
}
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 14px;
  align-items: start;
}
.short {
  max-width: 320px;
}
fieldset {
  border: 0;
  padding: 0;
}
legend {
  font-weight: 650;
  margin-bottom: 2px;
}
.kind {
  display: flex;
  gap: 10px;
  align-items: baseline;
  padding: 5px 8px;
  border-left: 3px solid transparent;
  cursor: pointer;
  line-height: 1.3;
}
.kind.on {
  border-color: var(--metal);
  background: var(--bench);
}
.kind input {
  accent-color: var(--ink);
}
.label {
  display: block;
  color: var(--steel);
  font-size: 0.88rem;
  margin-bottom: 2px;
}
.caution {
  border-left: 4px solid var(--caution);
  padding-left: 10px;
}
.girths {
  display: grid;
  grid-template-columns: repeat(2, 150px);
  gap: 14px 22px;
}
.zero {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 30px;
  margin: 0;
}
dt {
  color: var(--steel);
  font-size: 0.88rem;
}
dd {
  margin: 0;
  font-size: 1.25rem;
  font-weight: 600;
}
.gap dd {
  width: 100px;
}
.flat {
  width: 100%;
  max-height: 240px;
}
.ends {
  display: flex;
  justify-content: space-between;
}
.choice {
  display: flex;
  flex-wrap: wrap;
  gap: 14px;
  align-items: center;
}
.then {
  padding-left: 20px;
  margin: 0;
  line-height: 1.5;
}
.acts {
  display: flex;
  gap: 10px;
  border-top: 1px solid var(--line);
  padding-top: 14px;
}
.beside img {
  max-width: 100%;
  max-height: 420px;
  display: block;
  margin-bottom: 8px;
}
.bad {
  color: var(--takein);
}
@media (max-width: 899px) {
  .first {
    grid-template-columns: minmax(0, 1fr);
    gap: 16px;
    padding: 12px 14px 24px;
  }
  .steps {
    display: flex;
    flex-wrap: wrap;
    margin: 0;
  }
  .steps button {
    border-left: 0;
    border-bottom: 3px solid var(--line);
    padding: 6px 10px;
  }
  .two,
  .girths {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
