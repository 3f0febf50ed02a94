import { api, asFile } from '../api/client'
import { useOpenBuild } from '../stores/openBuild'

/** A picture that is kept with the open build. */
export function useAddPicture() {
  const { takeFile } = useOpenBuild()
  return (file: File, role: 'reference' | 'sketch') =>
    takeFile(file, ({ params, revision }) =>
      api.POST('/api/builds/{build_id}/pictures', {
        params: { ...params, query: { revision, role, name: file.name } },
        body: file,
        ...asFile,
      }),
    )
}
