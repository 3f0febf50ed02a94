import type { ClothPiece, LaidSheet, Marker, Placed, Point } from '../../api/types'

/** A piece of cloth as it is drawn: what it is called, its edge and flaws (mm, x along the grain), what lies on it. */
export interface Drawn {
  key: string
  name: string
  kind: 'scrap' | 'length' | 'new'
  outline: Point[]
  flaws: Point[][]
  placed: Placed[]
  long: number
  wide: number
  /** How far along it the pieces reach; a length goes on beyond what is drawn of it. */
  reach: number
  whole: number
  fold: boolean
}

const BEYOND = 60

const reachOf = (placed: Placed[]) => Math.max(0, ...placed.flatMap((one) => one.outline.map((spot) => spot[0])))
const box = (long: number, wide: number): Point[] => [
  [0, 0],
  [long, 0],
  [long, wide],
  [0, wide],
]

/** The cloth on the table: scraps and lengths of the shelf that are cut from, then what has to be bought. */
export function drawnSheets(
  sheets: LaidSheet[],
  marker: Marker,
  names: Map<string, string>,
  lengths: Set<string>,
  fold: boolean,
): Drawn[] {
  const found: Drawn[] = sheets
    .filter((sheet) => sheet.placed.length)
    .map((sheet) => {
      const outline = sheet.sheet.outline as Point[]
      const [whole, high] = [Math.max(...outline.map((p) => p[0])), Math.max(...outline.map((p) => p[1]))]
      const reach = reachOf(sheet.placed)
      const isLength = lengths.has(sheet.sheet.key)
      const doubled = fold && isLength
      const wide = doubled ? high / 2 : high
      const long = isLength ? Math.min(whole, reach + BEYOND) : whole
      return {
        key: sheet.sheet.key,
        name: names.get(sheet.sheet.key) ?? sheet.sheet.key,
        kind: isLength ? 'length' : 'scrap',
        outline: isLength ? box(long, wide) : outline,
        flaws: sheet.sheet.flaws,
        placed: sheet.placed,
        long,
        wide,
        reach,
        whole,
        fold: doubled,
      }
    })
  if (marker.placed.length) {
    const wide = marker.fold ? marker.usable_mm / 2 : marker.usable_mm
    const long = marker.length_mm + BEYOND
    found.push({
      key: 'new',
      name: 'new cloth',
      kind: 'new',
      outline: box(long, wide),
      flaws: [],
      placed: marker.placed,
      long,
      wide,
      reach: marker.length_mm,
      whole: long,
      fold: !!marker.fold,
    })
  }
  return found
}

/** Where each sheet lies on a page of so many pixels, in rows, and the scale at which all of them fit. */
export function arranged(
  sheets: { long: number; wide: number }[],
  page: { width: number; height: number },
  gap = { x: 56, y: 52 },
): { scale: number; at: Point[] } {
  const tryAt = (scale: number) => {
    let [x, y, row] = [0, 0, 0]
    const at: Point[] = []
    for (const sheet of sheets) {
      const [w, h] = [sheet.long * scale + gap.x, sheet.wide * scale + gap.y]
      if (x && x + w > page.width) [x, y, row] = [0, y + row, 0]
      at.push([x, y])
      x += w
      row = Math.max(row, h)
      if (w > page.width) return undefined
    }
    return y + row <= page.height ? at : undefined
  }
  let [low, high] = [0.02, 1.2]
  for (let i = 0; i < 24; i++) {
    const middle = (low + high) / 2
    if (tryAt(middle)) low = middle
    else high = middle
  }
  return { scale: low, at: tryAt(low) ?? sheets.map((): Point => [0, 0]) }
}

/** How a piece is called on the cloth: a panel by its number, else what it is. */
export const shortName = (piece: ClothPiece | undefined, key: string) =>
  piece?.what === 'panel' ? piece.label : (piece?.what ?? key)
