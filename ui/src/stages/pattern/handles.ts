import type { LaidPanel, Plan, Point } from '../../api/types'
import type { Handle } from '../../surface/EditHandles.vue'
import { edgeAt } from '../../surface/flat'
import { LEVEL_LABELS, length } from '../../parts/words'
import type { Unit } from '../../api/types'
import { certain } from '../../parts/certain'

type End = 'top' | 'hem'
type Line = {
  cf_mm: number
  side_mm: number
  cb_mm: number
  points?: { place: number; z_mm: number; corner?: boolean }[]
}

const at = (line: Point[], x: number) => {
  let i = line.findIndex((point) => point[0] >= x)
  if (i < 0) i = line.length - 1
  if (i === 0) return line[0][1]
  const [[x0, z0], [x1, z1]] = [line[i - 1], line[i]]
  return x1 === x0 ? z1 : z0 + ((x - x0) / (x1 - x0)) * (z1 - z0)
}

/** The points of a top line or hem that can be moved: CF, every seam, side, CB, and its own points between. */
export function lineHandles(
  plan: Plan,
  panels: LaidPanel[],
  offsets: number[],
  end: End,
  line: Line,
  unit: Unit,
): Handle[] {
  const pattern = certain(plan.pattern, 'the pattern')
  const places = end === 'top' ? pattern.top_places : pattern.hem_places
  const name = end === 'top' ? 'Top line' : 'Hem'
  const found: Handle[] = []
  const corner = (panel: LaidPanel, edge: 'cf_edge' | 'cb_edge') =>
    panel[edge][end === 'top' ? panel[edge].length - 1 : 0]
  const own = new Map((line.points ?? []).map((point) => [point.place, point]))
  places.forEach((place, j) => {
    const panel = panels[Math.max(0, j - 1)]
    const [x, z] = corner(panel, j === 0 ? 'cf_edge' : 'cb_edge')
    const where =
      j === 0 ? 'CF' : j === panels.length ? 'CB' : j === pattern.front_panels ? 'the side' : `seam ${j}·${j + 1}`
    const mine = [...own.keys()].find((known) => Math.abs(known - place) < 0.04)
    if (mine !== undefined) own.delete(mine)
    found.push({
      id: `${end} ${place}`,
      x: x + offsets[Math.max(0, j - 1)],
      z,
      axis: 'z',
      look: 'point',
      label: `${name} at ${where}`,
      value: length(z, unit),
    })
  })
  for (const point of own.values()) {
    const i = places.findIndex(
      (place, k) => k < places.length - 1 && point.place >= place && point.place < places[k + 1],
    )
    if (i < 0) continue
    const share = (point.place - places[i]) / (places[i + 1] - places[i])
    const edge = end === 'top' ? panels[i].top : panels[i].hem
    const x = edge[0][0] + share * (edge[edge.length - 1][0] - edge[0][0])
    const z = at(edge, x)
    found.push({
      id: `${end} ${point.place}`,
      x: x + offsets[i],
      z,
      axis: 'xz',
      look: point.corner ? 'corner' : 'point',
      label: `${name}, point in panel ${i + 1}`,
      value: length(z, unit),
    })
  }
  return found
}

/** How far a sideways move of a point takes it round the body. */
export function placeBy(plan: Plan, panels: LaidPanel[], end: End, place: number, dx: number) {
  const pattern = certain(plan.pattern, 'the pattern')
  const places = end === 'top' ? pattern.top_places : pattern.hem_places
  const i = Math.max(
    0,
    places.findIndex((one, k) => k < places.length - 1 && place >= one && place < places[k + 1]),
  )
  const edge = end === 'top' ? panels[i].top : panels[i].hem
  const per = (places[i + 1] - places[i]) / (edge[edge.length - 1][0] - edge[0][0])
  return Math.round((place + dx * per) * 1e4) / 1e4
}

/** The places of a seam that can be moved: at every level that the garment covers there. */
export function seamHandles(plan: Plan, panels: LaidPanel[], offsets: number[], seam: number): Handle[] {
  const panel = panels[seam - 1]
  const edge = panel.cb_edge
  const [low, high] = [edge[0][1], edge[edge.length - 1][1]]
  return plan.levels
    .filter((level) => level.z_mm > low + 4 && level.z_mm < high - 4)
    .map((level) => ({
      id: `seam ${seam} ${level.z_mm}`,
      x: edgeAt(edge, level.z_mm) + offsets[seam - 1],
      z: level.z_mm,
      axis: 'x' as const,
      look: 'seam' as const,
      label: `Seam ${seam}·${seam + 1} at the ${LEVEL_LABELS[level.name].toLowerCase()}`,
      value: '',
    }))
}

/** How far a change at a height reaches before it has faded; to the edge itself where that is near. */
export function reach(panel: LaidPanel, z: number) {
  const edge = panel.cb_edge
  return {
    reach_up_mm: edge[edge.length - 1][1] - z < 45 ? null : 70,
    reach_down_mm: z - edge[0][1] < 45 ? null : 70,
  }
}
