import { answer, api, ofBuild } from '../api/client'
import type { PatternEdit, TracedPattern, TypedIn } from '../api/types'
import { useOpenBuild } from '../stores/openBuild'

/** What a maker does to the pattern and its versions; what is refused stays with the field it names. */
export function usePatternCommands() {
  const openBuild = useOpenBuild()
  const { step } = openBuild
  return {
    version: (what: 'cut' | 'accept' | 'back' | 'fix', to: number | null = null) =>
      step(({ params, revision }) =>
        api.POST('/api/builds/{build_id}/versions', { params, body: { revision, what, to } }),
      ),
    edit: (edits: PatternEdit[]) =>
      step(
        ({ params, revision }) => api.POST('/api/builds/{build_id}/pattern', { params, body: { revision, edits } }),
        ['edit'],
      ),
    preview: (edits: PatternEdit[]) =>
      answer(api.POST('/api/builds/{build_id}/pattern/preview', { ...ofBuild(openBuild.here.id), body: { edits } })),
    refit: (source: string) =>
      step(({ params, revision }) => api.POST('/api/builds/{build_id}/refit', { params, body: { revision, source } })),
    keepTraced: (traced: TracedPattern, name: string) =>
      step(
        ({ params, revision }) =>
          api.POST('/api/builds/{build_id}/traced', { params, body: { revision, traced, name } }),
        ['traced'],
      ),
    typeIn: (given: TypedIn) =>
      step(
        ({ params, revision }) => api.POST('/api/builds/{build_id}/typed', { params, body: { revision, ...given } }),
        ['typed'],
      ),
  }
}
