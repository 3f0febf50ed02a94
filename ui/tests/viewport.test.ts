import type { Pair } from '../src/surface/viewport'
import { describe, expect, it } from 'vitest'
import { fitted, onPaper, pinched, RAIL, spreadOut, ticksOfRail, zoomed } from '../src/surface/viewport'

const SIZE = { width: 1000, height: 600 }

describe('the window over the paper', () => {
  const view = fitted(SIZE, 700, 110, -160, 18)
  it('shows all of the garment beside the rail', () => {
    expect(view.x).toBeGreaterThanOrEqual(RAIL + 18)
    expect(view.x + 700 * view.scale).toBeLessThanOrEqual(SIZE.width)
    expect(view.y - 110 * view.scale).toBeGreaterThan(0)
    expect(view.y + 160 * view.scale).toBeLessThan(SIZE.height)
  })
  it('is never nearer than real cloth deserves', () => expect(fitted(SIZE, 60, 20, -20, 18).scale).toBe(2.2))
  it('keeps the paper under the pointer when it comes nearer', () => {
    for (const by of [1.25, 0.8, 1.12]) {
      const at: [number, number] = [420, 310]
      const [x, z] = onPaper(view, at)
      const [there, high] = onPaper(zoomed(view, by, at), at)
      expect(there).toBeCloseTo(x)
      expect(high).toBeCloseTo(z)
    }
  })
  it('keeps under two fingers what lay under their middle', () => {
    const [before, after]: [Pair, Pair] = [
      [
        [300, 200],
        [400, 200],
      ],
      [
        [320, 150],
        [480, 270],
      ],
    ]
    const near = pinched(view, before, after)
    expect(near.scale / view.scale).toBeCloseTo(2)
    const [was, is] = [onPaper(view, [350, 200]), onPaper(near, [400, 210])]
    expect(is[0]).toBeCloseTo(was[0])
    expect(is[1]).toBeCloseTo(was[1])
    expect(pinched(view, before, before)).toEqual(view)
  })
  it('has a scale in any window, however small', () => {
    for (const width of [-40, 0, 1, 168, 200, 320, 834, 2560, NaN, Infinity])
      for (const height of [-10, 0, 30, 64, 400, 1600, NaN]) {
        const seen = fitted({ width, height }, 700, 110, -160, 96)
        expect(seen.scale).toBeGreaterThan(0)
        expect(seen.scale).toBeLessThanOrEqual(2.2)
        expect(ticksOfRail(seen, height, 'cm').length).toBeLessThanOrEqual(400)
        expect(zoomed(seen, 0.8, [0, 0]).scale).toBeGreaterThan(0)
      }
    for (const scale of [0, -1, NaN]) expect(ticksOfRail({ scale, x: 0, y: 300 }, 600, 'in')).toEqual([])
  })
  it('stops at its nearest and its furthest', () => {
    expect(zoomed(view, 1e6, [0, 0]).scale).toBe(8)
    expect(zoomed(view, 1e-6, [0, 0]).scale).toBe(0.4)
  })
})

describe('the rail', () => {
  const view = { scale: 2, x: 200, y: 300 }
  it('has its zero at the waist, long ticks every 5 cm with their number', () => {
    const ticks = ticksOfRail(view, 600, 'cm')
    expect(ticks.find((tick) => tick.text === '0')!.y).toBe(300)
    expect(ticks.find((tick) => tick.text === '5')!.y).toBe(300 - 50 * 2)
    expect(ticks.find((tick) => tick.text === '−10')!.y).toBe(300 + 100 * 2)
    expect(ticks.every((tick) => tick.y > 0 && tick.y <= 600)).toBe(true)
  })
  it('counts inches where she does', () => {
    const ticks = ticksOfRail(view, 600, 'in')
    expect(ticks.find((tick) => tick.text === '2')!.y).toBeCloseTo(300 - 2 * 25.4 * 2)
    expect(ticks.filter((tick) => tick.long).every((tick) => tick.text)).toBe(true)
  })
  it('keeps its labels apart', () => {
    expect(spreadOut([10, 20, 90], 37)).toEqual([10, 47, 90])
    expect(spreadOut([], 37)).toEqual([])
  })
})
