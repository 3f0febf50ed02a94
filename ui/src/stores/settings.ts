import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { get, send } from '../api/client'
import type { Catalogue, House } from '../api/types'
import { turns } from '../parts/turns'

/** The workshop's settings, and what can be chosen in it. */
export const useSettings = defineStore('settings', () => {
  const house = ref<House>({
    unit: 'cm',
    theme: 'light',
    paper: 'a4',
    known: [],
    hours: { by_weekday: [120, 120, 120, 120, 60, 300, 240], off: [] },
  })
  const catalogue = ref<Catalogue>()
  const unit = computed(() => house.value.unit)

  async function start() {
    ;[house.value, catalogue.value] = await Promise.all([get<House>('/house'), get<Catalogue>('/catalogue')])
  }

  // one after the other: the last answer is of all that was set
  const inTurn = turns()
  const setHouse = (changes: Partial<House>) =>
    inTurn(async () => {
      house.value = await send<House>('PATCH', '/house', changes)
    })

  return { house, catalogue, unit, start, setHouse }
})
