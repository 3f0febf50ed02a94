import type { LaidPanel, Point } from '../api/types'

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
  points.map((point, i) => `${i ? 'L' : 'M'}${point[0].toFixed(2)} ${point[1].toFixed(2)}`).join('') + (closed ? 'Z' : '')

/** The marks of a proposal, one for each seam and kind: the greatest of them, with the levels that it stands for. */
export function marksBySeam<Mark extends { seam: string; kind: string; level?: string | null; cf_side_mm: number; cb_side_mm: number }>(marks: Mark[]) {
  const groups = new Map<string, Mark[]>()
  for (const mark of marks) groups.set(`${mark.seam} ${mark.kind}`, [...(groups.get(`${mark.seam} ${mark.kind}`) ?? []), mark])
  const both = (mark: Mark) => mark.cf_side_mm + mark.cb_side_mm
  return [...groups.values()].map((group) => ({
    ...group.reduce((a, b) => (both(a) >= both(b) ? a : b)),
    levels: group.flatMap((mark) => mark.level ?? []),
  }))
}
