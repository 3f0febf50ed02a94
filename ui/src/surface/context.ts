import { inject, provide, type ComputedRef, type InjectionKey } from 'vue'
import type { Bone, LaidPanel, Plan, Point } from '../api/types'
import { hardware } from '../parts/words'
import { useOpenBuild } from '../stores/openBuild'
import { useSettings } from '../stores/settings'
import { path, type layOut } from './flat'

/** What every layer of the work surface draws with. */
export interface Surface {
  plan: ComputedRef<Plan>
  panels: ComputedRef<LaidPanel[]>
  bones: ComputedRef<Bone[]>
  unboned: ComputedRef<NonNullable<Plan['unboned']>>
  /** Which half of the garment this is, and whether it lies mirrored, CF to the right. */
  half: ComputedRef<'right' | 'left'>
  mirrored: ComputedRef<boolean>
  flat: ComputedRef<ReturnType<typeof layOut>>
  scale: ComputedRef<number>
  picked: ComputedRef<string | undefined>
  pick: (key: string) => void
  sx: (x: number) => number
  sz: (z: number) => number
  /** Points of panel i in the window. */
  place: (i: number, points: Point[]) => Point[]
  /** A line of panel i as an SVG path. */
  line: (i: number, points: Point[], closed?: boolean) => string
}

/** Points and lines of panels in the window. */
export function placing(
  flat: ComputedRef<ReturnType<typeof layOut>>,
  sx: (x: number) => number,
  sz: (z: number) => number,
) {
  // both are linear, and a panel has hundreds of points: they are asked twice, and not for each
  const place = (i: number, points: Point[]) => {
    const [x0, z0] = [sx(flat.value.offsets[i]), sz(0)]
    const [along, up] = [sx(flat.value.offsets[i] + 1) - x0, sz(1) - z0]
    return points.map(([x, z]): Point => [x0 + along * x, z0 + up * z])
  }
  const line = (i: number, points: Point[], closed = false) => path(place(i, points), closed)
  return { place, line }
}

const KEY: InjectionKey<Surface> = Symbol('surface')

export const provideSurface = (surface: Surface) => provide(KEY, surface)

export function useSurface(): Surface {
  const found = inject(KEY)
  if (!found) throw new Error('a layer lies on a work surface')
  return found
}

/** How a height is said: so much above or below the line that heights are taken from. */
export function useHigh() {
  const settings = useSettings()
  const openBuild = useOpenBuild()
  return (z: number) => `${hardware(Math.abs(z), settings.unit)} ${z < 0 ? 'below' : 'above'} the ${openBuild.zero}`
}
