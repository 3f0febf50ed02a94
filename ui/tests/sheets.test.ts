import { describe, expect, test } from 'vitest'
import type { LaidSheet, Marker, Placed } from '../src/api/types'
import { arranged, drawnSheets, shortName } from '../src/stages/cut/sheets'

const placed = (to: number): Placed => ({
  key: '1 lining 1',
  number: 1,
  mirrored: false,
  angle_deg: 0,
  x_mm: 0,
  y_mm: 0,
  outline: [
    [0, 0],
    [to, 0],
    [to, 80],
  ],
})
const sheet = (key: string, long: number, wide: number, pieces: Placed[]): LaidSheet =>
  ({
    sheet: {
      key,
      outline: [
        [0, 0],
        [long, 0],
        [long, wide],
        [0, wide],
      ],
      flaws: [],
    },
    placed: pieces,
    used_share: 0,
  }) as LaidSheet
const marker = (pieces: Placed[], length_mm: number, fold = false) =>
  ({ placed: pieces, length_mm, usable_mm: 1380, fold }) as Marker

describe('what is drawn of the cloth', () => {
  const names = new Map([['s1', 'roll']])
  test('a long length is drawn as far as it is cut from, a scrap whole, an unused piece not at all', () => {
    const found = drawnSheets(
      [sheet('s1', 2150, 1380, [placed(300)]), sheet('s2', 400, 200, [placed(90)]), sheet('s3', 90, 90, [])],
      marker([], 0),
      names,
      new Set(['s1']),
      false,
    )
    expect(found.map((one) => [one.key, one.kind, one.long, one.wide, one.reach])).toEqual([
      ['s1', 'length', 360, 1380, 300],
      ['s2', 'scrap', 400, 200, 90],
    ])
    expect(found[0].name).toBe('roll')
  })
  test('on the fold lengths are half as wide, scraps lie open, and what is bought comes last', () => {
    const found = drawnSheets(
      [sheet('s1', 500, 1380, [placed(300)]), sheet('s2', 400, 200, [placed(90)])],
      marker([placed(250)], 250, true),
      names,
      new Set(['s1']),
      true,
    )
    expect(found.map((one) => [one.key, one.fold, one.wide])).toEqual([
      ['s1', true, 690],
      ['s2', false, 200],
      ['new', true, 690],
    ])
  })
})
test('sheets lie beside and below each other, all on the page', () => {
  const sheets = [
    { long: 400, wide: 1380 },
    { long: 400, wide: 260 },
    { long: 330, wide: 140 },
  ]
  const page = { width: 780, height: 640 }
  const { scale, at } = arranged(sheets, page)
  sheets.forEach((one, i) => {
    expect(at[i][0] + one.long * scale).toBeLessThanOrEqual(page.width)
    expect(at[i][1] + one.wide * scale).toBeLessThanOrEqual(page.height)
    at.slice(0, i).forEach((other, k) => {
      const apart =
        at[i][0] >= other[0] + sheets[k].long * scale || at[i][1] >= other[1] + sheets[k].wide * scale - 1e-9
      expect(apart).toBe(true)
    })
  })
})
test('a piece is called by its panel, or by what it is', () => {
  expect(shortName({ what: 'panel', label: '3' } as never, 'x')).toBe('3')
  expect(shortName({ what: 'facing', label: 'CF' } as never, 'x')).toBe('facing')
  expect(shortName(undefined, 'gone')).toBe('gone')
})
