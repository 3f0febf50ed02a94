import { describe, expect, it } from 'vitest'
import { lineHandles, placeBy, reach, seamHandles } from '../src/stages/pattern/handles'
import { layOut } from '../src/surface/flat'
import { vectors } from './vectors'

const { plan } = vectors.draft
const panels = plan.pattern!.panels
const { offsets } = layOut(panels)

describe('the points of top line and hem', () => {
  it.each(['top', 'hem'] as const)('of the %s stand at CF, every seam and CB', (end) => {
    const line = plan.pattern![end]
    const handles = lineHandles(plan, panels, offsets, end, line, 'cm')
    const own = (line.points ?? []).length
    expect(handles.length).toBeGreaterThanOrEqual(panels.length + 1)
    expect(handles.length).toBeLessThanOrEqual(panels.length + 1 + own)
    expect(handles[0].label).toContain('at CF')
    expect(handles[0].z).toBeCloseTo(line.cf_mm, 0)
    expect(handles.some((one) => one.label.endsWith('the side'))).toBe(true)
    const seams = handles.filter((one) => one.axis === 'z')
    expect(seams[panels.length].z).toBeCloseTo(line.cb_mm, 0)
  })

  it('moved sideways go round the body by the width that they cross', () => {
    const places = plan.pattern!.top_places
    const moved = placeBy(plan, panels, 'top', (places[1] + places[2]) / 2, 10)
    expect(moved).toBeGreaterThan((places[1] + places[2]) / 2)
    expect(placeBy(plan, panels, 'top', 0.5, 0)).toBeCloseTo(0.5)
  })
})

describe('the places of a seam', () => {
  it('are the levels that the garment covers there', () => {
    for (let seam = 1; seam < panels.length; seam++) {
      const edge = panels[seam - 1].cb_edge
      for (const handle of seamHandles(plan, panels, offsets, seam)) {
        expect(handle.axis).toBe('x')
        expect(handle.z).toBeGreaterThan(edge[0][1])
        expect(handle.z).toBeLessThan(edge[edge.length - 1][1])
      }
    }
    const waist = seamHandles(plan, panels, offsets, 2).find((one) => one.z === 0)!
    expect(waist.x).toBeCloseTo(panels[1].waist[1][0] + offsets[1], 0)
  })

  it('fade in seven centimetres, or run out at an edge that is near', () => {
    const edge = panels[1].cb_edge
    const top = edge[edge.length - 1][1]
    expect(reach(panels[1], top - 20).reach_up_mm).toBeNull()
    expect(reach(panels[1], 0)).toEqual({ reach_up_mm: 70, reach_down_mm: 70 })
  })
})
