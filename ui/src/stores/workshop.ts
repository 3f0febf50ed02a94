import { get, send, sendFile } from '../api/client'
import type { BookEntry, Line } from '../api/types'

/** Steps on the workshop's builds and wearers, apart from the one that is open. */
export const workshop = {
  list: (archived = false) => get<Line[]>(`/builds?archived=${archived}`),
  make: (name: string, character: string, kind: string) => send<Line>('POST', '/builds', { name, character, kind }),
  wearers: () => get<BookEntry[]>('/wearers'),
  forgetWearer: (id: string) => send<void>('DELETE', `/wearers/${id}`),
  bringWearerBack: (id: string) => send<void>('POST', `/wearers/${id}/undelete`),
  takeIn: (file: Blob) => sendFile<Line>('/builds/import', file),
  rehearse: (id: string, world: 'kind' | 'harsh') => send<Line>('POST', `/builds/${id}/rehearse?world=${world}`),
  duplicate: (id: string) => send<Line>('POST', `/builds/${id}/duplicate`),
  again: (id: string) => send<Line>('POST', `/builds/${id}/duplicate?again=true`),
  archive: (id: string, archived: boolean) => send<Line>('POST', `/builds/${id}/archive?archived=${archived}`),
  remove: (id: string) => send<void>('DELETE', `/builds/${id}`),
  bringBack: (id: string) => send<Line>('POST', `/builds/${id}/undelete`),
}
