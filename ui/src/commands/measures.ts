import { api, asFile } from '../api/client'
import { useOpenBuild } from '../stores/openBuild'

/** What a maker does with the book of measures. */
export function useMeasureCommands() {
  const { step, takeFile } = useOpenBuild()
  return {
    writeDown: (taken_on: string | null) =>
      step(({ params, revision }) => api.POST('/api/builds/{build_id}/book', { params, body: { revision, taken_on } })),
    takeMeasuring: (measuring_id: string) =>
      step(({ params, revision }) =>
        api.POST('/api/builds/{build_id}/measuring', { params, body: { revision, measuring_id } }),
      ),
    takeLetter: (file: File) =>
      takeFile(
        file,
        ({ params, revision }) =>
          api.POST('/api/builds/{build_id}/letter', {
            params: { ...params, query: { revision } },
            body: file,
            ...asFile,
          }),
        'Her measures are in, marked as not checked.',
      ),
  }
}
