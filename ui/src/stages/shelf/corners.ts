import type { Point, Unit } from '../../api/types'

/** Several outlines in one field, an empty line between them. */
export const outlinesIn = (text: string, unit: Unit): Point[][] =>
  text
    .split(/\n\s*\n/)
    .map((part) => cornersIn(part, unit))
    .filter((corners) => corners.length)

/**
 * Corners as typed, one a line, along and across: "30, 20", "30 20", "12,5; 7" or "30,20"; a comma alone between two
 * whole numbers parts them. Lines that hold no two numbers are left out.
 */
export function cornersIn(text: string, unit: Unit): Point[] {
  const per = unit === 'in' ? 25.4 : 10
  const found: Point[] = []
  for (const line of text.split('\n')) {
    let parts = line
      .trim()
      .split(/\s*;\s*|,\s+|\s+/)
      .filter(Boolean)
    if (parts.length === 1) parts = parts[0].split(',')
    const spot = parts.map((part) => (part ? Number(part.replace(',', '.')) * per : NaN))
    if (spot.length === 2 && spot.every(Number.isFinite)) found.push([spot[0], spot[1]])
  }
  return found
}
