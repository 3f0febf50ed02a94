import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { answer, api, Refused } from '../api/client'
import type { WorkPlan } from '../api/types'

const LOOK_MS = 400

/** The work of the workshop as it was worked out last: every step on its day, and the odds of each build's day. */
export const useWork = defineStore('work', () => {
  const latest = shallowRef<WorkPlan>()
  const failed = ref('')
  const busy = ref(false)
  const share = ref<number | null>(null)
  let turn = 0
  let looking: ReturnType<typeof setInterval> | undefined

  async function load() {
    const mine = ++turn
    busy.value = true
    failed.value = ''
    share.value = null
    clearInterval(looking)
    looking = setInterval(async () => {
      const now = await answer(api.GET('/api/work/underway')).catch(() => [])
      if (mine === turn) share.value = now.find((one) => one.what === 'work')?.share ?? null
    }, LOOK_MS)
    try {
      const found = await answer(api.GET('/api/work'))
      if (mine === turn) latest.value = found
    } catch (error) {
      if (mine === turn)
        failed.value = error instanceof Refused ? error.trouble.sentence : 'It could not be worked out.'
    }
    if (mine !== turn) return
    clearInterval(looking)
    busy.value = false
  }
  const ask = load
  const stop = () => api.DELETE('/api/work/underway').catch(() => undefined)
  const named = computed(() => new Map((latest.value?.steps ?? []).map((step) => [`${step.build} ${step.key}`, step])))
  const buildOf = computed(() => new Map((latest.value?.builds ?? []).map((build) => [build.build, build])))
  const endOf = computed(() => new Map((latest.value?.schedule.ends ?? []).map((end) => [end.build, end])))
  const oddsOf = computed(() => new Map((latest.value?.odds ?? []).map((odd) => [odd.build, odd])))

  return { latest, failed, busy, share, load, ask, stop, named, buildOf, endOf, oddsOf }
})
