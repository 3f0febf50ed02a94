import { describe, expect, it } from 'vitest'
import PickedThing from '../../src/parts/PickedThing.vue'
import { hardware } from '../../src/parts/words'
import { opened, recorded } from '../recorded'

const { opening, holes } = recorded.builds.measured.plan

describe('what is picked on the garment', () => {
  it.each([
    ['above', opening?.marks_z_mm.findIndex((z) => z > 5) ?? -1],
    ['below', opening?.marks_z_mm.findIndex((z) => z < -5) ?? -1],
  ])('is told %s the waist where it lies there: a stud', async (side, i) => {
    expect(i).toBeGreaterThanOrEqual(0)
    const z = opening?.marks_z_mm[i] ?? 0
    const { page } = await opened(PickedThing, 'measured', { props: { picked: `stud ${i + 1}` } })
    expect(page.get('h2').text()).toBe(`Stud ${i + 1}`)
    expect(page.text()).toContain(`${hardware(Math.abs(z), 'cm')} ${side} the waist`)
    expect(page.text()).toContain(`${hardware((opening?.opens_high_mm ?? 0) - z, 'cm')} below the top stitch line`)
    page.unmount()
  })

  it.each([
    ['above', holes?.rows.findIndex((row) => row.z_mm > 5) ?? -1],
    ['below', holes?.rows.findIndex((row) => row.z_mm < -5) ?? -1],
  ])('is told %s the waist where it lies there: a row of holes', async (side, i) => {
    expect(i).toBeGreaterThanOrEqual(0)
    const { page } = await opened(PickedThing, 'measured', { props: { picked: `row ${i + 1}` } })
    expect(page.text()).toContain(`${hardware(Math.abs(holes?.rows[i].z_mm ?? 0), 'cm')} ${side} the waist`)
    page.unmount()
  })
})
