import { expect, it } from 'vitest'
import { recorded } from '../recorded'
import { type Hand, onStage, textOf } from './hand'

const closed = async (hand: Hand, line: { id: string }, level = 'waist') =>
  (await hand.sheet(line)).plan.levels.find((shown) => shown.name === level)!.closed_mm

it('a seam is let out a gusset let in and limits are told', async () => {
  const { hand, line } = await onStage('Brass Heron', 'pattern')
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
  const { hand, line } = await onStage('Brass Heron', 'pattern')
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
  const { hand, line } = await onStage('Brass Heron', 'pattern')
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
  const { hand, line } = await onStage('Brass Heron', 'pattern')
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
  const { hand, line } = await onStage('Brass Heron', 'pattern')
  await hand.press('Start from another pattern')
  await hand.press('Refit an earlier build')
  await hand.see("Its levels move to where this wearer's are")
  await hand.press('Refit Underclock mender')
  await hand.see('Version 2, still drawn on')
  const planned = (await hand.sheet(line)).plan
  const waist = planned.levels.find((level) => level.name === 'waist')!
  expect(Math.abs(waist.closed_mm - planned.aim.closed_waist_mm)).toBeLessThan(25)
  expect(planned.pattern.panels.length).toEqual(5)
})

it('cautions and limits stand at their fields', async () => {
  const { hand } = await onStage('Lamplighter Regent', 'pattern')
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

it('a taped pattern is typed in', async () => {
  const { hand, line } = await onStage('Brass Heron', 'pattern')
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

it('cups are offered wherever the bust is covered, and one piece with darts everywhere', async () => {
  const { hand } = await onStage('Beekeeper General', 'pattern')
  for (const [name, kind, covers] of [
    ['Kelp singer', 'overbust corset', true],
    ['Reed piper', 'underbust corset', false],
  ] as const) {
    const line = await hand.post('/api/builds', { name, kind })
    const { underbust, ribs, waist, high_hip, hip } = recorded.builds.measured.build.wearer
    const bust = covers ? { bust: { readings_mm: [920] } } : {}
    const measures = Object.entries({ underbust, ribs, waist, high_hip, hip, ...bust })
    await hand.change(line, ...measures.map(([level, value]) => ({ at: `wearer.${level}`, value })))
    await hand.stage(name, 'pattern')
    await hand.see('One piece with darts')
    expect(hand.text().includes('Cups with underwire')).toBe(covers)
    if (covers) {
      await hand.click(
        hand
          .all('label.tick')
          .find((tick) => textOf(tick).startsWith('Cups'))!
          .querySelector('input')!,
      )
      await hand.see('over the bust point')
    }
  }
})
