import { describe, expect, it } from 'vitest'
import { FIELDS, shownOf, shows, writtenOf, type Group } from '../src/stages/trims/fields'

describe('a trim in its form', () => {
  it('begins with what is usual, in her unit', () => {
    const form = shownOf('along', undefined, 'cm')
    expect(form['line.on']).toBe('top line')
    expect(form.pitch_mm).toBe('12')
    expect(shownOf('straps', undefined, 'in').front_mm).toBe('3 1/2')
  })
  it('is written as the server reads it', () => {
    const form = { ...shownOf('along', undefined, 'cm'), at_hand_mm: '60', at_hand: '14', 'line.begins_mm': '4 in' }
    const written = writtenOf('along', form, 'cm')
    expect(written.pitch_mm).toBe('12 mm')
    expect(written.at_hand_mm).toBe('60 cm')
    expect(written.at_hand).toBe('14')
    expect(written.line).toMatchObject({ on: 'top line', begins_mm: '4 in', ends_mm: null, spots: [] })
  })
  it('keeps tiers together and leaves out those that are empty', () => {
    const form = { ...shownOf('hanging', undefined, 'cm'), 'tiers.1.depth_mm': '30', 'tiers.1.fullness': '1,5' }
    expect(writtenOf('hanging', form, 'cm').tiers).toEqual([
      { depth_mm: '6.0 cm', fullness: '2' },
      { depth_mm: '30 cm', fullness: '1.5' },
    ])
  })
  it('shows what belongs to what was picked, and writes nothing else', () => {
    const form = { ...shownOf('areas', undefined, 'cm'), how: 'motif' }
    const field = (at: string) => FIELDS.areas.find((one) => one.at === at)!
    expect(shows(field('wide_mm'), form)).toBe(true)
    expect(shows(field('per_cm2'), form)).toBe(false)
    expect('per_cm2' in writtenOf('areas', form, 'cm')).toBe(false)
  })
  it('comes back as it was written', () => {
    for (const group of Object.keys(FIELDS) as Group[]) {
      const form = shownOf(group, undefined, 'cm')
      const written = JSON.parse(JSON.stringify(writtenOf(group, form, 'cm')))
      expect(Object.keys(written).length).toBeGreaterThan(3)
    }
  })
})
