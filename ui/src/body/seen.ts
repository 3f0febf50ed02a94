import type { OnBodySeen, Patch, Stage, WornLevel } from '../api/types'

// What is seen of a garment on her: which lines a stage adds, pressure as a class with its hatching, turns, unlikeness.

export const PARTS = ['seams', 'bones', 'lacing', 'opening', 'trims', 'pressure', 'limits'] as const
export type Part = (typeof PARTS)[number]

/** Which part of the view a line or spot belongs to; edges and the garment itself are always there. */
const OF: Record<string, Part> = {
  seam: 'seams',
  dart: 'seams',
  place: 'seams',
  CF: 'seams',
  bone: 'bones',
  lace: 'lacing',
  hole: 'lacing',
  opening: 'opening',
  trim: 'trims',
  area: 'trims',
  limit: 'limits',
}
export const partOf = (what: string): Part | undefined => OF[what]

/** What a stage is about on her, so that it is shown when the view is opened there. */
export function partsOf(stage: Stage | undefined): Part[] {
  const about: Partial<Record<Stage, Part[]>> = {
    brief: ['seams', 'opening'],
    wearer: ['limits'],
    pattern: ['seams', 'limits'],
    mockups: ['seams', 'lacing', 'pressure'],
    bones: ['seams', 'bones'],
    front: ['seams', 'opening'],
    back: ['lacing'],
    layers: ['seams', 'pressure'],
    trims: ['trims', 'lacing'],
  }
  return about[stage ?? 'record'] ?? ['seams', 'lacing', 'opening', 'trims']
}

/** How firmly it presses, as on every page: up to which share of what is comfortable, in words, hatched how closely. */
export const CLASSES = [
  { to: 0.02, word: 'stands off', hatch: 0 },
  { to: 0.3, word: 'light', hatch: 16 },
  { to: 0.7, word: 'close', hatch: 10 },
  { to: 1.0, word: 'firm', hatch: 6 },
  { to: Infinity, word: 'too firm', hatch: 4 },
] as const
export const classOf = (share: number) => CLASSES.findIndex((kind) => share <= kind.to)

/** Turns, ° about upright: 0 is from in front, positive shows her left. */
export const PRESETS = [
  { name: 'front', turn: 0, key: '1' },
  { name: '¾ front', turn: -40, key: '2' },
  { name: 'side', turn: -90, key: '3' },
  { name: '¾ back', turn: -140, key: '4' },
  { name: 'back', turn: 180, key: '5' },
] as const

/** A turn between −180° and 180°. */
export const turned = (deg: number) => {
  const found = ((((deg + 180) % 360) + 360) % 360) - 180
  return found === -180 ? 180 : found
}

/** The triangles of a grid of points, as indices; every `skip`-th row and column only, with the last ones. */
export function trianglesOf(patch: Pick<Patch, 'rows' | 'columns'>, skip = 1): number[] {
  const some = (count: number) => {
    const found = []
    for (let i = 0; i < count - 1; i += skip) found.push(i)
    return [...found, count - 1]
  }
  const [rows, columns] = [some(patch.rows), some(patch.columns)]
  const found = []
  for (let i = 0; i + 1 < rows.length; i++)
    for (let j = 0; j + 1 < columns.length; j++) {
      const [a, b] = [rows[i] * patch.columns + columns[j], rows[i] * patch.columns + columns[j + 1]]
      const [c, d] = [rows[i + 1] * patch.columns + columns[j], rows[i + 1] * patch.columns + columns[j + 1]]
      found.push(a, b, d, a, d, c)
    }
  return found
}

/** The box of everything that is shown, mm; nothing where nothing is. */
export function boxOf(seen: Pick<OnBodySeen, 'patches'>) {
  if (!seen.patches.length) return undefined
  const low = [Infinity, Infinity, Infinity]
  const high = [-Infinity, -Infinity, -Infinity]
  for (const patch of seen.patches)
    patch.points.forEach((value, i) => {
      low[i % 3] = Math.min(low[i % 3], value)
      high[i % 3] = Math.max(high[i % 3], value)
    })
  return { low, high }
}

export interface Difference {
  what: string
  mm: number
}

/** By how much the second is wider, or higher at an edge, than the first, mm; what differs by half a millimetre. */
export function differences(one: OnBodySeen, other: OnBodySeen, label: (level: WornLevel) => string): Difference[] {
  const found: Difference[] = []
  for (const level of one.levels) {
    const there = other.levels.find((each) => each.level === level.level)
    if (there) found.push({ what: `${label(level)}, over it`, mm: there.worn_mm - level.worn_mm })
    if (there?.gap_mm != null && level.gap_mm != null)
      found.push({ what: `${label(level)}, gap`, mm: there.gap_mm - level.gap_mm })
  }
  for (const [edge, mm] of Object.entries(one.edges_mm)) {
    const there = other.edges_mm[edge]
    if (mm !== undefined && there !== undefined) found.push({ what: edge, mm: there - mm })
  }
  return found.filter((each) => Math.abs(each.mm) >= 0.5)
}
