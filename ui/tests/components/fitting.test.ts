import { describe, expect, it } from 'vitest'
import type { Unit } from '../../src/api/types'
import { renewed, rowOf, rowsOf, type Answers } from '../../src/stages/mockups/answers'
import { empty, renewedFitting, toSend, usualRows, written, type Written } from '../../src/stages/mockups/fitting'
import { recorded } from '../recorded'

const { plan, build } = recorded.builds.tried
const logged = build.fittings[0]
const made = build.mock_up
const asked = recorded.exchanges.find((kept) => kept.path === '/api/catalogue')?.answer as {
  fitting: Parameters<typeof empty>[0]
}
const fields = asked.fitting
const field = (name: string) => fields.find((known) => known.field === name)!
const blank = (unit: Unit = 'cm') => empty(fields, usualRows(plan, unit), 'close', made)
const send = (fitting: Written, unit: Unit = 'cm') => toSend(fields, fitting, unit, made)
const answered = (answers: Answers, unit: Unit = 'cm') => {
  const fitting = blank(unit)
  Object.assign(fitting.answers, answers)
  return send(fitting, unit)
}

describe('a fitting while it is written', () => {
  it('begins with the heights at which a gap is usually read', () => {
    const rows = usualRows(plan, 'cm').map((row) => Number(row.z.replace('−', '-')))
    expect(rows).toHaveLength(5)
    expect(rows[2]).toBe(0)
    expect([...rows].sort((a, b) => b - a)).toEqual(rows)
    expect(rows[0] * 10).toBeLessThan(plan.mock_up!.z_mm[plan.mock_up!.z_mm.length - 1])
  })

  it('says nothing that was not written, of any field', () => {
    const sent = send(blank()) as Record<string, unknown>
    expect(sent.readings).toEqual([])
    for (const known of fields.filter((one) => one.listed)) expect(sent[known.field], known.field).toEqual([])
    expect([sent.rides_mm, sent.swings_mm, sent.hours, sent.cost]).toEqual([null, null, null, null])
  })

  it('comes back as it was logged, with everything that can be told', () => {
    const all = {
      ...logged,
      under: 'a shift',
      laced: [{ level: 'waist' as const, girth_mm: 620 }],
      words: [{ level: 'ribs' as const, word: 'firm' as const }],
      stand_offs: [{ level: 'waist' as const, off_mm: -12 }],
      taps: [
        {
          ...{ view: 'side' as const, z_mm: 40, across: 0.25 },
          ...{ word: 'stands off' as const, off_mm: 8, half: 'left' as const },
        },
      ],
      pinches: [{ seam: 2, from_mm: -40, to_mm: 60, amount_mm: -7.5, half: 'right' as const }],
      edges: [{ edge: 'hem' as const, place: 'side' as const, off_mm: -6 }],
      rides_mm: -9,
      swings_mm: 5,
      moved: [{ test: 'in alone' as const, went: 'hard' as const }],
      hours: 2.5,
      note: 'two\nlines',
    }
    for (const unit of ['cm', 'in'] as const) {
      const sent = send(written(fields, unit, all), unit)
      const small = (mm: string, inches: string) => (unit === 'cm' ? mm : inches)
      expect(sent).toMatchObject({
        pull: logged.pull,
        under: 'a shift',
        words: [{ level: 'ribs', word: 'firm' }],
        stand_offs: [{ level: 'waist', off_mm: small('−12 mm', '−1/2 in') }],
        taps: [{ view: 'side', across: 0.25, word: 'stands off', off_mm: small('8 mm', '5/16 in'), half: 'left' }],
        pinches: [{ seam: 2, amount_mm: small('-7.5 mm', '-5/16 in'), half: 'right' }],
        edges: [{ edge: 'hem', place: 'side', off_mm: small('-6 mm', '-1/4 in') }],
        rides_mm: small('-9 mm', '-3/8 in'),
        swings_mm: small('5 mm', '3/16 in'),
        moved: [{ test: 'in alone', went: 'hard' }],
        hours: '2.5',
        note: 'two\nlines',
      })
    }
    const readings = send(written(fields, 'cm', all)).readings!
    expect(readings.map((row) => row.gap_mm)).toEqual(logged.readings.map((row) => `${row.gap_mm} mm`))
  })

  it('sends lengths in her unit, and what is missing or low below zero', () => {
    const fitting = blank('in')
    fitting.rows[0].gap = '2 1/4'
    fitting.closing = 'pinned'
    Object.assign(fitting.answers, {
      pinches: [rowOf(field('pinches'), { seam: '2', from_mm: '-1', to_mm: '3', amount_mm: '-1/4', half: 'left' })],
      edges: { 'top side': '-3/8', 'top CF': '+' },
      rides_mm: '-1/4',
      swings_mm: '+1/4',
      moved: { sit: 'hard', bend: '' },
      hours: ' 2,5 ',
    })
    const sent = send(fitting, 'in')
    expect(sent.readings![0].gap_mm).toBe('2 1/4 in')
    expect(sent.pinches![0]).toMatchObject({ from_mm: '-1 in', to_mm: '3 in', amount_mm: '-1/4 in' })
    expect(sent.edges).toEqual([{ edge: 'top', place: 'side', off_mm: '-3/8 in' }])
    expect([sent.rides_mm, sent.swings_mm, sent.hours]).toEqual(['-1/4 in', '1/4 in', '2,5'])
    expect(sent.moved).toEqual([{ test: 'sit', went: 'hard' }])
    expect(sent.made_of).toMatchObject({ closing: 'pinned', edge_bone: made.edge_bone })
  })

  it('says of a level how it sat, and by how much it stood off in place of that it did', () => {
    const words = { waist: 'right', ribs: 'stands off', hip: 'stands off' }
    expect(answered({ words, stand_offs: { ribs: '9', waist: '4' } })).toMatchObject({
      words: [
        { level: 'waist', word: 'right' },
        { level: 'hip', word: 'stands off' },
      ],
      stand_offs: [{ level: 'ribs', off_mm: '9 mm' }],
    })
  })

  it('keeps what stands off with its amount, and other words without one', () => {
    const place = { view: 'front', z_mm: '12', across: '0.4', off_mm: '8' }
    const taps = ['stands off', 'digs'].map((word) => rowOf(field('taps'), { ...place, word }))
    expect(answered({ taps }).taps!.map((tap) => tap.off_mm)).toEqual(['8 mm', null])
  })

  it('comes back from an older draft with what that did not ask yet blank, and with keys of its own', () => {
    const fitting = blank()
    fitting.answers.pinches = [rowOf(field('pinches'), { amount_mm: '+5' })]
    const older = JSON.parse(JSON.stringify(fitting)) as Written
    delete older.answers.swings_mm
    delete rowsOf(older.answers, 'pinches')[0].cells.half
    const again = renewedFitting(older, fields)
    expect(again.answers.swings_mm).toBe('')
    expect(rowsOf(again.answers, 'pinches')[0].cells).toMatchObject({ amount_mm: '+5', half: 'both' })
    expect(rowsOf(again.answers, 'pinches')[0].key).not.toBe(rowsOf(older.answers, 'pinches')[0].key)
    expect(renewed(field('taps'), undefined)).toEqual([])
  })

  it('comes back from a draft that was held before the fields were listed', () => {
    const held: Record<string, unknown> = {
      ...blank(),
      ...{ pull: 'firm', under: 'a shift', hours: '2', cost: '', note: 'late', finished: true },
      ...{ laced: { waist: '62' }, under_it: {}, moved: { sit: 'hard' } },
      words: [{ level: 'ribs', word: 'firm' }],
      stand_offs: [{ level: 'waist', off_mm: '12' }],
      taps: [{ key: 1, view: 'front', z: '4', across: 0.25, word: 'digs', off: '' }],
      pinches: [{ key: 2, seam: 2, from: '-4', to: '4', amount: '6', how: 'slashed', half: 'left' }],
      edges: { 'top side': { way: 'low', off: '5' }, 'top CF': { way: '', off: '' } },
      rides: { way: 'up', off: '9' },
      swings: { way: 'back', off: '3' },
    }
    delete held.answers
    expect(send(renewedFitting(held as unknown as Written, fields))).toMatchObject({
      ...{ pull: 'firm', under: 'a shift', hours: '2', cost: null, note: 'late', finished: true },
      laced: [{ level: 'waist', girth_mm: '62 cm' }],
      words: [{ level: 'ribs', word: 'firm' }],
      stand_offs: [{ level: 'waist', off_mm: '12 mm' }],
      taps: [{ view: 'front', z_mm: '4 cm', across: 0.25, word: 'digs', off_mm: null, half: 'both' }],
      pinches: [{ seam: 2, from_mm: '-4 cm', to_mm: '4 cm', amount_mm: '-6 mm', half: 'left' }],
      edges: [{ edge: 'top', place: 'side', off_mm: '-5 mm' }],
      ...{ rides_mm: '9 mm', swings_mm: '-3 mm' },
      moved: [{ test: 'sit', went: 'hard' }],
    })
  })
})
