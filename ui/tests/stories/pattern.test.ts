import type { Compared, Readiness } from '../../src/api/types'
import { expect, it } from 'vitest'
import { type Hand, textOf, workshop } from './hand'

const closed = async (hand: Hand, line: { id: string }, level = 'waist') =>
  (await hand.sheet(line)).plan.levels.find((shown) => shown.name === level)!.closed_mm

it('a girth is read three times and what disagrees is told', async () => {
  const hand = await workshop()
  await hand.stage('Underclock mender', 'wearer')
  await hand.press('Another reading of High hip')
  await hand.write('High hip girth, reading 2', '80.9')
  await hand.becomes(async () => await hand.value('High hip girth, reading 2'), '80.9')
  await hand.press('High hip measured again')
  await hand.write('High hip girth, reading 3', '83.4')
  await hand.see('The readings of the high hip differ by 2.9 cm: measure it again.')
  await hand.write('High hip girth, reading 3', '80.7')
  await hand.gone('differ by')
})

it('answers of the brief drive later choices visibly', async () => {
  const hand = await workshop()
  const line = await hand.stage('Beekeeper General', 'brief')
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
  const hand = await workshop()
  const line = await hand.stage('Lamplighter Regent', 'wearer')
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
  const hand = await workshop()
  await hand.stage('Brass Heron', 'wearer')
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
  await hand.wait(() => hand.all('.wearer').some((one) => textOf(one).includes('Reed piper')))
})

it('a seam is let out a gusset let in and limits are told', async () => {
  const hand = await workshop()
  const line = await hand.stage('Brass Heron', 'pattern')
  const before = await closed(hand, line)
  await hand.click('[data-seam="3"]')
  await hand.see('Seam 3·4')
  await hand.write('Seam 3·4 at the waist, by', '2')
  await hand.wait(async () => Math.abs((await closed(hand, line)) - (before + 8)) < 0.01)
  await hand.write('Seam 3·4 at the waist, by', '-55')
  await hand.see('mm at the least')
  await hand.click('[data-seam="2"]')
  await hand.see('Seam 2·3')
  await hand.write('Gusset width', '4', false)
  await hand.write('Gusset depth', '9', false)
  await hand.press('Let a gusset in')
  await hand.see('4.0 cm wide, 9.0 cm deep, from the hem')
  await hand.find('.piece')
  const piece = (await hand.sheet(line)).plan.pattern.pieces[0]
  expect(Math.abs(piece.edges_mm['open end'] - 40)).toBeLessThan(0.6)
  await hand.write('Gusset width', '4', false)
  await hand.write('Gusset depth', '9', false)
  await hand.press('Let a gusset in')
  await hand.see('has a gusset from the hem already')
})

it('a panel is typed split and halves parted', async () => {
  const hand = await workshop()
  const line = await hand.stage('Brass Heron', 'pattern')
  await hand.click('[data-panel="2"]')
  await hand.write('Panel 2, width at the waist', '6,5')
  await hand.becomes(async () => (await hand.sheet(line)).plan.pattern.panels[1].widths_mm.waist, 65)
  await hand.press('Cut panel 2 in two')
  await hand.becomes(() => hand.all('path.panel').length, 8)
  await hand.click('[data-seam="3"]')
  await hand.press('left')
  await hand.write('Seam 3·4 at the waist, by', '3')
  await hand.see('left half, CF → CB')
  const pattern = (await hand.sheet(line)).plan.pattern
  expect(Math.abs(pattern.left_panels[2].widths_mm.waist - (pattern.panels[2].widths_mm.waist + 3))).toBeLessThan(0.01)
})

it('a level is picked and its widths typed', async () => {
  const hand = await workshop()
  const line = await hand.stage('Brass Heron', 'pattern')
  await hand.click('[data-level="waist"]')
  await hand.see('Width of each panel')
  const before = await closed(hand, line)
  await hand.write('Width of panel 3 at the waist', '5,8')
  const wide = async () => {
    return (await hand.sheet(line)).plan.pattern.panels[2].widths_mm.waist
  }
  await hand.wait(async () => Math.abs((await wide()) - 58) < 0.05)
  expect(await closed(hand, line)).not.toEqual(before)
})

