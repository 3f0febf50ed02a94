import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { useSettings } from '../../src/stores/settings'

describe('settings of the workshop', () => {
  const sent: Record<string, unknown>[] = []
  let kept: Record<string, unknown>
  let answers: (() => void)[]
  let refuse: boolean
  beforeEach(() => {
    setActivePinia(createPinia())
    sent.length = 0
    kept = { unit: 'cm', paper: 'a4', theme: 'light', known: [] }
    answers = []
    refuse = false
    vi.stubGlobal('fetch', async (asked: Request) => {
      const said = await asked.json()
      sent.push(said)
      expect(asked.method).toBe('PATCH')
      return new Promise<Response>((done) =>
        answers.push(() => {
          if (refuse) {
            done(new Response(JSON.stringify({ sentence: 'No.', faults: [] }), { status: 422 }))
            return
          }
          kept = { ...kept, ...said }
          done(new Response(JSON.stringify(kept), { status: 200 }))
        }),
      )
    })
  })
  const answered = async () => {
    await vi.waitFor(() => expect(answers).not.toHaveLength(0))
    answers.shift()?.()
    await new Promise((done) => setTimeout(done))
  }

  it('are sent one after the other, each only what was set', async () => {
    const settings = useSettings()
    const all = [settings.setHouse({ unit: 'in' }), settings.setHouse({ paper: 'letter' })]
    await vi.waitFor(() => expect(sent).toEqual([{ unit: 'in' }]))
    await answered()
    await vi.waitFor(() => expect(sent).toEqual([{ unit: 'in' }, { paper: 'letter' }]))
    expect(settings.unit).toBe('in')
    await answered()
    await Promise.all(all)
    expect(settings.house).toMatchObject({ unit: 'in', paper: 'letter', theme: 'light' })
  })

  it('of which one was refused the next is sent all the same, and who set it hears so', async () => {
    const settings = useSettings()
    refuse = true
    const first = settings.setHouse({ unit: 'in' })
    const said = first.catch((error: Error) => error.message)
    const next = settings.setHouse({ theme: 'dark' })
    await answered()
    expect(await said).toBe('No.')
    expect(settings.unit).toBe('cm')
    refuse = false
    await answered()
    await next
    expect(settings.house.theme).toBe('dark')
  })

  it('that are changed while they are read stay as she set them', async () => {
    let read = () => {}
    vi.stubGlobal('fetch', async (asked: Request) => {
      if (asked.method === 'PATCH') return new Response(JSON.stringify({ ...kept, ...(await asked.json()) }))
      const answer = asked.url.endsWith('/api/house') ? kept : {}
      return new Promise<Response>((done) => {
        const before = read
        read = () => (before(), done(new Response(JSON.stringify(answer))))
      })
    })
    const settings = useSettings()
    const started = settings.start()
    const set = settings.setHouse({ unit: 'in' })
    await new Promise((done) => setTimeout(done))
    read()
    await Promise.all([started, set])
    expect(settings.unit).toBe('in')
    expect(settings.started).toBe(true)
  })
})
