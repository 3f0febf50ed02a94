import { api } from '../api/client'
import type { NewFitting, SetLine } from '../api/types'
import { useOpenBuild } from '../stores/openBuild'

/** What a maker writes down of a fitting, and what she sets of the change that follows. */
export function useFittingCommands() {
  const { step } = useOpenBuild()
  return {
    log: (given: NewFitting) =>
      step(
        ({ params, revision }) => api.POST('/api/builds/{build_id}/fittings', { params, body: { revision, ...given } }),
        ['fittings'],
      ),
    correct: (number: number, given: NewFitting) =>
      step(
        ({ params, revision }) =>
          api.PUT('/api/builds/{build_id}/fittings/{number}', {
            params: { path: { ...params.path, number } },
            body: { revision, ...given },
          }),
        ['fittings'],
      ),
    /** One line of the proposed change by hand; without amounts it goes back, without a seam all do. */
    setLine: (given: SetLine) =>
      step(
        ({ params, revision }) =>
          api.PUT('/api/builds/{build_id}/change/line', { params, body: { revision, ...given } }),
        ['line_edits'],
      ),
  }
}
