<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { MakePlan, StepSeen } from '../../api/types'
import { duration, longDay, shortDay } from '../../parts/words'
import { useOpenBuild } from '../../stores/openBuild'
import { useMakeCommands } from '../../commands/make'

// One step, large: what, why now, with what; the clock, and that it is done; what is in its way, and the ways back.
const props = defineProps<{ seen: StepSeen; make: MakePlan }>()
const emit = defineEmits<{ pick: [key: string]; done: [] }>()
const openBuild = useOpenBuild()
const commands = useMakeCommands()
const step = computed(() => props.seen.step)
const names = computed(() => new Map(props.make.steps.map((step) => [step.step.key, step.step.name])))
const named = (keys: string[]) => keys.map((key) => names.value.get(key) ?? key)
const running = computed(() => props.make.running)
const mine = computed(() => running.value?.step === step.value.key)
const PACE = 0.1 // a pace nearer to the shop's is not told
const note = ref('')
const mishap = ref('')
const minutes = ref('')
const wrong = ref(false)
const because = ref('')
const leaving = ref(false)
const said = computed(() => openBuild.errors.step)
const saidMinutes = computed(() => openBuild.errors.minutes)
watch(
  () => step.value.key,
  () => {
    leaving.value = agreeing.value = false
    openBuild.errors = {}
  },
)
const since = computed(() =>
  running.value
    ? new Date(running.value.since).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })
    : '',
)
async function finish(done: boolean) {
  const body = { minutes: minutes.value.trim() || null, note: note.value, mishap: mishap.value, done }
  if (!(await commands.stop(body))) return
  note.value = mishap.value = minutes.value = ''
  wrong.value = false
  if (done) emit('done')
}
async function itIsDone(more: { also?: boolean; anyhow?: boolean } = {}) {
  if (await commands.do(step.value.key, more)) emit('done')
}
async function leaveOut() {
  if (await commands.leaveOut(step.value.key, because.value)) emit('done')
}
const agreed = computed(() => props.seen.appointment)
const agreeing = ref(false)
const day = ref('')
const where = ref('')
function agree() {
  day.value = agreed.value?.on ?? ''
  where.value = agreed.value?.note ?? ''
  agreeing.value = true
}
async function keepDay(on: string | null) {
  if (await commands.appoint(step.value.key, on, on ? where.value : '')) agreeing.value = false
}
const rest = computed(() => Math.max(0, props.seen.minutes - props.seen.logged_min))
</script>

