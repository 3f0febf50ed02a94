import createClient, { type Middleware } from 'openapi-fetch'
import type { paths } from './schema'
import type { Trouble } from './types'

/** An answer that is not what was asked for, with the server's sentence. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    readonly trouble: Trouble,
  ) {
    super(trouble.sentence)
  }
}

const only = (sentence: string): Trouble => ({ sentence, faults: [], changed: [], log: null })

const refusing: Middleware = {
  async onResponse({ response }) {
    if (response.ok) return
    const said: Partial<Trouble> | null = await response.json().catch(() => null)
    throw new Refused(response.status, {
      ...only('Fuseau could not answer. Your work is kept.'),
      ...(said?.sentence ? said : {}),
    })
  },
  onError: () => new Refused(0, only('Fuseau does not answer. Is it still running? What you see is kept.')),
}

/** The server's routes, with what each takes and answers by its own description. A refusal is thrown as `Refused`. */
export const api = createClient<paths>({ baseUrl: location.origin, fetch: (asked) => fetch(asked) })
api.use(refusing)

/** What a request is answered with. */
export async function answer<T>(asked: Promise<{ data?: T }>): Promise<T> {
  return (await asked).data as T // a refusal was thrown before: what came is what the route answers
}

/** Where a build's routes are. */
export const ofBuild = (build_id: string) => ({ params: { path: { build_id } } })

/** How a file is sent: as it is. */
export const asFile = {
  headers: { 'content-type': 'application/octet-stream' },
  bodySerializer: (file: unknown) => file,
}
