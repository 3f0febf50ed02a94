import { expect, it } from 'vitest'
import { length } from '../../src/parts/words'
import { onStage, textOf, workshop } from './hand'

it('a girth is read three times and what disagrees is told', async () => {
  const { hand } = await onStage('Underclock mender', 'wearer')
  await hand.press('Another reading of High hip')
  await hand.write('High hip girth, reading 2', '80.9')
  await hand.becomes(async () => await hand.value('High hip girth, reading 2'), '80.9')
  await hand.press('High hip measured again')
  await hand.write('High hip girth, reading 3', '83.4')
  await hand.see('The readings of the high hip differ by 2.9 cm: measure it again.')
  await hand.write('High hip girth, reading 3', '80.7')
  await hand.gone('differ by')
})

it('another kind brings its levels and its draft', async () => {
  const hand = await workshop()
  const made = await hand.post('/api/builds', { name: 'Kelp singer', kind: 'overbust corset' })
  await hand.stage('Kelp singer', 'wearer')
  for (const [level, girth] of [
    ['Bust', '92'],
    ['Underbust', '78'],
    ['Waist', '71'],
    ['Hip', '97'],
  ]) {
    await hand.write(`${level} girth`, girth)
    await hand.field(`${level} girth, reading 1`)
  }
  await hand.press('See the pattern')
  await hand.see('What the overbust corset does')
  await hand.see('High bust')
  expect((await hand.sheet(made)).build.draft.panels).toEqual(6)
})

it('a newer measuring says what it changes and is taken', async () => {
  const { hand, line } = await onStage('Lamplighter Regent', 'wearer')
  await hand.see('This build rests on the older measures.')
  await hand.press('What would change?')
  await hand.see('to sew')
  await hand.press('Take these measures')
  await hand.gone('This build rests on the older measures.')
  await hand.becomes(async () => await hand.value('Waist girth, reading 1'), '68.9')
  await hand.go('/')
  await hand.see('Wearers')
  expect(hand.text()).not.toContain('on older measures')
  expect((await hand.sheet(line)).newer).toBe(null)
})

it('measures are written down in the book and used in another build', async () => {
  const { hand } = await onStage('Brass Heron', 'wearer')
  await hand.press('Write down in the book')
  await hand.see('From the book: Isaura, measured')
  const made = await hand.post('/api/builds', { name: 'Reed piper' })
  await hand.go(`/build/${made.id}/wearer`)
  await hand.press('From the book')
  await hand.press('Isaura')
  await hand.press('Take these measures')
  await hand.becomes(async () => await hand.value('Waist girth, reading 1'), '82.0')
  await hand.go('/')
  await hand.press('More for Isaura')
  await hand.press('Take out of the book')
  await hand.see('is out of the book')
  await hand.press('Undo')
  await hand.wait(() => hand.all('.wearer').some((entry) => textOf(entry).includes('Reed piper')))
})

it('a garment of hers that fits is told and taken out again', async () => {
  const { hand, line } = await onStage('Lamplighter Regent', 'wearer')
  await hand.press('+ one that she wears')
  await hand.write('Which garment', 'the green one')
  await hand.write('Waist, girth of the garment', '5')
  await hand.press('Keep it')
  await hand.see("can't be right for the girth of a garment")
  await hand.write('Waist, girth of the garment', '66')
  await hand.press('Keep it')
  await hand.see('waist 66.0 cm, right')
  expect((await hand.sheet(line)).build.garments[0].levels[0].girth_mm).toEqual(660)
  await hand.click("[aria-label='Take out garment 1']")
  await hand.gone('waist 66.0 cm, right')
})

it('measures are read from a sheet in any unit and a bad row is told by number', async () => {
  const { hand, line } = await onStage('Lamplighter Regent', 'wearer')
  const before = (await hand.sheet(line)).build.wearer
  await hand.press('As a sheet')
  const sheet = 'level;unit;girth;second\nWaist;in;27 3/4;28\nUnderbust;cm;7.9;\nhips;;95,8 cm;\n'
  await hand.chooseFile('CSV of measures', 'measures.csv', sheet)
  await hand.see('Waist: 70.5 cm, 71.1 cm')
  await hand.see("7.9 cm can't be right")
  await hand.press('Take these 2')
  await hand.becomes(async () => await hand.value('Waist girth, reading 2'), '71.1')
  const after = (await hand.sheet(line)).build.wearer
  expect(after.hip.readings_mm[0]).toBeCloseTo(958)
  expect(after.underbust).toEqual(before.underbust)
})

it('a girth that cannot be stays as written with its sentence', async () => {
  const { hand, line } = await onStage('Underclock mender', 'wearer')
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

it('a hip smaller than the ribs is something to check', async () => {
  const { hand } = await onStage('Lamplighter Regent', 'wearer')
  await hand.write('Hip girth, reading 1', '72')
  await hand.see('Check the hip: 72.0 cm is unusual')
})

it('a height out of order is told where it is', async () => {
  const { hand } = await onStage('Lamplighter Regent', 'wearer')
  await hand.write('Ribs, height at the side', '12')
  await hand.see('has to lie further from the waist')
})

it('a dress stand stands beside the wearer', async () => {
  const { hand, line } = await onStage('Lamplighter Regent', 'wearer')
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
