import { describe, expect, it } from 'vitest'
import { daysLeft, duration, length, lengthsIn, perEdge, run, stepOf, thick, withUnit } from '../src/parts/words'
import { vectors } from './vectors'

describe('lengths', () => {
  it('are shown as the core shows them', () => {
    expect(vectors.lengths.length).toBeGreaterThan(90)
    for (const { mm, unit, hardware, text, bare } of vectors.lengths) {
      expect(length(mm, unit, { hardware })).toBe(text)
      expect(length(mm, unit, { hardware, bare: true })).toBe(bare)
    }
  })

  it('read back to within half of the last figure shown', () => {
    for (const { mm, unit, hardware, reads } of vectors.lengths) {
      const last = unit === 'in' ? 25.4 / (hardware ? 16 : 8) : hardware ? 0.5 : 1
      expect(Math.abs(reads - mm)).toBeLessThanOrEqual(last / 2 + 1e-6)
    }
  })

  it('off a roll go to the next tenth of a metre, or quarter of a yard', () => {
    for (const { mm, unit, text } of vectors.runs) expect(run(mm, unit)).toBe(text)
  })

  it('at a panel edge go to a tenth of a millimetre, or to 1/32 inch', () => {
    expect(perEdge(3.14, 'cm')).toBe('3.1')
    expect(perEdge(25.4 / 32, 'in')).toBe('1/32')
    expect(perEdge(25.4 * 1.25, 'in')).toBe('1 1/4')
  })
})

describe('what is typed', () => {
  it.each([
    ['62', '62 cm'],
    [' 24 1/2 ', '24 1/2 cm'],
    ['−3,5', '−3,5 cm'],
    ['½', '½ cm'],
    ['24 in', '24 in'],
    ['seventy', 'seventy'],
  ])('%s takes its unit only where it has none', (text, sent) => expect(withUnit(text, 'cm')).toBe(sent))

  it('holds several lengths, parted by ; or lines', () => {
    expect(lengthsIn('200; 250 mm\n 10 in;;', 'mm')).toEqual(['200 mm', '250 mm', '10 in'])
    expect(lengthsIn('  ', 'mm')).toEqual([])
  })

  it('moves by a millimetre or a sixteenth', () => {
    expect(stepOf('cm')).toBe(1)
    expect(stepOf('in')).toBeCloseTo(1.5875)
  })
})

describe('days', () => {
  const day = (off: number) => {
    const at = new Date()
    at.setDate(at.getDate() + off)
    return [at.getFullYear(), at.getMonth() + 1, at.getDate()].map((one) => String(one).padStart(2, '0')).join('-')
  }
  it.each([
    [0, 'today'],
    [1, 'tomorrow'],
    [12, '12 days left'],
    [-3, '3 days ago'],
  ])('%i away', (off, said) => expect(daysLeft(day(off))).toBe(said))
  it('may be missing', () => expect(daysLeft(null)).toBe('no day yet'))
})

describe('how thick cloth lies', () => {
  it('is read finer where it is thin', () => {
    expect(thick(0.35, 'cm')).toBe('0.35 mm')
    expect(thick(1.15, 'cm')).toBe('1.15 mm')
    expect(thick(4.55, 'cm')).toBe('4.5 mm')
    expect(thick(25.4, 'in')).toBe('1.00 in')
  })
})

describe('how long it takes', () => {
  it('is said as one says it', () => {
    expect(duration(1)).toBe('5 min')
    expect(duration(47)).toBe('45 min')
    expect(duration(95)).toBe('1 1/2 h')
    expect(duration(693)).toBe('11 1/2 h')
    expect(duration(720)).toBe('12 h')
  })
})
