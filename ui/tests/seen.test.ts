import { describe, expect, it } from 'vitest'
import type { OnBodySeen } from '../src/api/types'
import { vectors } from './vectors'
import { boxOf, CLASSES, classOf, differences, partOf, partsOf, trianglesOf, turned } from '../src/body/seen'

describe('turns', () => {
  it('stay between −180 and 180', () => {
    expect([190, -190, 540, -180, 0, 359].map(turned)).toEqual([-170, 170, 180, 180, 0, -1])
  })
})

describe('triangles of a grid', () => {
  it('cover every cell once', () => {
    expect(trianglesOf({ rows: 2, columns: 2 })).toEqual([0, 1, 3, 0, 3, 2])
    expect(trianglesOf({ rows: 5, columns: 7 }).length).toBe(4 * 6 * 6)
  })
  it('skip rows and columns but keep the last ones', () => {
    const some = trianglesOf({ rows: 4, columns: 6 }, 2)
    expect(Math.max(...some)).toBe(23)
    expect(new Set(some).size).toBe(3 * 4)
  })
})

describe('what a stage shows', () => {
  it('is what it adds', () => {
    expect(partsOf('bones')).toContain('bones')
    expect(partsOf('mockups')).toContain('pressure')
    expect(partsOf('back')).toEqual(['lacing'])
    expect(partsOf(undefined)).toContain('trims')
  })
  it('knows to what lines belong', () => {
    expect(['seam', 'bone', 'hole', 'lace', 'trim', 'top'].map(partOf)).toEqual([
      'seams',
      'bones',
      'lacing',
      'lacing',
      'trims',
      undefined,
    ])
  })
})

describe('pressure', () => {
  it('is told in the same words as the core does', () => {
    for (const { share, feel } of vectors.feels) expect(CLASSES[classOf(share)].word).toBe(feel)
  })
  it('is hatched the closer the firmer', () => {
    const hatch = CLASSES.slice(1).map((one) => one.hatch)
    expect([...hatch].sort((a, b) => b - a)).toEqual(hatch)
  })
})

const level = { level: 'waist', y_mm: 0, half_mm: 100, front_mm: 80, back_mm: 70 } as const
const seen = (worn: number, gap: number, top: number): OnBodySeen => ({
  lines: [],
  spots: [],
  said: [],
  version: null,
  poses: {},
  area_off: 0,
  patches: [{ name: 'her', panel: null, columns: 2, rows: 1, points: [-10, 5, 0, 20, -3, 4], share: [] }],
  levels: [{ ...level, worn_mm: worn, gap_mm: gap, kpa: 1 }],
  edges_mm: { 'top line CF': top },
})

describe('two versions', () => {
  it('differ by so many mm, and by nothing where they are alike', () => {
    expect(differences(seen(650, 50, 120), seen(642, 50.2, 125), () => 'Waist')).toEqual([
      { what: 'Waist, over it', mm: -8 },
      { what: 'top line CF', mm: 5 },
    ])
    expect(differences(seen(650, 50, 120), seen(650, 50, 120), () => 'Waist')).toEqual([])
  })
})

describe('the box', () => {
  it('holds everything', () => {
    expect(boxOf(seen(1, 1, 1))).toEqual({ low: [-10, -3, 0], high: [20, 5, 4] })
  })
})

describe('nothing to see', () => {
  it('has no box', () => {
    expect(boxOf({ patches: [] })).toBeUndefined()
  })
})
