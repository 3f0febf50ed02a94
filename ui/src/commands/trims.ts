import { api } from '../api/client'
import type { TrimGroup, WrittenTrim } from '../api/types'
import { useOpenBuild } from '../stores/openBuild'

/** What a maker sews on, hangs from it, or takes off again. */
export function useTrimCommands() {
  const { step } = useOpenBuild()
  return {
    keep: (group: TrimGroup, trim: WrittenTrim) =>
      step(
        ({ params: { path }, revision }) =>
          api.PUT('/api/builds/{build_id}/trims/{group}', {
            params: { path: { ...path, group } },
            body: { revision, trim },
          }),
        ['trims'],
      ),
    take: (key: string) =>
      step(
        ({ params, revision }) => api.POST('/api/builds/{build_id}/trims/take', { params, body: { revision, key } }),
        ['trims'],
      ),
  }
}
