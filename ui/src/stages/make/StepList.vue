<script setup lang="ts">
import { mdiArrowDown, mdiArrowUp } from '@mdi/js'
import { computed, ref } from 'vue'
import type { MakePlan } from '../../api/types'
import { duration, shortDay } from '../../parts/words'
import { useOpenBuild } from '../../stores/openBuild'
import { useNotices } from '../../stores/notices'
import { useWork } from '../../stores/work'
import { useMakeCommands } from '../../commands/make'

// The whole order: what is done, and what is left, each with its day; moved within what is possible.
const props = defineProps<{ make: MakePlan; picked: string }>()
const emit = defineEmits<{ pick: [key: string] }>()
const openBuild = useOpenBuild()
const commands = useMakeCommands()
const work = useWork()
const notices = useNotices()
const seen = computed(() => new Map(props.make.steps.map((step) => [step.step.key, step])))
const left = computed(() => props.make.order.flatMap((key) => seen.value.get(key) ?? []))
const waits = computed(() => left.value.filter((one) => one.step.later).length)
const done = computed(() => props.make.steps.filter((step) => step.done))
const lost = computed(() => new Set(props.make.lost))
const showDone = ref(false)
const startOf = (key: string) => {
  const day = days.value.get(key)
  return day ? shortDay(day.starts_on) : ''
}
const days = computed(
  () =>
    new Map(
      (work.latest?.schedule.slots ?? [])
        .filter((slot) => slot.build === openBuild.here.id)
        .map((slot) => [slot.key, slot]),
    ),
)
async function move(at: number, by: number) {
  const order = [...props.make.order]
  const [key] = order.splice(at, 1)
  const other = order[at + by - (by > 0 ? 1 : 0)]
  order.splice(at + by, 0, key)
  if (!(await commands.order(order))) return
  moved.value = { key: key, other: other ? (seen.value.get(other)?.step.name ?? '') : '', order }
}
const moved = ref<{ key: string; other: string; order: string[] }>()
/** What can't lie where she put it goes back to where it can: that is told. */
function settle(now: string[]) {
  const one = moved.value
  moved.value = undefined
  if (one && now.indexOf(one.key) !== one.order.indexOf(one.key))
    notices.tell(
      `${seen.value.get(one.key)?.step.name} can’t change places with ${one.other}: something would be shut out.`,
    )
}
defineExpose({ settle })
const usual = () => commands.order([])
</script>

<template>
  <section aria-label="All steps" class="all">
    <div class="head">
      <h2>{{ left.length - waits }} steps to go{{ waits ? `, ${waits} can wait` : '' }}</h2>
      <button v-if="openBuild.build.make.order.length" type="button" class="ask" @click="usual">The usual order</button>
      <span class="spring" />
      <button v-if="done.length" type="button" class="ask" :aria-expanded="showDone" @click="showDone = !showDone">
        {{ done.length }} done
      </button>
    </div>
    <table class="numbers">
      <tbody>
        <template v-if="showDone">
          <tr v-for="one in done" :key="one.step.key" class="gone" :class="{ on: picked === one.step.key }">
            <td class="n">✓</td>
            <td>
              <button type="button" class="name" @click="emit('pick', one.step.key)">{{ one.step.name }}</button>
            </td>
            <td class="n">{{ one.logged_min ? `${Math.round(one.logged_min)} min` : '' }}</td>
            <td />
            <td />
          </tr>
        </template>
        <tr
          v-for="(one, i) in left"
          :key="one.step.key"
          :class="{ on: picked === one.step.key, lost: lost.has(one.step.key) }"
          :data-row="one.step.key"
        >
          <td class="n soft">{{ i + 1 }}</td>
          <td>
            <button type="button" class="name" @click="emit('pick', one.step.key)">{{ one.step.name }}</button>
            <span v-if="one.step.later" class="soft small"> can wait</span>
            <span v-if="one.shut_by.length" class="small"> shut out</span>
          </td>
          <td class="n in">{{ duration(one.minutes) }}</td>
          <td class="n day">
            <i
              v-if="days.get(one.step.key)?.critical"
              class="critical-mark"
              title="It decides the day"
              aria-label="it decides the day"
              role="img"
            />
            {{ startOf(one.step.key) }}
          </td>
          <td class="n moves">
            <v-btn
              :icon="mdiArrowUp"
              size="x-small"
              variant="text"
              :disabled="!i"
              :aria-label="`earlier: ${one.step.name}`"
              @click="move(i, -1)"
            />
            <v-btn
              :icon="mdiArrowDown"
              size="x-small"
              variant="text"
              :disabled="i === left.length - 1"
              :aria-label="`later: ${one.step.name}`"
              @click="move(i, 1)"
            />
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
.head {
  display: flex;
  gap: 14px;
  align-items: baseline;
  margin: 18px 0 4px;
}
.spring {
  flex: 1;
}
.name {
  font: inherit;
  color: inherit;
  padding: 0;
  text-align: left;
}
.name:hover {
  text-decoration: underline dotted;
}
.on td {
  background: var(--marked);
}
.gone td {
  color: var(--settled);
}
.lost td {
  color: var(--caution);
}
td.n:first-child {
  width: 30px;
  padding-right: 10px !important;
}
.moves {
  width: 74px;
}
.day {
  width: 84px;
}
</style>
