import { expect, it } from 'vitest'
import { length, LEVEL_LABELS } from '../../src/parts/words'
import { onStage, textOf, workshop } from './hand'

it('every length is shown as the core shows it', async () => {
  const { hand, line } = await onStage('Lamplighter Regent', 'wearer')
  for (const unit of ['in', 'cm'] as const) {
    await hand.press(unit)
    const plan = (await hand.sheet(line)).plan
    for (const level of plan.body.levels) {
      await hand.see(length(level.girth_mm, unit))
    }
    for (const level of plan.body.levels) {
      if (level.name === 'waist') continue
      expect(await hand.value(`${LEVEL_LABELS[level.name]}, height at the side`)).toBe(
        length(Math.abs(level.side_mm), unit, { bare: true }),
      )
    }
  }
  await hand.go(`/build/${line.id}/bones`)
  await hand.press('in') // while the page still comes
  await hand.see('cut the bone, in')
  const { plan } = await hand.sheet(line)
  for (const bone of plan.bones) {
    const css = `[data-bone='${bone.channel}']`
    const wanted = length(bone.length_mm, 'in', { hardware: true, bare: true })
    await hand.becomes(async () => textOf(await hand.find(css)), wanted)
  }
})

it('a build that is not there says so', async () => {
  const hand = await workshop()
  await hand.go('/build/nothing/pattern')
  await hand.see("This build can't be opened")
  await hand.press('To the workshop')
  await hand.see('On the table')
})
