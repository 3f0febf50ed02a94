import { describe, expect, it } from 'vitest'
import { computed, effectScope, nextTick, ref } from 'vue'
import type { LaidPanel, Point } from '../../src/api/types'
import { placing } from '../../src/surface/context'
import { layOut } from '../../src/surface/flat'

// Points of panels in the window: placed at once, they lie where each would be placed by itself.
const panel = (x: number): LaidPanel =>
  ({
    number: 1,
    outline: [
      [x, -100],
      [x + 80, -100],
      [x + 70, 0],
      [x + 90, 120],
      [x, 120],
    ],
    cf_edge: [
      [x, -100],
      [x, 120],
    ],
    cb_edge: [
      [x + 80, -100],
      [x + 90, 120],
    ],
    waist: [
      [x, 0],
      [x + 70, 0],
    ],
  }) as unknown as LaidPanel

describe('points of a panel in the window', () => {
  const flat = computed(() => layOut([panel(0), panel(5)], undefined, []))
  const points: Point[] = [
    [0, 0],
    [12.5, -87.25],
    [80, 120],
  ]
  for (const [name, sx] of [
    ['as it lies', (x: number) => 40 + 1.7 * x],
    ['mirrored beside CF', (x: number) => 40 - 1.7 * (x + 40)],
  ] as const) {
    it(name, () => {
      const sz = (z: number) => 300 - 1.7 * z
      const { place, line } = placing(flat, sx, sz)
      for (const i of [0, 1]) {
        const each = points.map(([x, z]): Point => [sx(x + flat.value.offsets[i]), sz(z)])
        place(i, points).forEach(([x, z], k) => {
          expect(x).toBeCloseTo(each[k][0], 9)
          expect(z).toBeCloseTo(each[k][1], 9)
        })
      }
      expect(line(1, points, true).startsWith('M')).toBe(true)
      expect(line(1, points, true).endsWith('Z')).toBe(true)
    })
  }

  it('moves with the window', async () => {
    const view = ref({ scale: 1, x: 0 })
    const scope = effectScope()
    await scope.run(async () => {
      const { place } = placing(
        flat,
        (x) => view.value.x + x * view.value.scale,
        (z) => -z,
      )
      const where = computed(() => place(0, points))
      const before = where.value[2]
      view.value = { scale: 2, x: 10 }
      await nextTick()
      expect(where.value[2][0]).toBeCloseTo(2 * before[0] + 10, 9)
    })
    scope.stop()
  })
})