it('outlines are traced from a drawing and a wrong turn is named', async () => {
  const hand = await workshop()
  const line = await hand.stage('Brass Heron', 'pattern')
  const svg = await (await fetch(`/api/builds/${line.id}/pattern.svg`)).text()
  const all = () => Promise.all(['underbust', 'ribs', 'waist'].map((level) => closed(hand, line, level)))
  const before = await all()
  await hand.press('Start from another pattern')
  await hand.press('Trace a drawing')
  await hand.see('closed outlines')
  await hand.chooseFile('Drawing', 'bad.svg', '<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>')
  await hand.see('holds a script')
  await hand.chooseFile('Drawing', 'heron.svg', svg)
  await hand.see('In front of the side seam')
  await hand.press('Turn piece 3 upside down')
  await hand.see('Panel 3 fits if it is upside down.')
  await hand.press('Turn it')
  await hand.gone('fits if it is')
  await hand.press('Make it version 2')
  await hand.see('Version 2, traced from heron.svg')
  for (const [i, mm] of (await all()).entries()) expect(Math.abs(mm - before[i])).toBeLessThan(0.5)
})

it('an earlier build is refitted to another wearer', async () => {
  const hand = await workshop()
  const line = await hand.stage('Brass Heron', 'pattern')
  await hand.press('Start from another pattern')
  await hand.press('Refit an earlier build')
  await hand.see("Its levels move to where this wearer's are")
  await hand.press('Refit Underclock mender')
  await hand.see('Version 2, still drawn on')
  const planned = (await hand.sheet(line)).plan
  const waist = planned.levels.find((one) => one.name === 'waist')!
  expect(Math.abs(waist.closed_mm - planned.aim.closed_waist_mm)).toBeLessThan(25)
  expect(planned.pattern.panels.length).toEqual(5)
})

it('any two versions are compared', async () => {
  const hand = await workshop()
  const line = await hand.stage('Lamplighter Regent', 'mockups')
  await hand.press('Make version 3')
  await hand.see('Version 3 is ready to try on')
  await hand.click("button[title='Look at this version']")
  await hand.see('From version 1 to 3')
  await hand.select('Compare with version', '2')
  await hand.see('From version 1 to 2')
  const found = (await hand.get<Compared>(`/api/builds/${line.id}/compare?before=1&after=2`)).comparison
  expect(found.seams).toBeTruthy()
  expect(found.levels.every((level) => Number.isFinite(level.after_mm))).toBeTruthy()
  expect((await hand.build('Lamplighter Regent')).version).toEqual(3)
})

it('a fitting is logged with how it sat and readiness answers', async () => {
  const hand = await workshop()
  const line = await hand.stage('Brass Heron', 'mockups')
  await hand.press('Log a fitting')
  await hand.find('form td.soft')
  const expected = hand.all('form td.soft').map(textOf)
  for (const [i, gap] of expected.entries()) {
    await hand.write(`Gap ${i + 1}`, gap)
  }
  await hand.press('◑ right')
  await hand.press('+ a place by its height')
  await hand.write('Waist, girth over it', 'lots')
  await hand.press('Log fitting 1')
  await hand.see('“lots” is not a length')
  await hand.write('Waist, girth over it', '')
  await hand.press('Log fitting 1')
  await hand.see('would fit')
  const fitting = (await hand.sheet(line)).build.fittings[0]
  expect(fitting.taps.map((tap) => [tap.z_mm, tap.word])).toEqual([[0, 'right']])
  const ready = await hand.get<Readiness>(`/api/builds/${line.id}/readiness`)
  expect(0 < ready.probability && ready.probability <= 1).toBeTruthy()
  await hand.see(ready.sentence)
})

it('a garment of hers that fits is told and taken out again', async () => {
  const hand = await workshop()
  const line = await hand.stage('Lamplighter Regent', 'wearer')
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

it('a picture is read and a way picked', async () => {
  const hand = await workshop()
  await hand.stage('Lamplighter Regent', 'brief')
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
    Math.abs((await hand.sheet(line)).plan.levels.find((one) => one.name === 'hip')!.padded_mm - made.girth_mm),
  ).toBeLessThan(0.01)
  await hand.write('How thick', '200')
  await hand.see("can't be right for the thickness of padding")
  await hand.write('How thick', '25')
  await hand.becomes(async () => (await hand.sheet(line)).build.pads[0].thick_mm, 25)
  await hand.gone('It is aimed for.')
  await hand.press('take it off: Hip')
  await hand.see('None.')
})

it('measures are read from a sheet in any unit and a bad row is told by number', async () => {
  const hand = await workshop()
  const line = await hand.stage('Lamplighter Regent', 'wearer')
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
