import { flushPromises } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import LengthField from '../../src/parts/LengthField.vue'
import { opened } from '../recorded'

const GAP = { props: { at: 'target.gap_mm', mm: 50, label: 'Gap wanted' } }

describe('a length as she writes it', () => {
  it('is sent with its unit, and then shown as the server has it', async () => {
    const { page, asked, openBuild } = await opened(LengthField, 'measured', GAP)
    const input = page.get('input')
    expect([input.element.value, page.get('label').text()]).toEqual(['5.0', 'Gap wanted'])
    await input.setValue('6')
    await input.trigger('keydown', { key: 'Enter' })
    await flushPromises()
    expect(asked).toMatchObject([{ method: 'POST', body: { changes: [{ at: 'target.gap_mm', value: '6 cm' }] } }])
    expect(openBuild.build.target.gap_mm).toBe(60)
    await page.setProps({ mm: openBuild.build.target.gap_mm })
    expect([input.element.value, input.attributes('data-dirty')]).toEqual(['6.0', 'no'])
    page.unmount()
  })

  it('that is refused stays as it was typed, with what is wrong, over a reload too', async () => {
    const { page, openBuild } = await opened(LengthField, 'measured', GAP)
    const input = page.get('input')
    await input.setValue('six cm')
    await input.trigger('keydown', { key: 'Enter' })
    await flushPromises()
    expect(input.element.value).toBe('six cm')
    expect(input.attributes('aria-invalid')).toBe('true')
    const said = document.getElementById(input.attributes('aria-describedby') ?? '')
    expect(said?.textContent).toContain('“six cm” is not a length')
    expect(openBuild.build.target.gap_mm).toBe(50)
    await input.trigger('keydown', { key: 'Escape' })
    expect([input.element.value, input.attributes('aria-invalid')]).toEqual(['5.0', 'false'])
    page.unmount()
  })

  it('that is as it was is not sent at all', async () => {
    const { page, asked } = await opened(LengthField, 'measured', GAP)
    await page.get('input').setValue('5.0')
    await page.get('input').trigger('keydown', { key: 'Enter' })
    await flushPromises()
    expect(asked).toEqual([])
    page.unmount()
  })
})
