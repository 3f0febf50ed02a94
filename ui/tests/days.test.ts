import { describe, expect, it } from 'vitest'
import type { Slot, WorkPlan } from '../src/api/types'
import { dayAfter, daysBetween, daysOf, spread } from '../src/stages/make/days'

const slot = (build: string, key: string, start: number, end: number, more: Partial<Slot> = {}): Slot => ({
  build,
  key,
  start_min: start,
  end_min: end,
  starts_on: '2026-11-26',
  ends_on: '2026-11-26',
  held_by: 'start',
  after: null,
  critical: false,
  ...more,
})
const work = (slots: Slot[]): WorkPlan => ({
  today: '2026-11-26',
  minutes_by_day: [60, 0, 120, 60, 60, 60, 60, 60, 60, 60],
  builds: [
    {
      build: 'a',
      name: 'A',
      needed_on: '2026-12-03',
      now: null,
      steps_left: 1,
      steps_done: 0,
      minutes_left: 0,
      minutes_later: 0,
      lost: [],
      running: null,
      missed: [],
    },
  ],
  steps: [{ build: 'a', key: 'fit', name: 'Fit', with_whom: 'wearer', cautions: [], appointment: null }],
  schedule: { slots, ends: [], bound_share: 0 },
  odds: [],
  parcels: [{ shop: 'S', due_on: '2026-11-28', what: ['tape'], builds: ['b'] }],
  learned: [],
})

describe('the days of a build', () => {
  it('counts on over months and years', () => {
    expect(dayAfter('2026-12-31', 1)).toBe('2027-01-01')
    expect(daysBetween('2026-11-26', '2026-12-03')).toBe(7)
  })
  it('spreads a step over the evenings it takes, and over none that has no hours', () => {
    const found = spread(slot('a', 'x', 40, 130), work([]))
    expect([...found]).toEqual([
      ['2026-11-26', 20],
      ['2026-11-28', 70],
    ])
  })
  it('adds what is worked here and elsewhere, and marks what else there is', () => {
    const days = daysOf(
      work([slot('a', 'x', 0, 40, { critical: true }), slot('b', 'y', 40, 60), slot('a', 'fit', 60, 90)]),
      'a',
    )
    expect(days).toHaveLength(8)
    expect([days[0]!.here, days[0]!.others, days[0]!.critical]).toEqual([40, 20, true])
    expect(days[2]!.marks).toEqual(['fitting'])
    expect(days.at(-1)!.marks).toEqual(['needed'])
  })
  it('shows a parcel of its own or of nobody in particular', () => {
    const mine = work([])
    mine.parcels[0]!.builds = []
    expect(daysOf(mine, 'a')[2]!.marks).toEqual(['parcel'])
  })
})
