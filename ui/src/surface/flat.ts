import type { Bone, LaidPanel, Point } from '../api/types'

/** Where each panel lies on the table: side by side with room between, in mm from CF; joined ones edge to edge. */
export function layOut(panels: LaidPanel[], also: LaidPanel[] = [], joined: number[] = [], between = 20) {
  const offsets: number[] = []
  let x = 0
  panels.forEach((panel, i) => {
    const xs = [...panel.outline, ...(also[i]?.outline ?? [])].map((point) => point[0])
    const [left, right] = [Math.min(...xs), Math.max(...xs)]
    const held = i > 0 && joined.includes(panels[i - 1].number)
    const offset = held ? offsets[i - 1] - nearest(panels[i - 1], panel) : x - left
    offsets.push(offset)
    x = offset + right + between
  })
  const zs = [...panels, ...also].flatMap((panel) => panel.outline.map((point) => point[1]))
  return { offsets, width: x - between, top: Math.max(...zs), bottom: Math.min(...zs) }
}

/** The least distance between the facing edges of two panels in their own frames. */
function nearest(before: LaidPanel, after: LaidPanel) {
  const low = Math.max(before.cb_edge[0][1], after.cf_edge[0][1])
  const high = Math.min(before.cb_edge[before.cb_edge.length - 1][1], after.cf_edge[after.cf_edge.length - 1][1])
  let least = Infinity
  for (let z = low; z <= high; z += 4) least = Math.min(least, edgeAt(after.cf_edge, z) - edgeAt(before.cb_edge, z))
  return least
}

/** x of an edge (from hem to top) at a height. */
export function edgeAt(edge: Point[], z: number): number {
  let i = edge.findIndex((point) => point[1] >= z)
  if (i === -1) i = edge.length - 1
  if (i === 0) return edge[0][0]
  const [[x0, z0], [x1, z1]] = [edge[i - 1], edge[i]]
  return z1 === z0 ? x1 : x0 + ((z - z0) / (z1 - z0)) * (x1 - x0)
}

/** The strips between an old and a new edge, split where one crosses the other. `outward` is +1 for a CB edge. */
export function strips(old: Point[], fresh: Point[], outward: 1 | -1) {
  const low = Math.max(old[0][1], fresh[0][1])
  const high = Math.min(old[old.length - 1][1], fresh[fresh.length - 1][1])
  const found: { kind: 'let out' | 'take in'; points: Point[] }[] = []
  let run: { z: number; a: number; b: number }[] = []
  let sign = 0
  const close = () => {
    if (run.length > 1 && Math.max(...run.map((r) => Math.abs(r.b - r.a))) > 0.25)
      found.push({
        kind: sign * outward > 0 ? 'let out' : 'take in',
        points: [...run.map((r): Point => [r.a, r.z]), ...run.reverse().map((r): Point => [r.b, r.z])],
      })
    run = []
  }
  for (let z = low; z <= high; z += 4) {
    const [a, b] = [edgeAt(old, z), edgeAt(fresh, z)]
    const here = Math.sign(b - a)
    if (here !== sign && run.length) close()
    sign = here
    run.push({ z, a, b })
  }
  close()
  return found
}

export const path = (points: Point[], closed = false) =>
  points.map((point, i) => `${i ? 'L' : 'M'}${point[0].toFixed(2)} ${point[1].toFixed(2)}`).join('') +
  (closed ? 'Z' : '')

/** The marks of a proposal, one for each seam and kind: the greatest of them, with the levels that it stands for. */
export function marksBySeam<
  Mark extends {
    seam: string
    kind: string
    z_mm: number
    level?: string | null
    cf_side_mm: number
    cb_side_mm: number
  },
