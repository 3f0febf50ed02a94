import { readFileSync } from 'node:fs'
import { mount, type ComponentMountingOptions } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { expect, vi } from 'vitest'
import type { Component } from 'vue'
import { createMemoryHistory } from 'vue-router'
import { createVuetify } from 'vuetify'
import type { Catalogue, OpenBuild } from '../src/api/types'
import { makeRouter } from '../src/router'
import { useOpenBuild } from '../src/stores/openBuild'
import { useSettings } from '../src/stores/settings'

interface Exchange {
  method: string
  path: string
  body: unknown
  status: number
  answer: unknown
}
interface Recorded {
  builds: Record<'measured' | 'wider' | 'tried' | 'unlaced' | 'laced', OpenBuild>
  exchanges: Exchange[]
}

/** What the server answered when it was asked (`python -m tests.recorded`). */
export const recorded = JSON.parse(readFileSync('../.made/recorded.json', 'utf8')) as Recorded

const ANY_BODY = '*'

export interface Asked {
  method: string
  path: string
  body: unknown
}

/** A server that answers as it was recorded, and tells what it was asked; nothing else is answered. */
export function answering(): Asked[] {
  const asked: Asked[] = []
  vi.stubGlobal('fetch', async (request: Request) => {
    const { pathname, search } = new URL(request.url)
    const text = await request.text()
    const one = { method: request.method, path: pathname + search, body: text ? JSON.parse(text) : null }
    asked.push(one)
    const known = recorded.exchanges.find(
      (kept) =>
        kept.method === one.method &&
        kept.path === one.path &&
        (kept.body === ANY_BODY || JSON.stringify(kept.body) === JSON.stringify(one.body)),
    )
    expect(known, `${one.method} ${one.path} ${text} was not recorded`).toBeDefined()
    return new Response(JSON.stringify(known?.answer), { status: known?.status })
  })
  return asked
}

/**
 * A page of a build: stores, routes and controls as they are in the application, and the build that is open.
 * `asks`: what is asked of a fitting, where that is another list; `keep`: what was held in the browser stays.
 */
export async function opened<T extends Component>(
  component: T,
  build: keyof Recorded['builds'],
  options: ComponentMountingOptions<T> & { asks?: Catalogue['fitting']; keep?: boolean } = {},
) {
  const asked = answering()
  vi.stubGlobal('visualViewport', new EventTarget()) // which the stand-in for a page has not
  const pinia = createPinia()
  setActivePinia(pinia)
  if (!options.keep) localStorage.clear()
  await useSettings().start()
  asked.length = 0
  if (options.asks) useSettings().catalogue.fitting = options.asks
  const openBuild = useOpenBuild()
  openBuild.latest = recorded.builds[build]
  const router = makeRouter(createMemoryHistory())
  const page = mount(component, {
    ...options,
    attachTo: document.body,
    global: { ...options.global, plugins: [pinia, router, createVuetify()] },
  } as ComponentMountingOptions<T>)
  return { page, asked, openBuild, router }
}