<template>
  <section class="card" :aria-label="step.name" :data-step="step.key">
    <p v-for="caution in step.cautions" :key="caution" class="caution">{{ caution }}</p>
    <h2>{{ step.name }}</h2>
    <p class="about">
      <b>{{ duration(seen.minutes) }}</b><template v-if="Math.abs(seen.minutes / seen.usual_min - 1) > PACE"
        >, by your pace; usually {{ duration(seen.usual_min) }}</template
      >
      <template v-if="seen.logged_min"
        >, {{ Math.round(seen.logged_min) }} min of it logged<template v-if="!seen.done"
          >, some {{ duration(rest) }} to go</template
        ></template
      >
      <template v-if="step.waits_h">, then it sets for {{ Math.round(step.waits_h) }} hours</template>
      <template v-if="step.with_whom === 'wearer'">; the wearer has to be there</template>
      <template v-if="step.later">; it can wait until after the day</template>
    </p>
    <p v-if="step.why && seen.possible" class="why">{{ step.why }}</p>
    <ol v-if="step.how.length">
      <li v-for="one in step.how" :key="one" class="in">{{ one }}</li>
    </ol>
    <details v-if="step.materials.length > 6">
      <summary>{{ step.materials.length }} pieces</summary>
      <p class="in small">{{ step.materials.join('; ') }}</p>
    </details>
    <p v-else-if="step.materials.length" class="in">{{ step.materials.join('; ') }}</p>
    <p v-if="step.tools.length" class="soft small">With {{ step.tools.join(', ') }}.</p>

    <template v-if="seen.done">
      <p class="good">
        {{ seen.elsewhere ? 'Done, as another page tells.' : 'Done.' }}
      </p>
      <template v-if="!seen.elsewhere">
        <p v-if="seen.undoing.length" class="small">
          Undone, {{ named(seen.undoing).join('; ') }} {{ seen.undoing.length > 1 ? 'are' : 'is' }} undone with it.
          <template v-if="seen.undoing_min != null"
            >To undo all that and do it again: {{ duration(seen.undoing_min) }}.</template
          >
          <template v-else>Not all of that can be undone without losing cloth.</template>
        </p>
        <v-btn size="small" variant="outlined" @click="commands.undo(step.key)">It is not done after all</v-btn>
      </template>
    </template>
    <template v-else>
      <p v-if="seen.shuts_out.length" class="caution" data-shuts-out>
        <b>This would shut out:</b> {{ named(seen.shuts_out).join('; ') }}. Do
        {{ seen.shuts_out.length > 1 ? 'those' : 'that' }}
        first.
      </p>
      <div v-if="seen.lacks.length" class="way" data-lacks>
        <p>
          <b>Not yet.</b> Before it:
          <template v-for="(key, i) in seen.lacks" :key="key"
            >{{ i ? '; ' : ''
            }}<button type="button" class="pick" @click="emit('pick', key)">{{ names.get(key) }}</button>
          </template>
        </p>
        <v-btn size="small" variant="outlined" @click="itIsDone({ also: true })">All of that is done, and this</v-btn>
      </div>
      <div v-if="seen.shut_by.length" class="way" data-shut>
        <p>
          <b>Shut out</b> by {{ named(seen.shut_by).join('; ') }}.
          <template v-if="!seen.back.length && !seen.lacks.length">Nothing brings it back.</template>
        </p>
        <ul v-if="seen.back.length">
          <li v-for="(way, i) in seen.back" :key="i" :class="{ best: !i }">
            <template v-if="way.opened.length"
              >Open at its place and shut again: {{ named(way.opened).join('; ') }}.
            </template>
            <template v-if="way.undone.length">Undo and do again: {{ named(way.undone).join('; ') }}. </template>
            <b>{{ duration(way.minutes) }}</b>, and the step itself.
          </li>
        </ul>
        <v-btn size="small" variant="outlined" @click="itIsDone({ anyhow: true, also: !!seen.lacks.length })"
          >I got it in all the same</v-btn
        >
      </div>
      <p v-if="agreed && !agreeing" class="agreed">
        <b>Agreed for {{ longDay(agreed.on) }}</b
        ><template v-if="agreed.note">: {{ agreed.note }}</template>
        <button type="button" class="ask" @click="agree">change</button>
        <button type="button" class="ask" @click="keepDay(null)">no such day any more</button>
      </p>
      <button
        v-else-if="!agreeing && (step.with_whom !== 'herself' || step.own)"
        type="button"
        class="ask"
        @click="agree"
      >
        Agree on a day …
      </button>
      <form v-if="agreeing" class="leave" aria-label="A day for it" @submit.prevent="keepDay(day)">
        <v-text-field v-model="day" type="date" label="on" :error-messages="openBuild.errors.on" />
        <v-text-field v-model="where" label="where, when, with whom" maxlength="200" />
        <div class="acts">
          <v-btn type="submit" size="small" variant="outlined" :disabled="!day">Keep the day</v-btn>
          <v-btn size="small" variant="text" @click="agreeing = false">Leave it</v-btn>
        </div>
      </form>
      <p v-if="said" class="bad" role="alert">{{ said }}</p>
      <div v-if="running && mine" class="clock">
        <p>
          <b>Running since {{ since }}</b
          ><template v-if="new Date(running.since).toDateString() !== new Date().toDateString()">
            of {{ shortDay(running.since.slice(0, 10)) }}</template
          >
        </p>
        <v-text-field v-model="note" label="a note" maxlength="600" />
        <v-text-field
          v-model="minutes"
          label="minutes, if the clock is wrong"
          :error-messages="saidMinutes"
          inputmode="decimal"
        />
        <button v-if="!wrong" type="button" class="ask" @click="wrong = true">Something went wrong …</button>
        <v-text-field v-else v-model="mishap" label="what went wrong" maxlength="200" />
        <div class="acts">
          <v-btn size="small" color="primary" @click="finish(true)">Stop: it is done</v-btn>
          <v-btn size="small" variant="outlined" @click="finish(false)">Stop for now</v-btn>
          <v-btn size="small" variant="text" @click="commands.stop({ drop: true })">Do not count it</v-btn>
        </div>
      </div>
      <div v-else-if="seen.possible" class="acts">
        <v-btn
          color="primary"
          :disabled="!!running"
          :variant="seen.allowed ? 'flat' : 'outlined'"
          @click="commands.start(step.key)"
          >Start</v-btn
        >
        <v-btn :variant="seen.allowed ? 'outlined' : 'text'" @click="itIsDone()">It is done</v-btn>
        <router-link v-if="step.stage === 'mockups'" :to="{ name: 'mockups' }">To the mock-ups</router-link>
        <router-link v-else-if="step.stage === 'cut'" :to="{ name: 'cut' }">To the cutting table</router-link>
        <router-link v-else-if="step.key.startsWith('cut bones')" :to="{ name: 'bones' }"
          >To the cutting list</router-link
        >
        <button v-if="step.optional && !leaving" type="button" class="ask" @click="leaving = true">
          Leave it out …
        </button>
      </div>
      <form v-if="leaving && step.optional" class="leave" @submit.prevent="leaveOut">
        <p class="small">{{ step.optional }}</p>
        <v-text-field v-model="because" label="why" maxlength="200" autofocus />
        <v-btn type="submit" size="small" variant="outlined">Leave it out</v-btn>
      </form>
    </template>
  </section>
</template>

<style scoped>
.card {
  border: 1px solid var(--line);
  border-top: 4px solid var(--metal);
  padding: 14px 20px 18px;
  background: var(--paper);
}
h2 {
  font-size: 1.5rem;
  margin: 2px 0 4px;
}
p {
  margin: 4px 0;
}
.about {
  font-size: 1.05rem;
}
.why {
  color: var(--steel);
  font-size: 1.05rem;
}
ol,
ul {
  margin: 6px 0;
  padding-left: 20px;
}
.acts {
  display: flex;
  gap: 10px;
  align-items: center;
  flex-wrap: wrap;
  margin-top: 12px;
}
.clock,
.leave {
  display: grid;
  gap: 8px;
  max-width: 460px;
  margin-top: 10px;
  justify-items: start;
}
.clock > :deep(.v-input),
.leave > :deep(.v-input) {
  width: 100%;
}
.clock {
  border-left: 4px solid var(--settled);
  padding-left: 12px;
}
.way {
  border-left: 4px solid var(--caution);
  padding-left: 12px;
  margin: 10px 0;
}
.best {
  font-weight: 500;
}
.caution {
  border-left: 4px solid var(--caution);
  padding-left: 10px;
}
.agreed .ask {
  margin-left: 14px;
}
.good {
  color: var(--settled);
}
.bad {
  color: var(--takein);
}
a {
  color: var(--letout);
}
</style>
