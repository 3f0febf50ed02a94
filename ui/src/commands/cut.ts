import { api } from '../api/client'
import type { ClothLaid, PinnedPiece, WayTaken } from '../api/types'
import { useOpenBuild } from '../stores/openBuild'

/** What a maker decides at the cutting table, of one cloth. */
export function useCutCommands() {
  const { step } = useOpenBuild()
  return {
    pin: (cloth: string, pinned: PinnedPiece[]) =>
      step(
        ({ params: { path }, revision }) =>
          api.PUT('/api/builds/{build_id}/cut/{cloth}/pinned', {
            params: { path: { ...path, cloth } },
            body: { revision, pinned },
          }),
        ['cut.pinned'],
      ),
    takeWay: (cloth: string, given: WayTaken) =>
      step(({ params: { path }, revision }) =>
        api.POST('/api/builds/{build_id}/cut/{cloth}/ways', {
          params: { path: { ...path, cloth } },
          body: { revision, ...given },
        }),
      ),
    /** Cut as it was seen here. */
    done: (cloth: string, { uses, to_buy_mm }: ClothLaid) =>
      step(
        ({ params: { path }, revision }) =>
          api.POST('/api/builds/{build_id}/cut/{cloth}/done', {
            params: { path: { ...path, cloth } },
            body: { revision, uses, to_buy_mm },
          }),
        ['cut'],
      ),
    notDone: (cloth: string) =>
      step(
        ({ params: { path }, revision }) =>
          api.POST('/api/builds/{build_id}/cut/{cloth}/not-done', {
            params: { path: { ...path, cloth } },
            body: { revision },
          }),
        ['cut'],
      ),
  }
}
