import { expect, it } from 'vitest'
import type { OpenShelf } from '../../src/api/types'
import { type Hand, onStage, shown, workshop } from './hand'

async function chooseArticle(hand: Hand, words: string) {
  await hand.write(await hand.find<HTMLInputElement>('.piece-form .v-autocomplete input'), words, false)
  await hand.press(words)
}

it('something is put on the shelf and what is wrong stays at its field', async () => {
  const hand = await workshop('empty')
  await hand.go('/shelf')
  await hand.see('Nothing lies here yet')
  await hand.press('Put something on it')
  await chooseArticle(hand, 'coutil')
  await hand.write('along the grain, cm', 'much')
  await hand.press('Put it on the shelf')
  await hand.see('is not a length')
  expect(await hand.value('along the grain, cm')).toEqual('much')
  expect(await hand.value('between the selvedges, cm')).toEqual('138.0')
  await hand.write('along the grain, cm', '2.4 m')
  await hand.write('where it lies', 'roll by the door')
  await hand.press('Put it on the shelf')
  await hand.see('240.0 × 138.0 cm')
  await hand.press('Undo')
  await hand.see('Nothing lies here yet')
  await hand.press('Do again')
  await hand.see('roll by the door')
})

it('pieces are kept for a build and let go', async () => {
  const hand = await workshop()
  await hand.go('/shelf')
  await hand.see('kept for Beekeeper General')
  await hand.press('keep for …: two-part grommet, 5 mm hole')
  await hand.write('how many', '50')
  await hand.press('Keep it')
  await hand.see('so much is not left')
  await hand.write('how many', '20', false)
  await hand.press('Keep it')
  await hand.see('26 free')
  await hand.press('let go: busk, 230 mm, 4 studs, for Lamplighter Regent')
  await hand.gone('kept for Lamplighter Regent')
})

it('a sheet is read and only what is right goes on the shelf', async () => {
  const hand = await workshop('empty')
  const rows = 'what;count;long;wide\ngrommet_5;20;;\ncoutil;1;2 m;138 cm\nmoonbeams;3;;\n'
  await hand.go('/shelf')
  await hand.see('Nothing lies here yet')
  await hand.chooseFile('CSV of a shelf', 'shelf.csv', rows)
  await hand.see('One row can’t be read')
  await hand.see('row 4, moonbeams')
  await hand.press('Put these 2 on the shelf')
  await hand.see('200.0 × 138.0 cm')
  expect((await hand.get<OpenShelf>('/api/shelf')).pieces.length).toEqual(2)
})

it('a parcel is put on the shelf and one under way is called off', async () => {
  const hand = await workshop()
  await hand.go('/shelf')
  await hand.see('the parcel is here')
  await hand.press('Put it on the shelf')
  await hand.press('Call it off')
  await hand.see('Nothing under way')
  await hand.see('arrived, 10.0 m')
  await hand.keys(await hand.find('body'), 'Control+z')
  await hand.see('1 order under way')
})

it('a half typed piece comes back after a reload', async () => {
  const hand = await workshop('empty')
  await hand.go('/shelf')
  await hand.press('Put something on it')
  await chooseArticle(hand, 'coutil')
  await hand.write('along the grain, cm', '2.4 m')
  await hand.reload()
  await hand.press('Put something on it')
  await hand.see('As you typed it')
  expect(await hand.value('along the grain, cm')).toEqual('2.4 m')
  await hand.press('Leave it')
  await hand.press('Put something on it')
  await hand.becomes(() => hand.all("[aria-label='How it is measured']").filter(shown).length, 0)
})

it('what was bought in her own shops is read from the list and comes onto the shelf', async () => {
  const hand = await workshop()
  await hand.go('/shopping')
  await hand.click("[data-buy='spiral_6'] input")
  await hand.press('From a shop of your own …')
  await hand.write('the shop', 'Corner market', false)
  await hand.press('It is here')
  await hand.see('Corner market: spiral steel')
  const rows = 'article;amount;from;paid\r\ncoutil;1 m;Market;20\r\nmoonbeams;1;Market;2\r\n'
  await hand.chooseFile('CSV of a shopping list', 'list.csv', rows)
  await hand.see('row 3, moonbeams')
  await hand.find("[data-own='Market']")
  await hand.press('It is here')
  await hand.see('Market: coutil, the parcel is here')
  expect(hand.all("[data-own='Market']").length).toBe(0)
  const orders = (await hand.get<OpenShelf>('/api/shelf')).orders.map((seen) => seen.order)
  expect(orders.slice(0, 2).map((order) => [order.shop, order.own])).toEqual([
    ['Market', true],
    ['Corner market', true],
  ])
})

it('grommets are kept where they are planned', async () => {
  const { hand, line } = await onStage('Lamplighter Regent', 'back')
  await hand.see('46 free')
  await hand.press('keep: two-part grommet, 5 mm hole')
  await hand.see('22 kept')
  const kept = (await hand.get<OpenShelf>('/api/shelf')).pieces.filter((piece) => piece.piece.name === 'grommet_5')
  expect(kept[0].reserved.map((reserved) => [reserved.build, reserved.amount])).toEqual([[line.id, 22]])
})
