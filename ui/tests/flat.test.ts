import { describe, expect, it } from 'vitest'
import type { Bone, LaidPanel, Point } from '../src/api/types'
import {
  aside,
  edgeAt,
  footTexts,
  layOut,
  limitAt,
  marksBySeam,
  notchTicks,
  path,
  strips,
  tapeStretches,
  reachOf,
} from '../src/surface/flat'
import { vectors } from './vectors'

const { plan } = vectors.tried
const panels = plan.pattern!.panels
const spanOf = (panel: LaidPanel) => {
  const xs = panel.outline.map((point) => point[0])
  return [Math.min(...xs), Math.max(...xs)]
}

describe('the garment laid out', () => {
  it('has panels side by side with room between, from CF', () => {
    const flat = layOut(panels)
    panels.forEach((panel, i) => {
      const [left, right] = spanOf(panel)
      if (i === 0) expect(flat.offsets[0] + left).toBeCloseTo(0)
      if (i + 1 < panels.length)
        expect(flat.offsets[i + 1] + spanOf(panels[i + 1])[0]).toBeCloseTo(flat.offsets[i] + right + 20)
      else expect(flat.width).toBeCloseTo(flat.offsets[i] + right)
    })
    expect(flat.top).toBe(Math.max(...panels.flatMap((panel) => panel.outline.map((point) => point[1]))))
    expect(flat.bottom).toBeLessThan(0)
  })

  it('leaves room for the next version where that is wider', () => {
    const wider = panels.map((panel) => ({ ...panel, outline: panel.outline.map(([x, z]): Point => [x * 1.3, z]) }))
    expect(layOut(panels, wider).width).toBeGreaterThan(layOut(panels).width)
  })

  it('has joined panels edge to edge, touching and never over each other', () => {
    const flat = layOut(panels, [], [1])
    const [before, after] = panels
    const gaps = before.cb_edge
      .filter(([, z]) => z >= after.cf_edge[0][1] && z <= after.cf_edge[after.cf_edge.length - 1][1])
      .map(([x, z]) => edgeAt(after.cf_edge, z) + flat.offsets[1] - x - flat.offsets[0])
    expect(Math.min(...gaps)).toBeGreaterThan(-0.5)
    expect(Math.min(...gaps)).toBeLessThan(0.5)
  })
})

describe('an edge', () => {
  const edge: Point[] = [
    [0, -100],
    [10, 0],
    [4, 60],
  ]
  it('is read between its points, and held at its ends', () => {
    expect(edgeAt(edge, -50)).toBe(5)
    expect(edgeAt(edge, 0)).toBe(10)
    expect(edgeAt(edge, 30)).toBe(7)
    expect(edgeAt(edge, -200)).toBe(0)
  })

  it('moved is a strip to let out or take in, parted where the two cross', () => {
    const out = edge.map(([x, z]): Point => [x + 3, z])
    expect(strips(edge, out, 1).map((one) => one.kind)).toEqual(['let out'])
    expect(strips(edge, out, -1).map((one) => one.kind)).toEqual(['take in'])
    const crossing = edge.map(([x, z]): Point => [x + z / 20, z])
    expect(strips(edge, crossing, 1).map((one) => one.kind)).toEqual(['take in', 'let out'])
    expect(strips(edge, edge, 1)).toEqual([])
  })

  it('moved aside keeps its distance', () => {
    const straight: Point[] = [
      [5, 0],
      [5, 10],
      [5, 20],
    ]
    expect(aside(straight, 2).map(([x]) => x)).toEqual([7, 7, 7])
    expect(aside(straight, 0)).toBe(straight)
  })

  it('is drawn as a path', () => {
    expect(
      path([
        [0, 1],
        [2, 3.456],
      ]),
    ).toBe('M0.00 1.00L2.00 3.46')
    expect(path([[0, 0]], true)).toBe('M0.00 0.00Z')
  })
})

describe('marks', () => {
  it('are told once for each seam and kind, with the greatest amount and all its levels', () => {
    const marks = plan.proposal!.marks
    const told = marksBySeam(marks)
    expect(new Set(told.map((one) => `${one.seam} ${one.kind}`)).size).toBe(told.length)
    for (const one of told) {
      const same = marks.filter((mark) => mark.seam === one.seam && mark.kind === one.kind)
      expect(one.levels).toEqual(same.map((mark) => mark.level))
      const most = Math.max(...same.map((mark) => mark.cf_side_mm + mark.cb_side_mm))
      expect(one.cf_side_mm + one.cb_side_mm).toBeCloseTo(most)
    }
  })

  it('of notches stand on the stitch line, as many as there are', () => {
    for (const panel of panels) {
      const ticks = [...panel.cf_notches, ...panel.cb_notches].reduce((sum, notch) => sum + notch.marks, 0)
      expect(notchTicks(panel)).toHaveLength(ticks)
    }
  })
})

describe('what lies along the half', () => {
  it('has bone lengths that do not stand on each other', () => {
    const bones = plan.bones as Bone[]
    const offsets = layOut(panels).offsets
    const texts = footTexts(
      bones,
      offsets,
      (x) => x,
      (z) => -z,
      (bone) => String(bone.length_mm),
    )
    expect(Object.keys(texts).sort()).toEqual(bones.map((bone) => bone.channel).sort())
    const boxes = Object.values(texts).map(({ x, y, text }) => ({ x, half: text.length * 3.7, y }))
    const drawnAt = new Map<number, number[]>()
    for (const { x, y } of boxes) drawnAt.set(y, [...(drawnAt.get(y) ?? []), x])
    for (const xs of drawnAt.values())
      xs.sort((a, b) => a - b).forEach((x, i) => i && expect(x - xs[i - 1]).toBeGreaterThan(8))
  })

  it('has a waist tape that is as long as it was cut, less its turnings', () => {
    const tape = plan.waist_tape!
    const { from_cf_mm: from, to_cf_mm: to } = tape.right
    const sewn = tapeStretches(panels, from, to).reduce((sum, run) => sum + run.to - run.from, 0)
    expect(sewn).toBeCloseTo(to - from, 0)
    expect(Math.abs(tape.cuts_mm[0] - sewn - 40)).toBeLessThan(1.5)
  })

  it('has a comfort limit between its levels, and at their own', () => {
    const levels = plan.levels!
    for (const level of levels) expect(limitAt(levels, level.z_mm)).toBeCloseTo(level.comfort_kpa)
    const [a, b] = levels.filter((level) => ['waist', 'high_hip'].includes(level.name))
    const middle = limitAt(levels, (a.z_mm + b.z_mm) / 2)
    expect(middle).toBeCloseTo((a.comfort_kpa + b.comfort_kpa) / 2)
    expect(limitAt([], 0)).toBe(3)
  })
})

it('a finger reaches 22 px about a mark, and no further than half way to the next', () => {
  expect(
    reachOf([
      [0, 160],
      [0, 80],
      [0, 0],
    ]),
  ).toBe(22)
  expect(
    reachOf([
      [0, 65.25],
      [0, 46.5],
      [0, 27.75],
    ]),
  ).toBeCloseTo(9.375)
  expect(reachOf([[0, 10]])).toBe(22)
})
