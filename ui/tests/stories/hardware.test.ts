import { expect, it } from 'vitest'
import { recorded } from '../recorded'
import { type Hand, onStage, textOf, workshop } from './hand'

const REGENT = 'Lamplighter Regent'

async function pick(hand: Hand, channel: string) {
  await hand.keys(`[data-channel='${channel}']`, 'Enter')
  await hand.find(`section[aria-label="Channel ${channel}"]`)
}

it('another school changes what the gap does', async () => {
  const { hand, line } = await onStage(REGENT, 'bones')
  const bow = textOf(await hand.find("[data-cell='all steel gap bows']"))
  const other = textOf(await hand.find("[data-cell='plastic gap bows']"))
  expect(bow).not.toEqual(other)
  await hand.click("[data-school='plastic']")
  await hand.becomes(async () => (await hand.find("[data-school='plastic']")).getAttribute('aria-pressed'), 'true')
  await hand.see(`bow ${other}`)
  const there = (await hand.sheet(line)).build.bones
  expect([there.lacing_edge, there.seams, there.curved]).toEqual(['plastic_10', 'plastic_6', 'woven_8'])
})

it('a channel is added where a finding asks for it and taken back', async () => {
  const { hand, line } = await onStage(REGENT, 'bones')
  const here = await hand.sheet(line)
  const front = here.plan.between!.filter((channel) => channel.panel < 5)
  const bare = [{ at: 'bones.between', value: front }]
  await hand.post(`/api/builds/${line.id}/changes`, { revision: here.revision, changes: bare })
  await hand.stage(REGENT, 'bones')
  await hand.see('Panel 5 has')
  await hand.find('g.unboned')
  await hand.press('Add a channel, 5a?')
  await hand.press('Add a channel, 5a')
  await hand.gone('Panel 5 has')
  await hand.find("[data-bone='5a']")
  expect(hand.all('g.unboned').length).toBe(0)
  const added = await hand.sheet(line)
  expect(added.plan.bones.filter((bone) => bone.panel === 5).map((bone) => bone.channel)).toEqual(['5a', '5·6'])
  await hand.keys(null, 'Control+z')
  await hand.see('Panel 5 has')
})

it('channels are walked and added by key', async () => {
  const { hand } = await onStage(REGENT, 'bones')
  await hand.find('[data-channel]')
  await hand.keys(null, 'n')
  await hand.find('section[aria-label="Channel CF"]')
  await hand.keys(null, 'n')
  await hand.find('section[aria-label="Channel 1a"]')
  await hand.keys(null, 'N')
  await hand.find('section[aria-label="Channel CF"]')
  await hand.keys(null, 'a')
  await hand.find('section[aria-label="Channel 1b"]')
  await hand.keys(null, 'Delete')
  await hand.becomes(() => hand.all("[data-channel='1b']").length, 0)
})

it('a seam gets its channel beside it under a tape', async () => {
  const { hand, line } = await onStage(REGENT, 'bones')
  await pick(hand, '3·4')
  await hand.choose('Where', 'one on each side')
  await hand.find("[data-channel='3·4 CF']")
  await pick(hand, '3·4 CB')
  await hand.choose('Made, just here', 'under a tape outside')
  await hand.see('tape 14 mm finished, cut 28 mm, 2 lines of stitching')
  await hand.find('.strip.outside')
  const { bones } = (await hand.sheet(line)).plan
  expect(bones.find((bone) => bone.channel === '3·4 CB')?.panel).toEqual(4)
  expect(bones.find((bone) => bone.channel === '3·4 CF')?.made).toEqual('between plies')
})

