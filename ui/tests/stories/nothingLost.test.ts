import { expect, it } from 'vitest'
import { type Hand, onStage, workshop } from './hand'

const GAP = 'gap wanted'

/** A fitting begun and not logged: two gaps, a note. */
async function halfLog(hand: Hand) {
  await hand.press('Log a fitting')
  await hand.write('Gap 1', '34')
  await hand.write('Gap 3', '41')
  await hand.write(await hand.find<HTMLInputElement>('textarea'), 'it dug under the arm')
}
async function isHalfLogged(hand: Hand) {
  await hand.becomes(() => hand.value('Gap 1'), '34')
  expect(await hand.value('Gap 3')).toBe('41')
  expect((await hand.find<HTMLTextAreaElement>('textarea')).value).toBe('it dug under the arm')
  await hand.see('As you left it at')
}
const asksBeforeLeaving = () => !window.dispatchEvent(new Event('beforeunload', { cancelable: true }))

it('a change made elsewhere is not written over', async () => {
  const { hand, line } = await onStage('Lamplighter Regent', 'pattern')
  await hand.see('What the longline corset does')
  await hand.wait(async () => await hand.value('gap wanted'))
  await hand.change(line, { at: 'target.gap_mm', value: '42 mm' })
  await hand.press('firm')
  await hand.see('changed elsewhere meanwhile')
  await hand.see('Gap wanted 42 mm')
  await hand.becomes(() => hand.value('gap wanted'), '42')
})

it('begun anew and left nothing of it comes back', async () => {
  const { hand } = await onStage('Underclock mender', 'mockups')
  await halfLog(hand)
  await hand.reload()
  await isHalfLogged(hand)
  await hand.press('Begin anew')
  await hand.becomes(async () => await hand.value('Gap 1'), '')
  await hand.write('Gap 1', '50')
  await hand.press('Leave it')
  await hand.reload()
  await hand.press('Log a fitting')
  expect(await hand.value('Gap 1')).toEqual('')
})

it('a new builds form comes back', async () => {
  const hand = await workshop('empty')
  await hand.go()
  await hand.press('New build')
  await hand.write('Name', 'Lamplighter', false)
  await hand.write('Character and where from', 'of the Nine Lamps', false)
  await hand.reload()
  await hand.becomes(async () => await hand.value('Name'), 'Lamplighter')
  expect(await hand.value('Character and where from')).toEqual('of the Nine Lamps')
  await hand.press('Make it')
  await hand.wait(() => hand.path.includes('/wearer'))
  await hand.go()
  await hand.press('New build')
  expect(await hand.value('Name')).toEqual('')
})

it('a length half typed comes back marked and enter keeps it', async () => {
  const { hand, line } = await onStage('Underclock mender', 'pattern')
  await hand.write(GAP, '47', false)
  await hand.reload()
  await hand.becomes(async () => await hand.value(GAP), '47')
  await hand.see('not kept yet: Enter keeps it')
  await hand.keys(await hand.field(GAP), 'Enter')
  await hand.becomes(async () => (await hand.sheet(line)).build.target.gap_mm, 47)
  await hand.gone('not kept yet')
  await hand.reload()
  await hand.becomes(async () => await hand.value(GAP), '47')
})

it('a brief half typed comes back and is kept or left', async () => {
  const { hand, line } = await onStage('Underclock mender', 'brief')
  await hand.write('Worn under it', 'a linen chemise', false)
  await hand.reload()
  await hand.see('is not kept yet')
  expect(await hand.value('Worn under it')).toEqual('a linen chemise')
  await hand.press('Keep it')
  await hand.becomes(async () => (await hand.sheet(line)).build.brief.worn_under, 'a linen chemise')
  await hand.gone('is not kept yet')
})

it('leaving asks while something is not kept', async () => {
  const { hand } = await onStage('Underclock mender', 'mockups')
  expect(asksBeforeLeaving()).toBeFalsy()
  await halfLog(hand)
  expect(asksBeforeLeaving()).toBeTruthy()
  await hand.press('Leave it')
  await hand.see('Log a fitting')
  expect(asksBeforeLeaving()).toBeFalsy()
})

it('a change made elsewhere meanwhile leaves what was typed at its field', async () => {
  const { hand, line } = await onStage('Underclock mender', 'pattern')
  await hand.wait(async () => await hand.value(GAP))
  const sheet = await hand.sheet(line)
  const change = { revision: sheet.revision, changes: [{ at: 'brief.note', value: 'from the other room' }] }
  await hand.post(`/api/builds/${line.id}/changes`, change)
  await hand.write(GAP, '49')
  await hand.see('changed elsewhere meanwhile')
  expect(await hand.value(GAP)).toEqual('49')
  await hand.keys(await hand.field(GAP), 'Enter')
  await hand.becomes(async () => (await hand.sheet(line)).build.target.gap_mm, 49)
})
