import { expect, it } from 'vitest'
import { type Hand, onStage, textOf } from './hand'

const kept = async (hand: Hand, name: string) => (await hand.sheet(await hand.build(name))).build.trims

it('beads that run out stop at a seam', async () => {
  const { hand } = await onStage('Lamplighter Regent', 'trims')
  await hand.see('Nothing on it')
  await hand.press('+ along a line')
  await hand.write('What it is', 'jet beads', false)
  await hand.write('A piece every, mm', 'none', false)
  await hand.press('Put it on')
  await hand.see('none')
  await hand.reload()
  await hand.press('+ along a line')
  await hand.see('As you typed it')
  expect(await hand.value('What it is')).toEqual('jet beads')
  await hand.write('A piece every, mm', '14', false)
  await hand.write('Pieces at hand', '40', false)
  await hand.press('Put it on')
  await hand.see('pieces are lacking')
  await hand.see('Stop at the seam')
  await hand.press('Do that')
  await hand.gone('pieces are lacking')
  const [beads] = (await kept(hand, 'Lamplighter Regent')).along
  expect(beads.line.ends_mm).toBeGreaterThan(100)
  await hand.press('Take it off')
  await hand.see('Nothing on it')
})

it('a frill follows from what is at hand', async () => {
  const { hand } = await onStage('Lamplighter Regent', 'trims')
  await hand.press('+ a frill or skirt')
  await hand.write('Cloth at hand, cm', '6', false)
  await hand.press('Put it on')
  await hand.see('does not even go once')
  await hand.write('Cloth at hand, cm', '30', false)
  await hand.press('Put it on')
  await hand.see('from what is at hand')
  expect((await kept(hand, 'Lamplighter Regent')).hanging[0].at_hand_mm).toEqual(300)
})

it('a skirt that slips is held by a band of its own', async () => {
  const { hand } = await onStage('Beekeeper General', 'trims')
  await hand.see('It slips')
  await hand.press('do that')
  await hand.gone('It slips')
  expect((await kept(hand, 'Beekeeper General')).hanging[0].own_band).toBeTruthy()
})

it('a waist stay is put in and taken out again', async () => {
  const { hand, line } = await onStage('Beekeeper General', 'trims')
  await hand.see('It slips')
  const held = (await hand.sheet(line)).plan.trims.load.friction_n
  const stays = hand.all('[data-load] li').find((item) => textOf(item).includes('waist stay'))
  await hand.click(stays!.querySelector('button')!)
  await hand.see('With a waist stay.')
  const stayed = (await hand.sheet(line)).plan
  expect(Math.abs(stayed.trims.load.friction_n - (held + 0.3 * 2 * Math.PI * 20))).toBeLessThan(0.1)
  await hand.press('take it out')
  await hand.gone('With a waist stay.')
  expect(Math.abs((await hand.sheet(line)).plan.trims.load.friction_n - held)).toBeLessThan(0.01)
})

it('a strap waits for the fitting', async () => {
  const { hand } = await onStage('Lamplighter Regent', 'trims')
  await hand.press('+ a strap')
  await hand.press('Put it on')
  await hand.see('how high the shoulder lies')
  await hand.write('Over the shoulder, by tape, cm', '38', false)
  await hand.press('Put it on')
  await hand.see('The arm goes up to')
  await hand.stage('Lamplighter Regent', 'make')
  await hand.press('Put on: strap')
  await hand.see('Try it on with its bones')
})

it('a trim line of the picture becomes one on the garment', async () => {
  const { hand } = await onStage('Lamplighter Regent', 'trims')
  await hand.see('On the picture')
  await hand.press('Make it one on the garment')
  await hand.see('as on “Act two, by the lamps”')
  const [line] = (await kept(hand, 'Lamplighter Regent')).along
  expect(line.line.on).toEqual('drawn')
})
