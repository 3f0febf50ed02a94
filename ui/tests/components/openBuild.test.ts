import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { OpenBuild } from '../../src/api/types'
import { useOpenBuild } from '../../src/stores/openBuild'
import { useSettings } from '../../src/stores/settings'
import { useUnsent } from '../../src/stores/unsent'
import { recorded } from '../recorded'

interface Waits {
  asked: string
  body: unknown
  answer: (said: unknown, status?: number) => Promise<void>
}

describe('the build that is open', () => {
  const [regent, heron] = ['regent', 'heron'].map((id): OpenBuild => ({ ...recorded.builds.measured, id }))
  const at = (build: OpenBuild, revision: number): OpenBuild => ({ ...build, revision })
  let waits: Waits[]
  beforeEach(() => {
    setActivePinia(createPinia())
    waits = []
    vi.stubGlobal('fetch', async (request: Request) => {
      const text = await request.text()
      return new Promise<Response>((done) =>
        waits.push({
          asked: `${request.method} ${new URL(request.url).pathname}`,
          body: text && JSON.parse(text),
          answer: async (said, status = 200) => {
            done(new Response(JSON.stringify(said), { status }))
            await new Promise((resolve) => setTimeout(resolve))
          },
        }),
      )
    })
  })
  /** The request that waits longest for its answer. */
  const next = async (asked: string) => {
    await vi.waitFor(() => expect(waits.map((wait) => wait.asked)).toContain(asked))
    return waits.splice(
      waits.findIndex((wait) => wait.asked === asked),
      1,
    )[0]
  }

  it('is the one that was wanted last, however late the one before is answered', async () => {
    const openBuild = useOpenBuild()
    void openBuild.open('regent')
    void openBuild.open('heron')
    const [first, second] = [await next('GET /api/builds/regent'), await next('GET /api/builds/heron')]
    await second.answer(heron)
    await first.answer(regent)
    expect(openBuild.latest?.id).toBe('heron')
    expect(openBuild.failed).toBe('')
  })

  it('is asked for again where its unit changed while it came, and after a step that was under way', async () => {
    const [openBuild, settings] = [useOpenBuild(), useSettings()]
    void openBuild.open('regent')
    const early = await next('GET /api/builds/regent')
    settings.house.unit = 'in'
    await early.answer(at(regent, 1))
    expect(openBuild.latest).toBeUndefined()
    await (await next('GET /api/builds/regent')).answer(at(regent, 2))
    expect(openBuild.latest?.revision).toBe(2)

    const kept = openBuild.set('target.gap_mm', '42 mm')
    const step = await next('POST /api/builds/regent/changes')
    settings.house.unit = 'cm'
    await step.answer(at(regent, 3))
    expect(await kept).toBe(true)
    await (await next('GET /api/builds/regent')).answer(at(regent, 4))
    expect(openBuild.latest?.revision).toBe(4)
  })

  it('gets what is set on it, and no other does, also where another is open by then', async () => {
    const openBuild = useOpenBuild()
    openBuild.latest = at(regent, 5)
    const first = openBuild.set('target.gap_mm', '42 mm')
    const second = openBuild.set('target.gap_mm', '43 mm') // behind the first
    const slow = await next('POST /api/builds/regent/changes')
    void openBuild.open('heron')
    await (await next('GET /api/builds/heron')).answer(at(heron, 9))
    await slow.answer(at(regent, 6))
    expect(openBuild.latest).toMatchObject({ id: 'heron', revision: 9 })
    await (await next('GET /api/builds/regent')).answer(at(regent, 6)) // on which it rests
    const behind = await next('POST /api/builds/regent/changes')
    expect(behind.body).toMatchObject({ revision: 6, changes: [{ at: 'target.gap_mm', value: '43 mm' }] })
    await behind.answer(
      { sentence: 'No.', faults: [{ at: 'target.gap_mm', sentence: 'No.' }], changed: [], log: null },
      422,
    )
    expect([await first, await second]).toEqual([true, false])
    expect(openBuild.errors).toEqual({}) // it belongs to no field of the build that is open
    expect(openBuild.latest).toMatchObject({ id: 'heron', revision: 9 })
  })

  it('waits for a server that is away with the build it was set on', async () => {
    const openBuild = useOpenBuild()
    openBuild.latest = at(regent, 5)
    const kept = openBuild.set('target.gap_mm', '42 mm')
    const sent = await next('POST /api/builds/regent/changes')
    vi.stubGlobal('fetch', async () => {
      throw new TypeError('away')
    })
    openBuild.latest = at(heron, 9)
    const behind = openBuild.set('target.gap_mm', '44 mm')
    await sent.answer({ sentence: 'Away.', faults: [], changed: [], log: null }, 503)
    expect([await kept, await behind]).toEqual([false, false])
    expect(useUnsent().at('heron', 'target.gap_mm')).toBeTruthy()
    expect(useUnsent().at('regent', 'target.gap_mm')).toBeFalsy()
  })
})