>(marks: Mark[]) {
  const groups = new Map<string, Mark[]>()
  for (const mark of marks) {
    const place = mark.level ? '' : mark.z_mm // what is changed at a place has a badge of its own there
    const at = `${mark.seam} ${mark.kind} ${place}`
    groups.set(at, [...(groups.get(at) ?? []), mark])
  }
  const both = (mark: Mark) => Math.abs(mark.cf_side_mm) + Math.abs(mark.cb_side_mm)
  return [...groups.values()].map((group) => ({
    ...group.reduce((a, b) => (both(a) >= both(b) ? a : b)),
    levels: group.flatMap((mark) => mark.level ?? []),
  }))
}

/** A path moved sideways by so much, mm. */
export function aside(points: Point[], by: number): Point[] {
  if (!by) return points
  return points.map(([x, z], i) => {
    const [a, b] = [points[Math.max(0, i - 1)], points[Math.min(points.length - 1, i + 1)]]
    const long = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1
    return [x + ((b[1] - a[1]) / long) * by, z - ((b[0] - a[0]) / long) * by]
  })
}

/** Notches as ticks across the stitch line, as many as tell this seam from the others. */
export function notchTicks(panel: LaidPanel): Point[][] {
  const found: Point[][] = []
  const sides = [
    [panel.cf_edge, panel.cf_notches, -1],
    [panel.cb_edge, panel.cb_notches, 1],
  ] as const
  for (const [edge, notches, out] of sides)
    for (const notch of notches)
      for (let i = 0; i < notch.marks; i++) {
        // along so short a stretch the running length is the height, near enough to draw
        const z = notch.from_waist_mm + 4 * (i - (notch.marks - 1) / 2)
        const x = edgeAt(edge, z)
        found.push([
          [x - 1.5 * out, z],
          [x + 4 * out, z],
        ])
      }
  return found
}

/** Texts at the foot of their bones, in the window; where two would meet, the next one stands lower. */
export function footTexts(
  bones: Bone[],
  offsets: number[],
  sx: (x: number) => number,
  sz: (z: number) => number,
  textOf: (bone: Bone) => string,
) {
  const found: Record<string, { x: number; y: number; text: string }> = {}
  const along = (bone: Bone) => offsets[bone.panel - 1] + bone.path[0][0]
  let ends: number[] = []
  for (const bone of [...bones].sort((a, b) => sx(along(a)) - sx(along(b)))) {
    const text = textOf(bone)
    const x = sx(along(bone))
    const half = text.length * 3.7 + 2
    let row = ends.findIndex((end) => x - half >= end)
    if (row === -1) row = ends.length
    ends = Object.assign([...ends], { [row]: x + half })
    found[bone.channel] = { x, y: sz(bone.path[0][1]) + 17 + 14 * row, text }
  }
  return found
}

/** Stretches of the waistline that a tape covers, panel by panel, mm in the frame of each. */
export function tapeStretches(panels: LaidPanel[], fromCf: number, toCf: number) {
  let along = 0
  return panels.flatMap((panel, i) => {
    const [left, right] = [panel.waist[0][0], panel.waist[1][0]]
    const [from, to] = [Math.max(left, left + fromCf - along), Math.min(right, left + toCf - along)]
    along += right - left
    return to > from ? [{ i, from, to }] : []
  })
}

/** The comfort limit at a height, between the levels' own. */
export function limitAt(levels: { z_mm: number; comfort_kpa: number }[], z: number): number {
  const known = [...levels].sort((a, b) => a.z_mm - b.z_mm)
  const above = known.findIndex((level) => level.z_mm >= z)
  if (above <= 0) return (known[0] ?? { comfort_kpa: 3 }).comfort_kpa
  const [a, b] = [known[above - 1], known[above]]
  return a.comfort_kpa + ((z - a.z_mm) / (b.z_mm - a.z_mm)) * (b.comfort_kpa - a.comfort_kpa)
}

/** How far a finger may be off a mark in a row of them, px: 22, or half of the way to its neighbour. */
export const reachOf = (places: Point[]) => {
  const apart = places.slice(1).map(([x, y], i) => Math.hypot(x - places[i][0], y - places[i][1]))
  return Math.min(22, ...apart.map((way) => way / 2))
}
