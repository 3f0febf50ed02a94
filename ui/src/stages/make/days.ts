import type { Slot, WorkPlan } from '../../api/types'

/** A day on the strip: how many minutes of it are worked on this build and on others, and what else there is. */
export interface Day {
  day: string
  minutes: number
  here: number
  others: number
  critical: boolean
  steps: string[]
  marks: ('parcel' | 'fitting' | 'needed' | 'wait')[]
}

const DAY_MS = 864e5

export const dayAfter = (day: string, days: number) =>
  new Date(Date.parse(`${day}T00:00Z`) + days * DAY_MS).toISOString().slice(0, 10)

export const daysBetween = (first: string, last: string) =>
  Math.round((Date.parse(`${last}T00:00Z`) - Date.parse(`${first}T00:00Z`)) / DAY_MS)

/** The part of each day that a slot takes: its minutes, day by day, as hours run. */
export function spread(slot: Slot, work: WorkPlan): Map<string, number> {
  const found = new Map<string, number>()
  let begins = 0
  work.minutes_by_day.forEach((minutes, i) => {
    const part = Math.min(slot.end_min, begins + minutes) - Math.max(slot.start_min, begins)
    if (part > 0.01) found.set(dayAfter(work.today, i), part)
    begins += minutes
  })
  return found
}

/** Every day from today to the last that matters to a build: when it is needed, or ready, whichever is later. */
export function daysOf(work: WorkPlan, build: string): Day[] {
  const mine = work.builds.find((one) => one.build === build)
  const end = work.schedule.ends.find((end) => end.build === build)?.ends_on ?? work.today
  const last = mine?.needed_on && mine.needed_on > end ? mine.needed_on : end
  const count = Math.min(Math.max(daysBetween(work.today, last) + 1, 7), work.minutes_by_day.length)
  const days: Day[] = work.minutes_by_day.slice(0, count).map((minutes, i) => ({
    day: dayAfter(work.today, i),
    minutes,
    here: 0,
    others: 0,
    critical: false,
    steps: [],
    marks: [],
  }))
  const at = new Map(days.map((day) => [day.day, day]))
  const withWhom = new Map(work.steps.map((step) => [`${step.build} ${step.key}`, step.with_whom]))
  for (const slot of work.schedule.slots)
    for (const [day, part] of spread(slot, work)) {
      const one = at.get(day)
      if (!one) continue
      if (slot.build !== build) one.others += part
      else {
        one.here += part
        one.critical ||= slot.critical
        one.steps.push(slot.key)
        if (withWhom.get(`${slot.build} ${slot.key}`) !== 'herself' && !one.marks.includes('fitting'))
          one.marks.push('fitting')
      }
    }
  for (const slot of work.schedule.slots) {
    if (slot.build !== build || slot.held_by !== 'wait') continue
    const one = at.get(slot.starts_on)
    if (one && !one.marks.includes('wait')) one.marks.push('wait')
  }
  for (const parcel of work.parcels)
    if (!parcel.builds.length || parcel.builds.includes(build)) at.get(parcel.due_on)?.marks.push('parcel')
  if (mine?.needed_on) at.get(mine.needed_on)?.marks.push('needed')
  return days
}
