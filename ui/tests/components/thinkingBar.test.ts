import { mount } from '@vue/test-utils'
import { afterEach, expect, it, vi } from 'vitest'
import { effectScope, nextTick } from 'vue'
import { createVuetify } from 'vuetify'
import type { Underway } from '../../src/api/types'
import ThinkingBar from '../../src/parts/ThinkingBar.vue'
import { useLongAnswer } from '../../src/parts/useLongAnswer'

afterEach(() => {
  vi.useRealTimers()
})

it('says that other work is done first, then how far it is', async () => {
  vi.useFakeTimers()
  let underway: Underway[] = []
  let come: (answer: { data: string }) => void = () => undefined
  const thought = effectScope().run(() =>
    useLongAnswer<string>({
      ask: () => new Promise((resolve) => (come = resolve)),
      underway: () => Promise.resolve({ data: underway }),
      what: 'odds',
      stop: () => Promise.resolve(),
    }),
  )!
  const bar = mount(ThinkingBar, {
    props: { label: 'Weighing the odds', thought },
    global: { plugins: [createVuetify()] },
  })
  const told = async (now: Underway[]) => {
    underway = now
    await vi.advanceTimersByTimeAsync(500)
    await nextTick()
    return bar.find('.soft').text()
  }
  const asked = thought.ask()
  expect(await told([])).toBe('Weighing the odds')
  expect(await told([{ what: 'odds', share: null }])).toBe('In line behind other work')
  expect(await told([{ what: 'odds', share: 0.4 }])).toBe('Weighing the odds')
  expect(thought.share.value).toBe(0.4)
  come({ data: 'nine in ten' })
  await asked
  expect(thought.found.value).toBe('nine in ten')
  expect(thought.busy.value).toBe(false)
})
