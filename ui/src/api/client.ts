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

async function answer<T>(response: Response): Promise<T> {
  if (response.status === 204) return undefined as T
  const body = await response.json().catch(() => null)
  if (response.ok) return body as T
  throw new Refused(
    response.status,
    body?.sentence ? body : { sentence: 'Fuseau could not answer. Your work is kept.', faults: [], changed: [] },
  )
}

async function ask<T>(path: string, init?: RequestInit): Promise<T> {
  let response: Response
  try {
    response = await fetch(`/api${path}`, init)
  } catch {
    throw new Refused(0, {
      sentence: 'Fuseau does not answer. Is it still running? What you see is kept.',
      faults: [],
      changed: [],
    })
  }
  return answer<T>(response)
}

/** What is there; given up, without a word of the server, once `signal` aborts. */
export const get = <T>(path: string, signal?: AbortSignal) => ask<T>(path, { signal })

export const send = <T>(method: 'POST' | 'PUT' | 'PATCH' | 'DELETE', path: string, body?: unknown) =>
  ask<T>(path, {
    method,
    headers: { 'content-type': 'application/json' },
    body: body === undefined ? undefined : JSON.stringify(body),
  })

export const sendFile = <T>(path: string, file: Blob, method: 'POST' | 'PUT' = 'POST') =>
  ask<T>(path, { method, headers: { 'content-type': 'application/octet-stream' }, body: file })
