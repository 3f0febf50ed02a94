import { describe, expect, it } from 'vitest'
import type { VueWrapper } from '@vue/test-utils'
import LogFitting from '../../src/stages/mockups/LogFitting.vue'
import { useSettings } from '../../src/stores/settings'
import { drafts } from '../../src/stores/drafts'
import { opened, recorded, type Asked } from '../recorded'

const at = `/api/builds/${recorded.builds.tried.id}/fittings`
const by = (page: VueWrapper, label: string) => page.get(`[aria-label="${label}"]`)
const posted = (asked: Asked[]) =>
  asked.find((ask) => ask.method === 'POST' && ask.path === at)?.body as Record<string, unknown> | undefined
const settled = () => new Promise((resolve) => setTimeout(resolve))

async function write(page: VueWrapper, what: Record<string, string>) {
  for (const [label, value] of Object.entries(what)) await by(page, label).setValue(value)
}

describe('a fitting that is logged', () => {
  it('keeps what was refused as it was written, each with its sentence beside it', async () => {
    const { page, asked } = await opened(LogFitting, 'tried')
    await write(page, { 'Gap 1': 'wide', 'Waist, girth over it': 'lots', 'Top line, side': '+', Hours: 'an evening' })
    await write(page, { 'Top line, side, by': 'too much', 'Its waist': '+' })
    await write(page, { 'Its waist, by': 'up' })
    await page
      .findAll('button')
      .find((button) => button.text() === '+ a pinch or slash')!
      .trigger('click')
    await write(page, { 'Pinch 1, amount': 'a bit' })
    await page.get('form').trigger('submit')
    await settled()
    expect(posted(asked)).toMatchObject({
      readings: [{ gap_mm: 'wide' }],
      laced: [{ level: 'waist', girth_mm: 'lots' }],
      edges: [{ edge: 'top', place: 'side', off_mm: 'too much' }],
      rides_mm: 'up',
      hours: 'an evening',
      pinches: [{ seam: 3, amount_mm: 'a bit' }],
    })
    const said = page.findAll('.bad[role=alert]').filter((alert) => alert.isVisible())
    expect(said.map((alert) => alert.text().split(' is ')[0].split(' goes ')[0])).toEqual([
      '“wide”',
      '“lots”',
      '“a bit”',
      '“too much”',
      '“up”',
      'Work on a mock-up in hours',
    ])
    expect((by(page, 'Its waist, by').element as HTMLInputElement).value).toBe('up')
    expect(page.emitted('done')).toBeUndefined()
    page.unmount()
  })

  it('comes back after a reload as it was left, and can be begun anew', async () => {
    const first = await opened(LogFitting, 'tried')
    await write(first.page, { 'Gap 1': '31', 'She could sit': 'hard', 'Side seam': '-' })
    await settled()
    const kept = drafts().read(recorded.builds.tried.id, 'fitting')
    first.page.unmount()
    const { page } = await opened(LogFitting, 'tried') // which empties what is held
    page.unmount()
    drafts().keep(recorded.builds.tried.id, 'fitting', kept!.value, kept!.revision)
    const again = (await opened(LogFitting, 'tried', { keep: true })).page
    expect(again.text()).toContain('As you left it')
    expect((by(again, 'Gap 1').element as HTMLInputElement).value).toBe('31')
    expect((by(again, 'She could sit').element as HTMLSelectElement).value).toBe('hard')
    expect((by(again, 'Side seam').element as HTMLSelectElement).value).toBe('-')
    await again
      .findAll('button')
      .find((button) => button.text() === 'Begin anew')!
      .trigger('click')
    expect(again.emitted('afresh')).toHaveLength(1)
    expect(drafts().read(recorded.builds.tried.id, 'fitting')).toBeUndefined()
    again.unmount()
  })

  it('asks what the server lists: a field more there is asked, held and sent, with nothing else changed', async () => {
    const { page: before } = await opened(LogFitting, 'tried')
    before.unmount()
    const { fitting } = useSettings().catalogue
    const like = (name: string) => fitting.find((field) => field.field === name)!
    const more = [
      { ...like('rides_mm'), field: 'tilts_mm', label: 'Its hem' },
      { ...like('laced'), field: 'seated', label: 'sitting in it' },
      { ...like('moved'), field: 'worn_with', label: 'With it she wore' },
      { ...like('hours'), field: 'walked', label: 'Minutes she walked' },
      { ...like('finished'), field: 'sewn_in', label: 'sewn into it' },
    ]
    const { page, asked } = await opened(LogFitting, 'tried', { asks: [...fitting, ...more] })
    await write(page, {
      'Gap 1': 'wide',
      'Its hem': '-',
      'Waist, girth sitting in it': '64',
      'Minutes she walked': '20',
    })
    await write(page, { 'Its hem, by': '6', 'With it she wore sit': 'well' })
    await page
      .findAll('label')
      .find((label) => label.text() === 'sewn into it')!
      .get('input')
      .setValue(true)
    await page.get('form').trigger('submit')
    await settled()
    expect(posted(asked)).toMatchObject({
      tilts_mm: '-6 mm',
      seated: [{ level: 'waist', girth_mm: '64 cm' }],
      worn_with: [{ test: 'sit', went: 'well' }],
      walked: '20',
      sewn_in: true,
    })
    page.unmount()
  })
})
