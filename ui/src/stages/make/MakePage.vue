<script setup lang="ts">
import { computed, nextTick, ref, shallowRef, watch } from 'vue'
import { answer, api, ofBuild, Refused } from '../../api/client'
import type { MakeSeen } from '../../api/types'
import { useKeys } from '../../parts/keys'
import MeasureFirst from '../../parts/MeasureFirst.vue'
import { storeToRefs } from 'pinia'
import TheSlip from '../../parts/TheSlip.vue'
import ThinkingBar from '../../parts/ThinkingBar.vue'
import { duration, longDay, shortDay } from '../../parts/words'
import { useOpenBuild } from '../../stores/openBuild'
import { useNotices } from '../../stores/notices'
import { useSettings } from '../../stores/settings'
import { useWork } from '../../stores/work'
import DaysStrip from './DaysStrip.vue'
import GainsList from './GainsList.vue'
import OwnAndLog from './OwnAndLog.vue'
import StepCard from './StepCard.vue'
import StepList from './StepList.vue'
import { useMakeCommands } from '../../commands/make'

// What to do next, what could be done instead, and whether the day holds.
const openBuild = useOpenBuild()
const commands = useMakeCommands()
const settings = useSettings()
const work = useWork()
const notices = useNotices()
const thought = { ...storeToRefs(work), ask: work.ask, stop: work.stop }
const seen = shallowRef<MakeSeen>()
const failed = ref('')
const picked = ref('')
const saving = ref(false)
const list = ref<InstanceType<typeof StepList>>()
let turn = 0

async function load() {
  const mine = ++turn
  try {
    const found = await answer(api.GET('/api/builds/{build_id}/make', ofBuild(openBuild.here.id)))
    if (mine !== turn) return
    seen.value = found
    failed.value = ''
    await nextTick()
    list.value?.settle(found.make.order)
  } catch (error) {
    failed.value = error instanceof Refused ? error.trouble.sentence : 'It could not be worked out.'
  }
}
watch(
  () => [openBuild.latest?.id, openBuild.latest?.revision, settings.unit],
  () => {
    if (!openBuild.latest) return
    void load()
    void work.ask()
  },
  { immediate: true },
)
const make = computed(() => seen.value?.make)
const steps = computed(() => new Map((make.value?.steps ?? []).map((step) => [step.step.key, step])))
const here = computed(
  () =>
    steps.value.get(picked.value) ??
    steps.value.get(make.value?.running?.step ?? '') ??
    steps.value.get(make.value?.now ?? ''),
)
const instead = computed(() =>
  [make.value?.now ?? '', ...(make.value?.instead ?? [])]
    .filter((key) => key && key !== here.value?.step.key)
    .slice(0, 3),
)
const id = computed(() => openBuild.here.id)
const end = computed(() => work.endOf.get(id.value))
const missed = computed(() => work.buildOf.get(id.value)?.missed ?? [])
const odds = computed(() => work.oddsOf.get(id.value))
const probability = computed(() => odds.value?.probability ?? null)
const percent = computed(() => (probability.value === null ? '' : `${Math.round(100 * probability.value)} %`))
const DANGER = 0.8
const title = computed(() => {
  if (!make.value) return 'Making'
  if (!make.value.order.length) return make.value.lost.length ? 'Something was forgotten' : 'All of it is done'
  return `Some ${duration(make.value.minutes_left)} of work`
})
const day = computed(() => openBuild.build.brief.needed_on)
/** A clock that runs on a step which is not the one that is shown, or is done, or is none of this garment any more. */
const lone = computed(() => {
  const on = make.value?.running?.step
  if (!on || (on === here.value?.step.key && !here.value.done)) return undefined
  return { key: on, name: steps.value.get(on)?.step.name ?? on }
})
async function stopLone(drop: boolean) {
  if (await commands.stop({ drop })) return
  const told = openBuild.errors.minutes ?? openBuild.errors.step
  if (told) notices.tell(told)
}
const pick = (key: string) => (picked.value = key)
const next = (by: number) => {
  const order = make.value?.order ?? []
  const at = order.indexOf(here.value?.step.key ?? '')
  picked.value = order[Math.min(Math.max(at + by, 0), order.length - 1)] ?? ''
}
useKeys([
  { keys: '↓ or j', does: 'the next step', on: ['ArrowDown', 'j'], run: () => next(1), notOnControls: true },
  { keys: '↑ or k', does: 'the step before', on: ['ArrowUp', 'k'], run: () => next(-1), notOnControls: true },
  { keys: 'n', does: 'what is next', on: ['n'], run: () => (picked.value = '') },
])
</script>

