import { answer, api, asFile, ofBuild } from '../api/client'
import type { NewBuild } from '../api/types'

const ofWearer = (wearer_id: string) => ({ params: { path: { wearer_id } } })
const asked = <Q>(build_id: string, query: Q) => ({ params: { path: { build_id }, query } })

/** Steps on the workshop's builds and wearers, apart from the one that is open. */
export const workshop = {
  list: (archived = false) => answer(api.GET('/api/builds', { params: { query: { archived } } })),
  make: (body: NewBuild) => answer(api.POST('/api/builds', { body })),
  wearers: () => answer(api.GET('/api/wearers')),
  forgetWearer: (id: string) => answer(api.DELETE('/api/wearers/{wearer_id}', ofWearer(id))),
  bringWearerBack: (id: string) => answer(api.POST('/api/wearers/{wearer_id}/undelete', ofWearer(id))),
  takeIn: (file: Blob) => answer(api.POST('/api/builds/import', { body: file, ...asFile })),
  rehearse: (id: string, world: 'kind' | 'harsh') =>
    answer(api.POST('/api/builds/{build_id}/rehearse', asked(id, { world }))),
  duplicate: (id: string, again = false) => answer(api.POST('/api/builds/{build_id}/duplicate', asked(id, { again }))),
  archive: (id: string, archived: boolean) =>
    answer(api.POST('/api/builds/{build_id}/archive', asked(id, { archived }))),
  remove: (id: string) => answer(api.DELETE('/api/builds/{build_id}', ofBuild(id))),
  bringBack: (id: string) => answer(api.POST('/api/builds/{build_id}/undelete', ofBuild(id))),
}
