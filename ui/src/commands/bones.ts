import { api } from '../api/client'
import type { WrittenBone } from '../api/types'
import { useOpenBuild } from '../stores/openBuild'

/** What a maker does with bones: kinds of her own, and their cutting. */
export function useBoneCommands() {
  const { step } = useOpenBuild()
  return {
    keepKind: (kind: WrittenBone) =>
      step(
        ({ params, revision }) =>
          api.PUT('/api/builds/{build_id}/catalogue/bones', { params, body: { revision, kind } }),
        ['catalogue'],
      ),
    cut: () =>
      step(({ params, revision }) => api.POST('/api/builds/{build_id}/bones/cut', { params, body: { revision } })),
    uncut: () =>
      step(({ params, revision }) => api.POST('/api/builds/{build_id}/bones/uncut', { params, body: { revision } })),
  }
}
