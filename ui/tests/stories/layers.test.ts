import { expect, it } from 'vitest'
import { type Hand, onStage } from './hand'

const REGENT = 'Lamplighter Regent'
const plies = async (hand: Hand, line: { id: string }) =>
  (await hand.sheet(line)).build.layers.plies.map((ply) => [ply.role, ply.cloth])
const minutes = (plan: { layers: { minutes: Record<string, number> } }) =>
  Object.values(plan.layers.minutes).reduce((sum, each) => sum + each, 0)

it('a method is chosen beside the others and gap minutes and plies follow', async () => {
  const { hand, line } = await onStage(REGENT, 'layers')
  await hand.see('From the outside in')
  expect(hand.all('g[data-ply]').length).toBe(0)
  await hand.click("[data-ply-row='0']")
  await hand.find('g[data-ply=lining]')
  await hand.press('take it out')
  await hand.becomes(
    async () => await plies(hand, line),
    [
      ['strength', 'coutil'],
      ['fashion', 'sateen'],
    ],
  )
  const before = (await hand.sheet(line)).plan
  await hand.press('Methods side by side')
  await hand.see('+ lining')
  await hand.click("[data-method='floating lining'] button")
  await hand.see('3 plies')
  const after = (await hand.sheet(line)).plan
  expect((await plies(hand, line))[0]).toEqual(['lining', 'lawn'])
  expect(after.layers.plies[0].mounted).toEqual('floating')
  expect(after.final.take_up_mm).toBeGreaterThan(before.final.take_up_mm)
  expect(after.gap_shape.mean_mm).toBeGreaterThan(before.gap_shape.mean_mm)
  expect(minutes(after)).toBeGreaterThan(minutes(before))
  await hand.see('The lining can creep')
  await hand.click("button[aria-label^='Undo']")
  await hand.see('2 plies')
})

it('a lace in one piece is said to pucker and cut by panels', async () => {
  const { hand, line } = await onStage(REGENT, 'layers')
  await hand.press('+ an overlay')
  await hand.click("[data-ply-row='3']")
  await hand.choose('Mounted', 'overlaid in one piece')
  await hand.see('Corded lace in one piece puckers')
  await hand.find("g[data-ply='overlay']")
  await hand.press('Cut corded lace by panels?')
  await hand.press('Cut corded lace by panels')
  await hand.gone('in one piece puckers')
  expect((await hand.sheet(line)).build.layers.plies[3].mounted).toEqual('overlaid by panels')
})

it('a cloth of her own is kept and what cannot be is said at it', async () => {
  const { hand, line } = await onStage(REGENT, 'layers')
  await hand.click("[data-ply-row='2']")
  await hand.press('A cloth of your own …')
  await hand.write('What it is called', 'moth damask')
  await hand.write('wide, cm', '2')
  await hand.press('Keep it, and take it')
  await hand.find("form[aria-label='A cloth of your own'] p.bad[role=alert]")
  expect((await plies(hand, line))[2]).toEqual(['fashion', 'sateen'])
  await hand.write('wide, cm', '120')
  await hand.write('thick, mm', '0.9')
  await hand.press('Keep it, and take it')
  await hand.see('moth damask')
  await hand.becomes(async () => (await plies(hand, line))[2], ['fashion', 'moth_damask'])
  const kept = (await hand.sheet(line)).build.catalogue.cloths.moth_damask
  expect([kept.width_mm, kept.thickness_mm, kept.mass_g_m2]).toEqual([1200, 0.9, 150])
})

it('a ply lies on the panels that are ticked and on one at least', async () => {
  const { hand, line } = await onStage(REGENT, 'layers')
  await hand.press('+ an interlining')
  await hand.click("[data-ply-row='2']")
  const boxes = hand.all('fieldset input[type=checkbox]')
  expect(boxes.length).toEqual(6)
  for (let left = 5; left > 0; left--) {
    await hand.click(hand.all('fieldset input[type=checkbox]')[left])
    await hand.becomes(async () => (await hand.sheet(line)).plan.layers.plies[2].panels.length, left)
    await hand.becomes(() => hand.all('fieldset input:checked').length, left)
  }
  await hand.click(hand.all('fieldset input[type=checkbox]')[0])
  await hand.see('A ply lies on one panel at least')
  expect((await hand.sheet(line)).build.layers.plies[2].panels).toEqual([1])
})
