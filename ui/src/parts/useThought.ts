import { watch } from 'vue'
import { api, ofBuild } from '../api/client'
import type { Underway } from '../api/types'
import { useOpenBuild } from '../stores/openBuild'
import { useSettings } from '../stores/settings'
import { useLongAnswer } from './useLongAnswer'

/** What takes long to work out on the open build: asked again at every change. */
export function useThought<T>(think: (build: string) => Promise<{ data?: T }>, what: Underway['what']) {
  const openBuild = useOpenBuild()
  const settings = useSettings()
  const here = () => openBuild.here.id
  const thought = useLongAnswer<T>({
    ask: () => think(here()),
    underway: () => api.GET('/api/builds/{build_id}/underway', ofBuild(here())),
    what,
    stop: () => api.DELETE('/api/builds/{build_id}/underway/{what}', { params: { path: { build_id: here(), what } } }),
  })
  const ask = () => (openBuild.latest ? thought.ask() : undefined)
  watch(() => [openBuild.latest?.id, openBuild.latest?.revision, settings.unit], ask, { immediate: true })
  return { ...thought, ask }
}

/** Of it, what a bar shows and does; the answer itself is the page's. */
export type Thought = Pick<ReturnType<typeof useThought<unknown>>, 'share' | 'inLine' | 'failed' | 'ask' | 'stop'>
