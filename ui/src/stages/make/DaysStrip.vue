<script setup lang="ts">
import { mdiAccountOutline, mdiClockOutline, mdiPackageVariantClosed, mdiStar } from '@mdi/js'
import { computed, nextTick, ref, watch } from 'vue'
import { shortDay } from '../../parts/words'
import { useWork } from '../../stores/work'
import { daysOf } from './days'

// The days to the date: what is worked on this build and on others, what waits, who comes; the odds at its end.
const props = defineProps<{ build: string; chosen?: string }>()
const work = useWork()
const days = computed(() => (work.latest ? daysOf(work.latest, props.build) : []))
const most = computed(() => Math.max(60, ...days.value.map((day) => Math.max(day.minutes, day.here + day.others))))
const strip = ref<HTMLElement>()
/** Where other builds come first, the days of this one are brought into view. */
watch(
  days,
  async (now) => {
    await nextTick()
    const first = now.findIndex((one) => one.here)
    const shown = strip.value?.children[Math.max(first - 2, 0)] as HTMLElement | undefined
    if (shown && strip.value) strip.value.scrollLeft = shown.offsetLeft - strip.value.offsetLeft
  },
  { immediate: true },
)
const weekday = (day: string) => new Date(`${day}T00:00`).toLocaleDateString('en-GB', { weekday: 'narrow' })
const high = (minutes: number) => `${(100 * minutes) / most.value}%`
const MARK = { parcel: mdiPackageVariantClosed, fitting: mdiAccountOutline, needed: mdiStar, wait: mdiClockOutline }
const SAID = { parcel: 'a parcel', fitting: 'a fitting', needed: 'needed', wait: 'what waited goes on' }
const told = (one: (typeof days.value)[number]) => {
  const parts = [shortDay(one.day)]
  if (!one.minutes) parts.push('no hours')
  if (one.here) parts.push(`${Math.round(one.here)} min here${one.critical ? ', decides the day' : ''}`)
  if (one.others) parts.push(`${Math.round(one.others)} min elsewhere`)
  parts.push(...one.marks.map((mark) => SAID[mark]))
  return parts.join(', ')
}
</script>

<template>
  <ol ref="strip" class="days" aria-label="The days to the date" tabindex="0">
    <li
      v-for="day in days"
      :key="day.day"
      :class="{ off: !day.minutes, needed: day.marks.includes('needed') }"
      :title="told(day)"
    >
      <span class="marks" aria-hidden="true"
        ><v-icon v-for="mark in day.marks" :key="mark" :icon="MARK[mark]" size="15"
      /></span>
      <span class="room" :style="{ height: high(day.minutes) }" aria-hidden="true">
        <i class="others" :style="{ height: day.minutes ? `${(100 * day.others) / day.minutes}%` : 0 }" />
        <i
          class="here"
          :class="{ critical: day.critical }"
          :style="{ height: day.minutes ? `${(100 * day.here) / day.minutes}%` : 0 }"
        />
      </span>
      <span class="name" aria-hidden="true">{{ weekday(day.day) }}<br />{{ Number(day.day.slice(8)) }}</span>
      <span class="sr">{{ told(day) }}</span>
    </li>
  </ol>
</template>

<style scoped>
.days {
  display: flex;
  gap: 2px;
  list-style: none;
  margin: 0;
  padding: 2px 2px 0;
  height: 128px;
  overflow-x: auto;
}
li {
  flex: 1 0 17px;
  max-width: 40px;
  display: grid;
  grid-template-rows: 20px minmax(0, 1fr) 36px;
  align-items: end;
  justify-items: stretch;
  text-align: center;
  font-size: 0.78rem;
  line-height: 1.2;
  position: relative;
}
.room {
  display: flex;
  flex-direction: column-reverse;
  align-self: end;
  background: var(--bench);
  border: 1px solid var(--line);
  border-bottom-color: var(--steel);
  min-height: 1px;
}
.here {
  background: var(--steel);
}
.here.critical {
  background: repeating-linear-gradient(
    135deg,
    var(--metal) 0 4px,
    color-mix(in srgb, var(--metal) 70%, var(--paper)) 4px 7px
  );
}
.others {
  background: color-mix(in srgb, var(--steel) 26%, var(--paper));
  order: 1;
}
.off .name {
  color: var(--steel);
}
.needed .name,
.needed .marks {
  color: var(--takein);
  font-weight: 650;
}
.marks {
  font-size: 0.85rem;
  white-space: nowrap;
}
</style>
