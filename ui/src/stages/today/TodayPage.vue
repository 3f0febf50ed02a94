<script setup lang="ts">
import { computed, onMounted } from 'vue'
import { storeToRefs } from 'pinia'
import HerHours from '../../parts/HerHours.vue'
import TheSlip from '../../parts/TheSlip.vue'
import ThinkingBar from '../../parts/ThinkingBar.vue'
import { duration, shortDay } from '../../parts/words'
import { useSettings } from '../../stores/settings'
import { useWork } from '../../stores/work'
import { dayAfter, spread } from '../make/days'

// Today over all builds: what is to be done, day by day, and which days are in danger.
const work = useWork()
const settings = useSettings()
const thought = { ...storeToRefs(work), ask: work.ask, stop: work.stop }
onMounted(() => void work.ask())
const plan = computed(() => work.latest)
const endOf = (build: string) => {
  const end = work.endOf.get(build)
  return end ? shortDay(end.ends_on) : ''
}
const DAYS = 7
const days = computed(() => {
  const planned = plan.value
  if (!planned) return []
  const found = Array.from({ length: DAYS }, (_, i) => ({
    day: dayAfter(planned.today, i),
    minutes: planned.minutes_by_day[i] ?? 0,
    steps: [] as { build: string; key: string; part: number; whole: number; critical: boolean }[],
    parcels: planned.parcels.filter((parcel) => parcel.due_on === dayAfter(planned.today, i)),
  }))
  const at = new Map(found.map((one) => [one.day, one]))
  for (const slot of plan.value.schedule.slots)
    for (const [day, part] of spread(slot, plan.value))
      at.get(day)?.steps.push({
        build: slot.build,
        key: slot.key,
        part,
        whole: slot.end_min - slot.start_min,
        critical: slot.critical,
      })
  return found
})
const nameOf = (build: string, key: string) => work.named.get(`${build} ${key}`)?.name ?? key
const agreed = (build: string, key: string) => {
  const one = work.named.get(`${build} ${key}`)?.appointment
  return one && (one.note || 'agreed')
}
const anyAgreed = computed(() => [...work.named.values()].some((step) => step.appointment))
const buildName = (build: string) => work.buildOf.get(build)?.name ?? ''
const weekday = (day: string) => new Date(`${day}T00:00`).toLocaleDateString('en-GB', { weekday: 'long' })
const percent = (build: string) => {
  const share = work.oddsOf.get(build)?.probability
  return share == null ? '' : `${Math.round(100 * share)} %`
}
const danger = (build: string) => (work.oddsOf.get(build)?.probability ?? 1) < 0.8
</script>

<template>
  <div class="page with-slip place">
    <section class="main" aria-label="Today and the days after">
      <div class="head">
        <h1>Today</h1>
        <span class="soft small"
          >over all builds, by the hours you have{{ anyAgreed ? '; what is agreed keeps its day' : '' }}</span
        >
        <span class="spring" />
        <v-btn size="small" variant="outlined" :href="`/api/work.pdf?paper=${settings.house.paper}`" download=""
          >Print the days</v-btn
        >
        <v-btn size="small" variant="outlined" href="/api/work.ics" download="">Save as a calendar</v-btn>
      </div>
      <ThinkingBar v-if="work.busy || work.failed" label="Putting every step on its day" :thought="thought" />
      <p v-if="plan && !plan.schedule.slots.length" class="none">Nothing is to be made.</p>
      <template v-if="plan?.schedule.slots.length">
        <section v-for="(day, i) in days" :key="day.day" class="day" :data-day="day.day">
          <h2>
            {{ i === 0 ? 'Today' : i === 1 ? 'Tomorrow' : weekday(day.day) }}
            <span class="soft small"
              >{{ shortDay(day.day) }}, {{ day.minutes ? duration(day.minutes) : 'no hours' }}</span
            >
          </h2>
          <p v-for="parcel in day.parcels" :key="parcel.shop" class="small">
            A parcel from {{ parcel.shop }}: {{ parcel.what.join(', ') }}
          </p>
          <ul>
            <li v-for="step in day.steps" :key="`${step.build} ${step.key}`" :class="{ first: i === 0 }">
              <router-link :to="`/build/${step.build}/make`">{{ nameOf(step.build, step.key) }}</router-link>
              <span class="soft small">
                {{ buildName(step.build) }}, {{ duration(step.part)
                }}{{ step.part < step.whole - 1 ? ` of ${duration(step.whole)}` : '' }}</span
              >
              <b v-if="agreed(step.build, step.key)" class="small agreed">{{ agreed(step.build, step.key) }}</b>
              <i
                v-if="step.critical"
                class="critical-mark"
                role="img"
                title="It decides the day"
                aria-label="it decides the day"
              />
            </li>
          </ul>
        </section>
      </template>
    </section>
    <TheSlip title="The days">
      <table v-if="plan" class="numbers" aria-label="Builds by their day">
        <tbody>
          <tr v-for="one in plan.builds" :key="one.build" :data-build="one.name">
            <td>
              <router-link :to="`/build/${one.build}/make`">{{ one.name }}</router-link>
              <div class="soft small">
                {{ one.needed_on ? shortDay(one.needed_on) : 'no day' }}, {{ duration(one.minutes_left) }}
              </div>
              <div v-if="one.lost.length" class="late small">Something was shut out.</div>
              <div v-for="missed in one.missed" :key="missed" class="late small">{{ missed }}</div>
              <div v-if="one.running" class="good small">The clock runs.</div>
            </td>
            <td class="n">
              <b :class="{ late: danger(one.build) }">{{ percent(one.build) }}</b>
              <div class="soft small">
                {{ endOf(one.build) }}
              </div>
            </td>
          </tr>
        </tbody>
      </table>
      <HerHours @kept="work.ask()" />
      <template v-if="plan?.learned.length">
        <h2>Your pace</h2>
        <table class="numbers" aria-label="Your pace">
          <thead>
            <tr>
              <th>from your log, min</th>
              <th class="n">yours</th>
              <th class="n">usual</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="one in plan.learned" :key="one.work">
              <td>
                {{ one.work }}<span class="soft small">, {{ one.per }}</span>
              </td>
              <td class="n">{{ one.minutes.toFixed(1) }}</td>
              <td class="n soft">{{ one.usual_min }}</td>
            </tr>
          </tbody>
        </table>
      </template>
    </TheSlip>
  </div>
</template>

<style scoped>
.day {
  border-top: 1px solid var(--ink);
  margin-top: 14px;
  padding-top: 5px;
}
.day ul,
.off {
  list-style: none;
  padding: 0;
  margin: 2px 0;
}
.day li {
  padding: 2px 0;
}
.first a {
  font-weight: 650;
  font-size: 1.08rem;
}
a {
  color: var(--letout);
}
.day li .soft {
  margin-left: 8px;
}
h2 {
  margin: 14px 0 4px;
}
.day h2 {
  margin: 2px 0;
}
.late {
  color: var(--caution);
}
.agreed {
  margin-left: 8px;
}
.good {
  color: var(--settled);
}
.none {
  padding: 40px 0;
}
p {
  margin: 3px 0;
}
</style>
