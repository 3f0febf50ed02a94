import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { useUnsent, type Waiting } from '../../src/stores/unsent'

const edit = (at: string, build = 'b'): Waiting => ({
  build,
  changes: [{ at, value: 1 }],
  label: '',
  fields: [at],
})

describe('edits that wait for the server', () => {
  let there = false
  beforeEach(() => {
    vi.useFakeTimers()
    setActivePinia(createPinia())
    there = false
    vi.stubGlobal('fetch', async () => {
      if (!there) throw new TypeError('away')
      return new Response('{}', { status: 200 })
    })
  })
  const later = () => vi.advanceTimersByTimeAsync(1600)

  it('are sent in their order when it answers, and not before', async () => {
    const unsent = useUnsent()
    const sent: string[] = []
    unsent.sendWith(async (one) => (sent.push(one.fields[0]), true))
    for (const at of ['a', 'b', 'c']) unsent.wait(edit(at))
    await later()
    expect([sent, unsent.count]).toEqual([[], 3])
    there = true
    await later()
    expect([sent, unsent.count]).toEqual([['a', 'b', 'c'], 0])
  })

  it('wait on, the first first, while one cannot be sent or its sending fails', async () => {
    const unsent = useUnsent()
    let ways: (boolean | Error)[] = [true, false, new Error('odd'), true, true]
    const sent: string[] = []
    unsent.sendWith(async (one) => {
      sent.push(one.fields[0])
      const way = ways.shift()
      if (way instanceof Error) throw way
      return way!
    })
    there = true
    for (const at of ['a', 'b', 'c']) unsent.wait(edit(at))
    await later()
    expect([sent, unsent.count]).toEqual([['a', 'b'], 2])
    await later()
    expect([sent, unsent.count]).toEqual([['a', 'b', 'b'], 2])
    await later()
    expect([sent, unsent.count]).toEqual([['a', 'b', 'b', 'b', 'c'], 0])
    ways = []
  })

  it('are known at their field, of their build', () => {
    const unsent = useUnsent()
    unsent.wait(edit('target.gap_mm', 'one'))
    expect(unsent.at('one', 'target.gap_mm')).toBe(true)
    expect(unsent.at('one', 'target.pull')).toBe(false)
    expect(unsent.at('two', 'target.gap_mm')).toBe(false)
  })

  it('and open forms are what leaving asks about', () => {
    const unsent = useUnsent()
    const before = unsent.count
    unsent.opened('b/fitting', true)
    expect(unsent.anything).toBe(true)
    unsent.opened('b/fitting', false)
    expect(unsent.anything).toBe(before > 0)
  })
})
