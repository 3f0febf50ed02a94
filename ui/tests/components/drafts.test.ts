import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick, ref, type Ref } from 'vue'
import { useDraft, whenSaved } from '../../src/parts/useDraft'
import { Drafts, drafts, inMemory } from '../../src/stores/drafts'
import { useUnsent } from '../../src/stores/unsent'

describe('what is typed and not kept yet', () => {
  it('comes back in the same tab, by build and what it is', () => {
    const drafts = new Drafts(inMemory(), 'a', () => 1000)
    drafts.keep('b1', 'fitting', { gap: '34' }, 7)
    expect(drafts.read('b1', 'fitting')).toEqual({ value: { gap: '34' }, revision: 7, saved: 1000 })
    expect(drafts.read('b1', 'fitting/2')).toBeUndefined()
    expect(drafts.read('b2', 'fitting')).toBeUndefined()
    expect(drafts.of('b1')).toEqual(['fitting'])
  })

  it('of two tabs each keeps its own, and a third finds the newest', () => {
    const storage = inMemory()
    let now = 1
    const [one, two, three] = ['one', 'two', 'three'].map((tab) => new Drafts(storage, tab, () => now))
    one.keep('b', 'fitting', 'first', 1)
    now = 2
    two.keep('b', 'fitting', 'second', 1)
    expect(one.read('b', 'fitting')!.value).toBe('first')
    expect(two.read('b', 'fitting')!.value).toBe('second')
    expect(three.read('b', 'fitting')!.value).toBe('second')
    one.drop('b', 'fitting')
    expect(two.read('b', 'fitting')!.value).toBe('second')
    two.drop('b', 'fitting')
    expect(three.read('b', 'fitting')).toBeUndefined()
  })

  it('of a tab that is gone another sends what waits, and only one', () => {
    const storage = inMemory()
    let now = 0
    const [gone, one, two] = ['gone', 'one', 'two'].map((tab) => new Drafts(storage, tab, () => now))
    gone.keep('-', 'unsent', ['edit'], null)
    now = 5000
    expect(one.adopt('-', 'unsent', 10_000)).toBeUndefined()
    now = 20_000
    expect(one.adopt('-', 'unsent', 10_000)!.value).toEqual(['edit'])
    expect(two.adopt('-', 'unsent', 10_000)).toBeUndefined()
    expect(one.adopt('-', 'unsent', 10_000)!.value).toEqual(['edit'])
  })

  it('is let go of when nobody came back for two months', () => {
    const storage = inMemory()
    new Drafts(storage, 'a', () => 0).keep('b', 'fitting', 'old', 1)
    storage.setItem('another', 'stays')
    const later = new Drafts(storage, 'a', () => 61 * 86_400_000)
    later.keep('c', 'fitting', 'new', 1)
    later.prune()
    expect(later.read('b', 'fitting')).toBeUndefined()
    expect(later.read('c', 'fitting')!.value).toBe('new')
    expect(storage.getItem('another')).toBe('stays')
  })

  it('survives a storage that is full or holds nonsense', () => {
    const storage = inMemory()
    storage.setItem('fuseau/draft/b/fitting/x', '{"half')
    storage.setItem('fuseau/draft/b/fitting/y', '[]')
    const full = {
      ...storage,
      length: 2,
      key: storage.key,
      getItem: storage.getItem,
      setItem: () => {
        throw new Error('full')
      },
    }
    const drafts = new Drafts(full as Storage, 'a')
    expect(drafts.read('b', 'fitting')).toBeUndefined()
    expect(drafts.keep('b', 'fitting', 1, 1)).toBe(false)
  })

  it('says when it was typed', () => {
    const noon = new Date(2026, 10, 25, 12, 5)
    expect(whenSaved(noon.getTime(), noon)).toBe('at 12:05')
    expect(whenSaved(noon.getTime(), new Date(2026, 10, 26))).toBe('on 25 November, 12:05')
  })
})

describe('a form that is held while it is filled in', () => {
  beforeEach(() => {
    setActivePinia(createPinia())
    vi.spyOn(console, 'warn').mockImplementation(() => {}) // it stands outside of any component here
    for (const build of ['-', 'b1', 'b2']) drafts().drop(build, 'first build')
    drafts().drop('-', 'unsent')
  })
  const hold = (build: () => string, value: Ref<Record<string, string>>) =>
    useDraft(
      build,
      'first build',
      value,
      () => 3,
      (now) => !Object.keys(now).length,
    )
  const held = (build: string) => drafts().read<Record<string, string>>(build, 'first build')?.value

  it('is held under its build, and no more once nothing is in it', async () => {
    const value = ref<Record<string, string>>({})
    const { restored } = hold(() => 'b1', value)
    expect(restored.value).toBeUndefined()
    value.value = { name: 'Tidewarden' }
    await nextTick()
    expect(held('b1')).toEqual({ name: 'Tidewarden' })
    expect(useUnsent().anything).toBe(true)
    value.value = {}
    await nextTick()
    expect(held('b1')).toBeUndefined()
    expect(useUnsent().anything).toBe(false)
  })

  it('comes back with when it was typed and whether the build has moved since', async () => {
    drafts().keep('b1', 'first build', { day: '2027-01-02' }, 2)
    const value = ref<Record<string, string>>({})
    const { restored, drop } = hold(() => 'b1', value)
    expect(value.value).toEqual({ day: '2027-01-02' })
    expect(restored.value).toMatchObject({ moved: true })
    drop()
    value.value = { day: 'later' }
    await nextTick()
    expect(held('b1')).toBeUndefined()
  })

  it('goes along to the build that what is typed makes', async () => {
    const [id, value] = [ref(''), ref<Record<string, string>>({})]
    hold(() => id.value || '-', value)
    value.value = { name: 'Tidewarden', day: 'x' }
    await nextTick()
    expect(held('-')).toEqual({ name: 'Tidewarden', day: 'x' })
    id.value = 'b2'
    await nextTick()
    expect(held('-')).toBeUndefined()
    expect(held('b2')).toEqual({ name: 'Tidewarden', day: 'x' })
    value.value = { day: 'x' } // the name was kept, the day refused
    await nextTick()
    expect(held('b2')).toEqual({ day: 'x' })
    expect(useUnsent().anything).toBe(true)
    value.value = {}
    await nextTick()
    expect(held('b2')).toBeUndefined()
    expect(useUnsent().anything).toBe(false)
  })
})
