import { flushPromises } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import BackPage from '../../src/stages/back/BackPage.vue'
import { opened } from '../recorded'

describe('the back', () => {
  it('laced again over what opens there sends that to the front, in one step', async () => {
    const { page, asked, openBuild } = await opened(BackPage, 'unlaced', {
      shallow: true,
      global: { stubs: { TheSlip: false } },
    })
    expect(openBuild.build.front.line).toBe('CB')
    page.getComponent({ name: 'VBtnToggle' }).vm.$emit('update:modelValue', true)
    await flushPromises()
    expect(asked.map((one) => one.body)).toMatchObject([
      {
        changes: [
          { at: 'front.line', value: 'CF' },
          { at: 'back.laced', value: true },
        ],
      },
    ])
    expect([openBuild.build.front.line, openBuild.build.back.laced]).toEqual(['CF', true])
    page.unmount()
  })
})
