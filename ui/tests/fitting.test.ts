import { describe, expect, it } from 'vitest'
import { empty, satAt, toSend, usualRows, writeSat, written } from '../src/stages/mockups/fitting'
import { vectors } from './vectors'

const { plan, build } = vectors.tried
const logged = build.fittings![0]
const made = build.mock_up!

describe('a fitting while it is written', () => {
  it('begins with the heights at which a gap is usually read', () => {
    const rows = usualRows(plan, 'cm').map((row) => Number(row.z.replace('−', '-')))
    expect(rows).toHaveLength(5)
    expect(rows[2]).toBe(0)
    expect([...rows].sort((a, b) => b - a)).toEqual(rows)
    expect(rows[0] * 10).toBeLessThan(plan.mock_up!.z_mm[plan.mock_up!.z_mm.length - 1])
  })

  it('says nothing that was not written', () => {
    const sent = toSend(empty(plan, 'cm', 'close', true, 'laced'), 'cm', made)
    expect(sent.readings).toEqual([])
    expect(sent.taps).toEqual([])
    expect(sent.pinches).toEqual([])
    expect(sent.edges).toEqual([])
    expect(sent.moved).toEqual([])
    expect([sent.rides_mm, sent.swings_mm, sent.hours, sent.cost]).toEqual([null, null, null, null])
  })

  it('comes back as it was logged', () => {
    const again = written(plan, 'cm', logged)
    expect(again.rows.map((row) => row.gap)).toEqual(logged.readings!.map((row) => String(row.gap_mm)))
    const sent = toSend(again, 'cm', made)
    expect(sent.readings!.map((row) => row.gap_mm)).toEqual(logged.readings!.map((row) => `${row.gap_mm} mm`))
    expect(sent.pull).toBe(logged.pull)
  })

  it('sends lengths in her unit, and what is missing or low below zero', () => {
    const one = empty(plan, 'in', 'firm', true, 'pinned')
    one.rows[0].gap = '2 1/4'
    one.pinches.push({ key: 1, seam: 2, from: '-1', to: '3', amount: '1/4', how: 'slashed', half: 'left' })
    one.edges['top side'] = { way: 'low', off: '3/8' }
    one.rides = { way: 'down', off: '1/4' }
    one.swings = { way: 'front', off: '1/4' }
    one.moved = { sit: 'hard', bend: '' }
    one.hours = '2,5'
    const sent = toSend(one, 'in', made)
    expect(sent.readings![0].gap_mm).toBe('2 1/4 in')
    expect(sent.pinches![0]).toMatchObject({ from_mm: '-1 in', to_mm: '3 in', amount_mm: '-1/4 in' })
    expect(sent.edges).toEqual([{ edge: 'top', place: 'side', off_mm: '-3/8 in' }])
    expect([sent.rides_mm, sent.swings_mm]).toEqual(['-1/4 in', '1/4 in'])
    expect(sent.moved).toEqual([{ test: 'sit', went: 'hard' }])
    expect(sent.hours).toBe(2.5)
    expect(sent.made_of).toMatchObject({ closing: 'pinned', edge_bone: made.edge_bone })
  })

  it('says of a level how it sat, and by how much it stood off, once', () => {
    const one = empty(plan, 'cm', 'close', true, 'laced')
    writeSat(one, 'waist', 'firm', '')
    writeSat(one, 'ribs', 'stands off', '12')
    writeSat(one, 'ribs', 'stands off', '9')
    writeSat(one, 'waist', 'right', '')
    expect(toSend(one, 'cm', made)).toMatchObject({
      words: [{ level: 'waist', word: 'right' }],
      stand_offs: [{ level: 'ribs', off_mm: '9 mm' }],
    })
    expect([satAt(one, 'ribs'), satAt(one, 'hip').word]).toEqual([{ word: 'stands off', off: '9' }, ''])
    writeSat(one, 'ribs', '', '')
    expect(one.stand_offs).toEqual([])
  })

  it('keeps what stands off with its amount, and other words without one', () => {
    const one = empty(plan, 'cm', 'close', true, 'laced')
    const place = { view: 'front', z: '12', across: 0.4, half: 'both' } as const
    one.taps.push({ key: 1, ...place, word: 'stands off', off: '8' }, { key: 2, ...place, word: 'digs', off: '8' })
    expect(toSend(one, 'cm', made).taps!.map((tap) => tap.off_mm)).toEqual(['8 mm', null])
  })
})
