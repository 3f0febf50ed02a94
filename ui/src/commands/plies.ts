import { api } from '../api/client'
import type { OwnCloth, Role } from '../api/types'
import { useOpenBuild } from '../stores/openBuild'

/** What a maker does to the plies of the garment. */
export function usePlyCommands() {
  const { step } = useOpenBuild()
  return {
    put: (role: Role) =>
      step(
        ({ params, revision }) => api.POST('/api/builds/{build_id}/plies', { params, body: { revision, role } }),
        ['layers.plies'],
      ),
    take: (at: number) =>
      step(({ params, revision }) => api.POST('/api/builds/{build_id}/plies/take', { params, body: { revision, at } })),
    move: (at: number, outward: boolean) =>
      step(({ params, revision }) =>
        api.POST('/api/builds/{build_id}/plies/move', { params, body: { revision, at, outward } }),
      ),
    keepCloth: (cloth: OwnCloth, ply: number) =>
      step(
        ({ params, revision }) =>
          api.PUT('/api/builds/{build_id}/catalogue/cloths', { params, body: { revision, cloth, ply } }),
        ['catalogue'],
      ),
  }
}
