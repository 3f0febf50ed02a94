import { expect, it } from 'vitest'
import { length, LEVEL_LABELS } from '../../src/parts/words'
import { recorded } from '../recorded'
import { textOf, workshop } from './hand'

it('a girth that cannot be stays as written with its sentence', async () => {
  const hand = await workshop()
  const line = await hand.stage('Underclock mender', 'wearer')
  const label = 'High hip girth, reading 1'
  for (const [written, says] of [
    ['seventy', 'is not a length'],
    ['70 cm 2 in', 'two units'],
    ['7', '40.0 to 200.0 cm'],
    ['-70', 'below zero'],
  ]) {
    await hand.write(label, written)
    await hand.see(says)
    const box = await hand.field(label)
    expect(box.value).toEqual(written)
    expect(box.getAttribute('aria-invalid')).toEqual('true')
    await hand.keys(box, 'Escape')
    await hand.gone(says)
    expect(await hand.value(label)).toEqual('80.5')
  }
  expect((await hand.build('Underclock mender')).revision).toEqual(line.revision)
})

it('cautions and limits stand at their fields', async () => {
  const hand = await workshop()
  await hand.stage('Lamplighter Regent', 'pattern')
  await hand.write('by, of the waist', '21')
  await hand.see('Stop and loosen at pain, numbness or breathlessness')
  await hand.press('Plan 20 % instead?')
  await hand.see('waist reduced by')
  await hand.press('Leave it')
  await hand.write('by, of the waist', '8')
  await hand.gone('Stop and loosen')
  await hand.write('gap wanted', '250')
  await hand.see("can't be right")
  await hand.keys(await hand.field('gap wanted'), 'Escape')
  await hand.write('CF', '-3 cm')
  await hand.see('is below zero')
})

it('a hip smaller than the ribs is something to check', async () => {
  const hand = await workshop()
  await hand.stage('Lamplighter Regent', 'wearer')
  await hand.write('Hip girth, reading 1', '72')
  await hand.see('Check the hip: 72.0 cm is unusual')
})

it('a height out of order is told where it is', async () => {
  const hand = await workshop()
  await hand.stage('Lamplighter Regent', 'wearer')
  await hand.write('Ribs, height at the side', '12')
  await hand.see('has to lie further from the waist')
})

it('a mend shows its effect before it is made', async () => {
  const hand = await workshop()
  const line = await hand.stage('Brass Heron', 'bones')
  await hand.see('With synthetic 7 × 1.5 mm at the lacing edge the gap bows')
  await hand.press('Flat steel 12 × 1.0 mm at the lacing edge?')
  await hand.see('bow')
  const before = await hand.sheet(line)
  expect(before.build.bones.lacing_edge).toEqual('synthetic_7')
  await hand.press('Flat steel 12 × 1.0 mm at the lacing edge')
  await hand.gone('the gap bows')
})

it('the lacing is walked hole by hole and weak holes are told', async () => {
  const hand = await workshop()
  const line = await hand.stage('Lamplighter Regent', 'back')
  const plan = (await hand.sheet(line)).plan
  await hand.see(plan.walk[0].sentence)
  const walk = await hand.find("[aria-label='Lacing, hole by hole']")
  await hand.press('Next')
  await hand.see(plan.walk[1].sentence)
  await hand.keys(walk, 'End')
  await hand.see(plan.walk.at(-1)!.sentence)
  expect(hand.all('.walk path.lace').length).toEqual(plan.walk.length - 1)
  await hand.keys(walk, 'ArrowLeft')
  await hand.see(plan.walk.at(-2)!.sentence)
  await hand.see(`${plan.holes.rows[0].carries_n.toFixed(1)} N`)
  await hand.press('Leave it out')
  await hand.see('Without a waist tape the cloth itself carries the pull')
  await hand.press('A waist tape')
  await hand.see('for each half, from')
})

