import { expect, it } from 'vitest'
import { onStage, textOf } from './hand'

it('answers of the brief drive later choices visibly', async () => {
  const { hand, line } = await onStage('Beekeeper General', 'brief')
  await hand.see('Because she gets in alone')
  await hand.press('bend')
  await hand.see('Because she bends and dances in it')
  await hand.press('reduction')
  await hand.see('Because it reduces')
  await hand.see('Because it is worn 7 hours')
  await hand.press('Make it so')
  await hand.becomes(async () => (await hand.sheet(line)).build.bones.lacing_edge, 'flat_12')
  await hand.press('support')
  await hand.see('Because it only supports')
})

it('a picture is read and a way picked', async () => {
  const { hand } = await onStage('Lamplighter Regent', 'brief')
  await hand.press('As drawn?')
  await hand.see('The drawn waist is')
  await hand.see('Within the limits')
  const within = textOf(await hand.find("[data-way='within the limits']"))
  await hand.click("[data-way='within the limits'] .ask")
  const line = await hand.build('Lamplighter Regent')
  await hand.wait(async () =>
    within.includes(`${(await hand.sheet(line)).build.target.reduction_percent.toFixed(1)} % less`),
  )
  expect((await hand.sheet(line)).build.target.job).toEqual('reduction_share')
  await hand.see('more round her hip')
  await hand.find("[aria-label='Her outline'] .padded polygon")
  const [pad] = (await hand.sheet(line)).build.pads
  expect([pad.level, pad.place]).toEqual(['hip', 'sides'])
  const [made] = (await hand.sheet(line)).plan.pads
  expect(
    Math.abs((await hand.sheet(line)).plan.levels.find((level) => level.name === 'hip')!.padded_mm - made.girth_mm),
  ).toBeLessThan(0.01)
  await hand.write('How thick', '200')
  await hand.see("can't be right for the thickness of padding")
  await hand.write('How thick', '25')
  await hand.becomes(async () => (await hand.sheet(line)).build.pads[0].thick_mm, 25)
  await hand.gone('It is aimed for.')
  await hand.press('take it off: Hip')
  await hand.see('None.')
})
