import { flushPromises } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import FindDialog from '../../src/parts/FindDialog.vue'
import { opened } from '../recorded'

const rows = () => [...document.querySelectorAll<HTMLElement>('#found [role=option]')]
const nameOf = (row: HTMLElement | undefined) => row?.querySelector('b')?.textContent

describe('finding by words', () => {
  it('goes where the chosen row leads, and not to the first', async () => {
    const { page, router } = await opened(FindDialog, 'measured', { props: { modelValue: true } })
    const went = vi.spyOn(router, 'push').mockResolvedValue(undefined)
    await flushPromises()
    const field = document.querySelector<HTMLInputElement>('input.words')
    expect(field).not.toBeNull()
    const press = async (key: string) => {
      field?.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }))
      await flushPromises()
    }
    if (field) field.value = 't'
    field?.dispatchEvent(new Event('input'))
    await flushPromises()
    await vi.waitFor(() => expect(rows().map(nameOf)).toContain('Tidewarden'))
    const at = rows().map(nameOf).indexOf('Tidewarden')
    expect(at).toBeGreaterThan(0)
    for (let i = 0; i < at; i++) await press('ArrowDown')
    expect(nameOf(rows().find((row) => row.getAttribute('aria-selected') === 'true'))).toBe('Tidewarden')
    await press('Enter')
    expect(went).toHaveBeenCalledExactlyOnceWith(expect.stringMatching(/^\/build\/\w+\/brief$/))
    page.unmount()
  })
})
