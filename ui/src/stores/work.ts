import { defineStore } from 'pinia'
import { computed } from 'vue'
import { api } from '../api/client'
import type { WorkPlan } from '../api/types'
import { useLongAnswer } from '../parts/useLongAnswer'

/** The work of the workshop as it was worked out last: every step on its day, and the odds of each build's day. */
export const useWork = defineStore('work', () => {
  const { found, failed, busy, share, inLine, ask, stop } = useLongAnswer<WorkPlan>({
    ask: () => api.GET('/api/work'),
    underway: () => api.GET('/api/work/underway'),
    what: 'work',
    stop: () => api.DELETE('/api/work/underway'),
  })
  const named = computed(() => new Map((found.value?.steps ?? []).map((step) => [`${step.build} ${step.key}`, step])))
  const buildOf = computed(() => new Map((found.value?.builds ?? []).map((build) => [build.build, build])))
  const endOf = computed(() => new Map((found.value?.schedule.ends ?? []).map((end) => [end.build, end])))
  const oddsOf = computed(() => new Map((found.value?.odds ?? []).map((odd) => [odd.build, odd])))

  return { latest: found, failed, busy, share, inLine, ask, stop, named, buildOf, endOf, oddsOf }
})
