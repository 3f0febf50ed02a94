import type { Point } from '../api/types'

/** Where the paper lies under the window: pixels per mm, and where the zero line of CF stands. */
export interface View {
  scale: number
  x: number
  y: number
}
export interface Size {
  width: number
  height: number
}

export const RAIL = 152
const [FURTHEST, NEAREST, LARGEST_FIT] = [0.4, 8, 2.2]
const LEAST_FIT = 0.08 // in a window too small for the paper it still lies there, and can be moved
const MOST_TICKS = 400
const LEAST_APART = 15 // px between the rail's numbers

/** The view that shows a garment `wide` mm from CF, from `bottom` to `top` about the waist, beside the rail. */
export function fitted(size: Size, wide: number, top: number, bottom: number, beside: number): View {
  const left = RAIL + beside
  const room = { width: size.width - left - 18, height: size.height - 64 }
  const tall = top - bottom + 40
  const whole = Math.min(room.width / Math.max(1, wide), room.height / Math.max(1, tall), LARGEST_FIT)
  const scale = Number.isFinite(whole) ? Math.max(LEAST_FIT, whole) : LEAST_FIT
  return {
    scale,
    x: left + Math.max(0, (room.width - wide * scale) / 2),
    y: 36 + (room.height - tall * scale) / 2 + (top + 18) * scale,
  }
}

/** The view nearer or further by a factor, with the paper still under one spot of the window. */
export function zoomed(view: View, by: number, at: Point): View {
  const scale = Math.min(NEAREST, Math.max(Math.min(FURTHEST, view.scale), view.scale * by))
  const ratio = scale / view.scale
  return { scale, x: at[0] - (at[0] - view.x) * ratio, y: at[1] - (at[1] - view.y) * ratio }
}

export type Pair = [Point, Point]

/** The view once two fingers went from one pair of spots to another: what lay under their middle stays there. */
export function pinched(view: View, before: Pair, after: Pair): View {
  const middle = ([a, b]: Pair): Point => [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]
  const apart = ([a, b]: Pair) => Math.hypot(a[0] - b[0], a[1] - b[1])
  const [from, to] = [middle(before), middle(after)]
  const moved = { ...view, x: view.x + to[0] - from[0], y: view.y + to[1] - from[1] }
  return zoomed(moved, apart(after) / Math.max(apart(before), 1), to)
}

/** A spot of the window on the paper: mm from CF, and from the zero line. */
export const onPaper = (view: View, [x, y]: Point): Point => [(x - view.x) / view.scale, (view.y - y) / view.scale]

/** The rail's ticks that are in sight: every centimetre or half inch, the long ones with their number. */
export function ticksOfRail(view: View, height: number, unit: 'cm' | 'in') {
  const step = unit === 'in' ? 25.4 / 2 : 10
  const found: { y: number; long: boolean; text: string }[] = []
  const lowest = Math.ceil((view.y - height) / view.scale / step)
  if (!Number.isFinite(lowest) || !(view.scale > 0)) return found
  // where ticks stand too close to be told apart, fewer are drawn and numbered
  const every = view.scale * step < 2 ? 5 : 1
  const marked = unit === 'in' ? 4 : 5
  const numbered = marked * ([1, 2, 4, 10, 20].find((many) => many * marked * step * view.scale >= LEAST_APART) ?? 40)
  for (let i = lowest; i * step * view.scale < view.y && found.length < MOST_TICKS; i++) {
    if (i % every) continue
    const long = i % numbered === 0
    const text = long ? String(unit === 'in' ? i / 2 : i).replace('-', '−') : ''
    found.push({ y: view.y - i * step * view.scale, long, text })
  }
  return found
}

/** Places from the top down, moved so that each is `apart` from the one above it. */
export function spreadOut(places: number[], apart: number): number[] {
  let last = -Infinity
  return places.map((place) => (last = Math.max(place, last + apart)))
}