it('the shelf is used and what is wrong stays at its field', async () => {
  const { hand } = await onStage(REGENT, 'bones')
  await hand.press('Cutting')
  await hand.wait(async () => textOf(await hand.find("[data-cutting='flat_12']")).includes('Nothing to buy'))
  await hand.press('take off: flat steel 12 × 1.0 mm, 1090 mm')
  await hand.see('1.5 m off the coil')
  await hand.choose('Kind', 'flat steel 12 × 1.0 mm')
  const box = await hand.field('length, mm')
  await hand.write(box, '7', false)
  await hand.keys(box, 'Enter')
  await hand.see("can't be right for the length of a piece on the shelf")
  expect(box.value).toEqual('7')
  await hand.write(box, '1080', false)
  await hand.keys(box, 'Enter')
  await hand.see('1 × 1080 mm')
  await hand.wait(async () => textOf(await hand.find("[data-cutting='flat_12']")).includes('Nothing to buy'))
})

it('once cut the bones are held against the top line', async () => {
  const { hand, line } = await onStage(REGENT, 'bones')
  await hand.press('Cutting')
  await hand.press('The bones are cut')
  await hand.see('All cut bones still fit')
  const here = await hand.sheet(line)
  const lower = { revision: here.revision, changes: [{ at: 'draft.top.side_mm', value: '6 cm' }] }
  await hand.post(`/api/builds/${line.id}/changes`, lower)
  const now = await hand.sheet(line)
  const accepted = { revision: now.revision, what: 'accept' }
  await hand.post(`/api/builds/${line.id}/versions`, accepted)
  await hand.stage(REGENT, 'bones')
  await hand.see('in version 2')
  await hand.press('Cutting')
  await hand.see('change on each half')
  expect(hand.all('[data-fate]').length).toBeGreaterThan(0)
  await hand.press('Now they are cut so')
  await hand.see('All cut bones still fit')
})

it('a kind is put into the catalogue and used', async () => {
  const { hand, line } = await onStage(REGENT, 'bones')
  await hand.press('Catalogue')
  await hand.press('Another kind')
  await hand.write('What it is called', 'Narrow steel')
  await hand.write('width, mm', '0')
  await hand.write('thickness, mm', '0.6')
  await hand.press('Keep it')
  await hand.see("can't be right for the width of a bone: 2 to 30 mm")
  expect(await hand.value('What it is called')).toEqual('Narrow steel')
  await hand.write('width, mm', '5')
  await hand.press('Keep it')
  await hand.gone('Keep it')
  await hand.see('5 mm × 0.6 mm')
  await hand.press('Bones')
  await hand.click("[aria-label='Show'] .v-btn:first-child")
  await pick(hand, '2·3')
  await hand.choose('Kind, just here', 'Narrow steel')
  await hand.becomes(
    async () => (await hand.sheet(line)).plan.bones.find((bone) => bone.channel === '2·3')!.width_mm,
    5,
  )
})

it('without a busk it says what the lace must be', async () => {
  const { hand, line } = await onStage(REGENT, 'front')
  await hand.see('In by the busk')
  await hand.see('blunt-nosed shears within reach')
  const lace = (await hand.sheet(line)).plan.lace.cut_mm
  await hand.choose('It opens by', 'no opening')
  await hand.gone('In by the busk')
  const after = (await hand.sheet(line)).plan
  expect(after.lace.cut_mm).toBeGreaterThan(lace)
  await hand.see(after.ways[0].sentence)
  await hand.press('Measure what has to pass')
  await hand.write('round the shoulders', '94')
  await hand.gone('her shoulders are a guess')
  expect(hand.all('[data-stud]').length).toBe(0)
})

it('each opening says what to buy and in which order', async () => {
  const { hand } = await onStage(REGENT, 'front')
  for (const [opening, says] of [
    ['separating zip', 'separating zip, 250 mm'],
    ['hooks and eyes', '18 hooks and eyes'],
    ['laced in front', 'Laced in front'],
    ['hidden zip', 'hidden zip, 250 mm'],
  ]) {
    await hand.choose('It opens by', opening)
    await hand.see(says)
    await hand.see('In this order')
  }
})