<template>
  <MeasureFirst v-if="!openBuild.plan.pattern" />
  <div v-else class="page with-slip">
    <section class="bench" aria-label="At the machine">
      <p v-if="failed" role="alert" class="bad">{{ failed }}</p>
      <template v-if="make">
        <StepCard v-if="here" :key="here.step.key" :seen="here" :make="make" @pick="pick" @done="picked = ''" />
        <div v-else class="none">
          <h2>{{ make.lost.length ? 'Nothing is left but what was shut out.' : 'Nothing is left to do.' }}</h2>
        </div>
        <p v-if="instead.length" class="instead">
          <span class="soft">Or now:</span>
          <button v-for="key in instead" :key="key" type="button" class="pick" @click="pick(key)">
            {{ steps.get(key)?.step.name }}
          </button>
        </p>
        <div class="strip">
          <DaysStrip v-if="work.latest" :build="id" />
          <div v-if="end" class="end">
            <p v-if="percent" class="odds" :class="{ danger: probability! < DANGER }">
              {{ percent }}
            </p>
            <p class="small">
              <template v-if="percent">that it is ready by {{ shortDay(end.due_on ?? '') }}</template>
              <template v-else>ready on {{ shortDay(end.ends_on) }}</template>
            </p>
          </div>
        </div>
        <ThinkingBar v-if="work.busy" label="Working the days out" :thought="thought" />
        <p v-if="work.failed" class="bad" role="alert">
          {{ work.failed }} <router-link to="/today">Your hours</router-link>
        </p>
        <StepList ref="list" :make="make" :picked="here?.step.key ?? ''" @pick="pick" />
      </template>
    </section>
    <TheSlip v-if="make" :title="title" :under="day ? `Needed on ${longDay(day)}.` : 'No day is set in the brief.'">
      <div v-if="lone" class="caution" data-clock>
        <p>
          The clock runs on <b>{{ lone.name }}</b>.
        </p>
        <v-btn size="small" variant="outlined" @click="stopLone(false)">Stop it</v-btn>
        <v-btn size="small" variant="text" @click="stopLone(true)">Do not count it</v-btn>
      </div>
      <p v-for="key in make.lost.filter((one) => steps.get(one)?.shut_by?.length)" :key="key" class="caution" data-lost>
        <b>{{ steps.get(key)?.step.name }}</b> was shut out.
        <button type="button" class="pick" @click="pick(key)">The ways back</button>
      </p>
      <p v-for="one in missed" :key="one" class="caution" data-missed>{{ one }}</p>
      <template v-if="end">
        <p v-if="end.spare_days != null" :class="{ late: end.spare_days < 0 }">
          Planned for {{ shortDay(end.ends_on) }}:
          {{
            end.spare_days < 0
              ? `${-end.spare_days} days late`
              : end.spare_days === 0
                ? 'no day to spare'
                : end.spare_days === 1
                  ? 'one day to spare'
                  : `${end.spare_days} days to spare`
          }}.
        </p>
        <p v-if="odds" class="small">
          As things may fall out, with one more mock-up if it is needed: in half of all runs by
          {{ shortDay(odds.likely_on) }}, in nine of ten by {{ shortDay(odds.late_on) }}.
        </p>
      </template>
      <template v-if="probability !== null && probability < 1">
        <v-btn v-if="!saving" size="small" variant="outlined" @click="saving = true">What would save time?</v-btn>
        <GainsList v-else />
      </template>
      <p v-if="make.minutes_later" class="small">
        {{ duration(make.minutes_later) }} more can wait until after the day.
      </p>
      <OwnAndLog v-if="here" :make="make" :today="seen?.today ?? ''" :picked="here.step.key" />
    </TheSlip>
  </div>
</template>

<style scoped>
.bench {
  padding: 16px 24px 40px;
  overflow-y: auto;
  min-width: 0;
}
.none {
  padding: 24px 0;
}
.instead {
  align-items: center;
  display: flex;
  gap: 6px 18px;
  flex-wrap: wrap;
  margin: 10px 0 4px;
}
.strip {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 14px;
  align-items: end;
  margin-top: 12px;
}
.end {
  text-align: right;
  padding-bottom: 4px;
}
.end p {
  margin: 0;
}
.odds {
  font-size: 2rem;
  font-weight: 650;
  color: var(--settled);
  line-height: 1;
}
.odds.danger,
.late {
  color: var(--caution);
}
p {
  margin: 4px 0;
}
.bad {
  color: var(--takein);
}
.caution {
  border-left: 4px solid var(--caution);
  padding-left: 10px;
}
@media (max-width: 899px) {
  .bench {
    padding: 12px;
  }
  .strip {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