it('every length is shown as the core shows it', async () => {
  const hand = await workshop()
  const line = await hand.stage('Lamplighter Regent', 'wearer')
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

it('a change made elsewhere is not written over', async () => {
  const hand = await workshop()
  const line = await hand.stage('Lamplighter Regent', 'pattern')
  await hand.see('What the longline corset does')
  await hand.wait(async () => await hand.value('gap wanted'))
  await hand.change(line, { at: 'target.gap_mm', value: '42 mm' })
  await hand.press('firm')
  await hand.see('changed elsewhere meanwhile')
  await hand.see('Gap wanted 42 mm')
  await hand.becomes(() => hand.value('gap wanted'), '42')
})

it('no busk fits a short front and says what works', async () => {
  const hand = await workshop()
  const line = await hand.post('/api/builds', { name: 'Tidewarden' })
  const { underbust, ribs, waist, high_hip, hip } = recorded.builds.measured.build.wearer
  const measures = Object.entries({ underbust, ribs, waist, high_hip, hip })
  await hand.change(line, ...measures.map(([name, value]) => ({ at: `wearer.${name}`, value })))
  await hand.stage('Tidewarden', 'pattern')
  await hand.write('CF', '6')
  const hem = hand.all('fieldset').find((box) => textOf(box).startsWith('Hem'))
  await hand.write(hem!.querySelector('input')!, '9')
  await hand.becomes(async () => hem!.querySelector('input')!.value, '9.0')
  await hand.go(`/build/${line.id}/front`)
  await hand.see('No busk')
  await hand.see('the shortest sold is 165 mm')
})

it('a fitting without three heights keeps what was written', async () => {
  const hand = await workshop()
  await hand.stage('Brass Heron', 'mockups')
  await hand.press('Log a fitting')
  await hand.write('Gap 1', '48')
  await hand.write('Gap 3', '-5')
  await hand.press('Log fitting 1')
  await hand.see('below zero')
  await hand.write('Gap 3', '51')
  await hand.press('Log fitting 1')
  await hand.see('three heights at least')
  expect(await hand.value('Gap 1')).toEqual('48')
  await hand.write('Gap 5', '50')
  await hand.press('Log fitting 1')
  await hand.see('Fitting 1, version 1')
})

it('versions are looked at named and gone back to', async () => {
  const hand = await workshop()
  const line = await hand.stage('Lamplighter Regent', 'mockups')
  await hand.click('ol li:first-child button')
  await hand.see('From version 1 to 2')
  expect(hand.all('path.behind').length).toEqual(6)
  expect(textOf(await hand.find("[aria-label='Girths compared']"))).toContain('High hip')
  await hand.write('Name it', 'first calico')
  await hand.wait(async () => textOf(await hand.find('ol .picked')).includes('first calico'))
  await hand.press('Go back to it, as version 3')
  await hand.see('Version 3 is ready to try on')
  const sheet = await hand.sheet(line)
  expect(sheet.build.versions[2].reason).toEqual('back to version 1')
})

it('a dress stand stands beside the wearer', async () => {
  const hand = await workshop()
  const line = await hand.stage('Lamplighter Regent', 'wearer')
  const padding = async () => {
    const stand = (await hand.sheet(line)).plan.stand
    return stand.find((level) => level.name === 'high_hip')!.change_mm
  }
  const out = `pin ${length(-(await padding()), 'cm')} out`
  await hand.see(out)
  await hand.see('The grey stand ends 14.0 cm below the waist')
  const box = hand.all('.stand .field').find((field) => textOf(field).startsWith('High hip'))
  await hand.write(box!.querySelector('input')!, '85')
  await hand.gone(out)
  expect(await padding()).toBeGreaterThan(5)
  await hand.see(`pad by ${length(await padding(), 'cm')}, a layer of`)
})

it('a taped pattern is typed in', async () => {
  const hand = await workshop()
  const line = await hand.stage('Brass Heron', 'pattern')
  await hand.press('Start from another pattern')
  await hand.press('Type in the widths of a pattern you have')
  await hand.see('Stitch line to stitch line')
  const rows = {
    Underbust: ['6.8', '7.6', '7.6', '7', '6.6', '5'],
    Waist: ['6', '6.2', '6', '5.6', '5.6', '4.8'],
    'High hip': ['7.6', '8.6', '8.4', '8', '7.4', '5.8'],
  }
  for (const [level, widths] of Object.entries(rows)) {
    for (const [i, width] of widths.entries()) {
      await hand.write(`${level}, panel ${i + 1}`, width)
    }
  }
  await hand.write('Waist, panel 2', '6 cm 2 in')
  await hand.press('Make it version 2')
  await hand.see('Waist, panel 2: “6 cm 2 in” has two units')
  await hand.write('Waist, panel 2', '6,2')
  await hand.press('Make it version 2')
  await hand.see('Version 2, widths typed in')
  const sheet = await hand.sheet(line)
  const waist = sheet.plan.levels.find((level) => level.name === 'waist')!
  expect(Math.abs(waist.closed_mm - 2 * 342)).toBeLessThan(0.3)
})

it('a build that is not there says so', async () => {
  const hand = await workshop()
  await hand.go('/build/nothing/pattern')
  await hand.see("This build can't be opened")
  await hand.press('To the workshop')
  await hand.see('On the table')
})