it('a busk of her own is measured and refused where it cannot be', async () => {
  const { hand, line } = await onStage(REGENT, 'front')
  await hand.press('A busk of her own')
  await hand.write('length, mm', '200')
  await hand.write('studs from the top end, mm, with ; between', '20; 100; 210')
  await hand.press('Keep it')
  await hand.see('is beyond the end of a busk of 200 mm')
  await hand.write('studs from the top end, mm, with ; between', '20; 100; 180')
  await hand.press('Keep it')
  await hand.see('A busk of 200 mm')
  expect(hand.all('[data-stud]').length).toEqual(3)
  await hand.keys(await hand.find("[data-stud='2']"), 'Enter')
  await hand.see('Stud 2')
  const busk = (await hand.sheet(line)).plan.busk
  await hand.see(`${busk.studs_mm[1]} mm below the top stitch line`)
})

it('rows lie closer at the waist and a row is picked on the garment', async () => {
  const { hand, line } = await onStage(REGENT, 'back')
  const rows = (await hand.sheet(line)).plan.holes.z_mm.length
  await hand.write('closer at the waist', '16')
  await hand.wait(() => hand.all('[data-row]').length > rows)
  await hand.keys(await hand.find("[data-row='3']"), 'Enter')
  await hand.find('.rows li.picked')
  await hand.find("figure [aria-label='The lacing edge, from the fold inward, to scale']")
  await hand.choose('Holes', 'two-part grommet, 4 mm hole')
  await hand.see('hardly runs through a hole of 4 mm')
  await hand.press('Double-faced ribbon, 10 mm?')
  await hand.press('Double-faced ribbon, 10 mm')
  await hand.gone('hardly runs through')
})

it('a shipped kind is changed and put back as it was', async () => {
  const { hand, line } = await onStage(REGENT, 'bones')
  const before = (await hand.sheet(line)).plan.boning.grams
  await hand.press('Catalogue')
  await hand.press('flat steel 12 × 1.0 mm')
  expect(await hand.value('width, mm')).toEqual('12')
  await hand.write('grams a metre', '120')
  await hand.press('Keep it')
  await hand.see('120 g/m')
  expect((await hand.sheet(line)).plan.boning.grams).toBeGreaterThan(before)
  await hand.press('as it was')
  await hand.gone('120 g/m')
  expect(Math.abs((await hand.sheet(line)).plan.boning.grams - before)).toBeLessThan(0.01)
})

it('turns on the seams and dipped ends are chosen', async () => {
  const { hand, line } = await onStage(REGENT, 'bones')
  await hand.choose('On every second of them', 'synthetic 7 × 1.5 mm')
  await hand.find("[data-channel='2·3'].strip")
  expect(hand.all("[data-channel='1·2'].strip").length).toBe(0)
  await hand.choose('Ends of cut steel', 'dipped, coat by coat')
  await hand.see('coats of dip, each overnight')
  expect((await hand.sheet(line)).plan.boning.coats).toBeGreaterThan(0)
  await pick(hand, 'CB outer')
  expect(hand.text()).not.toContain('Made, just here')
})

it('a thin busk behind a flap', async () => {
  const { hand, line } = await onStage(REGENT, 'front')
  for (const words of ['a flap behind hides it', 'a thin one, that bends by hand']) {
    await hand.click(await hand.field(words))
    await hand.find('.v-selection-control--dirty')
  }
  await hand.see('Flap:')
  await hand.see('Sew a channel for the flat steel beside it')
  const front = (await hand.sheet(line)).build.front
  expect([front.flap, front.thin]).toEqual([true, true])
})

it('a mend shows its effect before it is made', async () => {
  const { hand, line } = await onStage('Brass Heron', 'bones')
  await hand.see('With synthetic 7 × 1.5 mm at the lacing edge the gap bows')
  await hand.press('Flat steel 12 × 1.0 mm at the lacing edge?')
  await hand.see('bow')
  const before = await hand.sheet(line)
  expect(before.build.bones.lacing_edge).toEqual('synthetic_7')
  await hand.press('Flat steel 12 × 1.0 mm at the lacing edge')
  await hand.gone('the gap bows')
})

it('the lacing is walked hole by hole and weak holes are told', async () => {
  const { hand, line } = await onStage('Lamplighter Regent', 'back')
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
