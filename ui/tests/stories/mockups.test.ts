import { expect, it } from 'vitest'
import type { Compared, Readiness } from '../../src/api/types'
import { onStage, textOf } from './hand'

const COLLAR = 'Ash cartographer'

it('any two versions are compared', async () => {
  const { hand, line } = await onStage('Lamplighter Regent', 'mockups')
  await hand.press('Make version 3')
  await hand.see('Version 3 is ready to try on')
  await hand.click("button[title='Look at this version']")
  await hand.see('From version 1 to 3')
  await hand.select('Compare with version', '2')
  await hand.see('From version 1 to 2')
  const found = (await hand.get<Compared>(`/api/builds/${line.id}/compare?before=1&after=2`)).comparison
  expect(found.seams.length).toBeGreaterThan(0)
  expect(found.levels.every((level) => Number.isFinite(level.after_mm))).toBeTruthy()
  expect((await hand.build('Lamplighter Regent')).version).toEqual(3)
})

it('a fitting is logged with how it sat and readiness answers', async () => {
  const { hand, line } = await onStage('Brass Heron', 'mockups')
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

it('a fitting without three heights keeps what was written', async () => {
  const { hand } = await onStage('Brass Heron', 'mockups')
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
  const { hand, line } = await onStage('Lamplighter Regent', 'mockups')
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

it('what is refused stays where it was written', async () => {
  const { hand } = await onStage('Underclock mender', 'mockups')
  await hand.press('Log a fitting')
  await hand.press('Log fitting 2')
  await hand.see('needs the gap at three heights at least')
  await hand.write('Gap 1', '30')
  await hand.write('Height of reading 1', '31')
  await hand.press('+ a place by its height')
  await hand.write('Place 1, height', '40')
  await hand.press('Log fitting 2')
  await hand.see('is outside the lacing edge')
  expect(await hand.value('Gap 1')).toEqual('30')
  await hand.write('Height of reading 1', '9')
  await hand.press('Log fitting 2')
  await hand.see('does not cover her there')
  await hand.press('Take out place 1')
  await hand.press('Leave it')
  await hand.see('Correct it')
})

it('an older fitting is corrected and its versions are marked', async () => {
  const { hand, line } = await onStage('Lamplighter Regent', 'mockups')
  await hand.click('ol li:first-child button')
  await hand.see('From version 1 to 2')
  await hand.press('Correct it')
  await hand.see('Correct fitting 1')
  await hand.select('Its waist', '+')
  await hand.write('Its waist, by', '6')
  await hand.select('Top line, side', '+')
  await hand.write('Top line, side, by', '8')
  await hand.press('Keep fitting 1')
  await hand.see('from a fitting that was corrected since')
  const fitting = (await hand.sheet(line)).build.fittings[0]
  expect([fitting.rides_mm, fitting.corrected]).toEqual([6, 1])
  expect(fitting.edges).toEqual([{ edge: 'top', place: 'side', off_mm: 8 }])
})

it('two pulls of one evening are read side by side and the wrong way round is refused', async () => {
  const { hand, line } = await onStage('Underclock mender', 'mockups')
  await hand.press('Log a fitting')
  await hand.press('+ the gap at another pull')
  for (const [i, gap] of [44, 45, 46].entries()) {
    await hand.write(`Gap ${i + 1}`, String(gap))
    await hand.write(`Gap ${i + 1}, pulled light`, String(gap - 14))
  }
  const before = (await hand.sheet(line)).build.fittings.length
  await hand.press(`Log fitting ${before + 1}`)
  await hand.see('a lighter pull leaves the wider gap')
  expect((await hand.sheet(line)).build.fittings.length).toEqual(before)
  expect(await hand.value('Gap 2, pulled light')).toEqual('31')
  for (const [i, gap] of [44, 45, 46].entries()) {
    await hand.write(`Gap ${i + 1}, pulled light`, String(gap + 13))
  }
  await hand.press(`Log fitting ${before + 1}`)
  await hand.becomes(async () => (await hand.sheet(line)).build.fittings.length, before + 1)
  const fitting = (await hand.sheet(line)).build.fittings.at(-1)!
  expect(fitting.also.map((other) => other.pull)).toEqual(['light'])
  expect(fitting.also[0].readings.map((reading) => reading.gap_mm)).toEqual([57, 58, 59])
  const pulls = (await hand.sheet(line)).plan.learned.pulls.filter((pull) => pull.fitting === fitting.number)
  expect(pulls.length).toEqual(2)
  await hand.press('Correct it')
  await hand.becomes(async () => await hand.value('Gap 3, pulled light'), '59')
})

it('a line of her own stands and is not turned back', async () => {
  const { hand, line } = await onStage('Underclock mender', 'mockups')
  await hand.press('Make version 2')
  await hand.gone('Make version 2')
  await hand.press('+ a line of your own')
  await hand.select('Seam', '2')
  await hand.select('Level', 'waist')
  await hand.write('On each panel edge', '300')
  await hand.press('Set it')
  await hand.find("form[aria-label='A line of your own'] p.bad[role=alert]")
  await hand.write('On each panel edge', '2')
  await hand.press('Set it')
  await hand.see('Make version 3')
  await hand.press('Make version 3')
  await hand.gone('Make version 3')
  const sheet = await hand.sheet(line)
  expect(sheet.plan.proposal).toBe(null)
  const decided = sheet.build.versions.at(-1)!.pattern.decided.find((line) => line.level === 'waist')!
  expect(decided.front_mm).toBeCloseTo(-8, 1)
})

it('a strip of the cloth counts and one that cannot be is refused', async () => {
  const { hand, line } = await onStage('Underclock mender', 'mockups')
  await hand.press('What mock-ups and the final are made of')
  await hand.press('+ a strip under a weight')
  await hand.write('Strip, longer by', '80')
  await hand.press('Keep it')
  await hand.see('no cloth for a boned garment stretches more than 25 %')
  expect(await hand.value('Strip, longer by')).toEqual('80')
  await hand.write('Strip, longer by', '7')
  await hand.press('Keep it')
  await hand.see('7 mm longer over 200 mm')
  const calico = (await hand.sheet(line)).plan.learned.cloths.find((cloth) => cloth.cloth === 'calico')!
  expect(calico.believed_share).toBeGreaterThan(1.2 * calico.usual_share)
})

it("a collar's fitting is read at both edges and gets odds", async () => {
  const { hand, line } = await onStage(COLLAR, 'mockups')
  await hand.press('Cut version 1 for a mock-up')
  await hand.press('Log a fitting')
  await hand.see('Fitting 1')
  const rows = hand.all('input.gap').length
  for (let i = 0; i < rows; i++) {
    await hand.write(`Gap ${i + 1}`, String(26 - Math.floor((18 * i) / (rows - 1))))
  }
  await hand.press('Log fitting 1')
  await hand.find('.odds i')
  await hand.see('Upper neck')
  await hand.see('two fingers')
  const plan = (await hand.sheet(line)).plan
  expect(plan.proposal.sewn_change_mm.upper_neck).toBeGreaterThan(4)
  expect(plan.proposal.sewn_change_mm.collarbone).toBeLessThan(1)
  expect(plan.verdict.word).not.toEqual('cut the cloth')
  await hand.see(`${(plan.verdict.probability * 100).toFixed(0)} of 100 would fit if cut now`)
  await hand.go('/')
  await hand.see(plan.verdict.sentence)
})
