import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { answer, api } from '../api/client'
import type { Catalogue, House, HouseChanges } from '../api/types'
import { turns } from '../parts/turns'
import { smallUnit as smallOf } from '../parts/words'

/** The workshop's settings, and what can be chosen in it. */
export const useSettings = defineStore('settings', () => {
  const house = ref<House>({
    unit: 'cm',
    theme: 'light',
    paper: 'a4',
    known: [],
    hours: { by_weekday: [120, 120, 120, 120, 60, 300, 240], off: [] },
  })
  const read = shallowRef<Catalogue>()
  const started = computed(() => read.value !== undefined)
  /** Pages stand only once it was read. */
  const catalogue = computed(() => {
    if (!read.value) throw new Error('the catalogue is not read yet')
    return read.value
  })
  const unit = computed(() => house.value.unit)
  const smallUnit = computed(() => smallOf(unit.value))

  // one after the other, and what is set only once all was read: the last answer is of all that was set
  const inTurn = turns()
  const start = () =>
    inTurn(async () => {
      ;[house.value, read.value] = await Promise.all([answer(api.GET('/api/house')), answer(api.GET('/api/catalogue'))])
    })
  const setHouse = (changes: HouseChanges) =>
    inTurn(async () => {
      house.value = await answer(api.PATCH('/api/house', { body: changes }))
    })

  return { house, catalogue, started, unit, smallUnit, start, setHouse }
})
