import { onBeforeUnmount, ref, watch } from 'vue'
import { answer, api, ofBuild, Refused } from '../api/client'
import type { Underway } from '../api/types'
import { useOpenBuild } from '../stores/openBuild'
import { useSettings } from '../stores/settings'

const LOOK_MS = 400

/** What takes long to work out on the open build: asked again at every change; how far it is; stopped at will. */
export function useThought<T>(think: (build: string) => Promise<{ data?: T }>, what: Underway['what']) {
  const openBuild = useOpenBuild()
  const settings = useSettings()
  const found = ref<T>()
  const busy = ref(false)
  const share = ref<number | null>(null)
  const failed = ref('')
  let turn = 0
  let looking: ReturnType<typeof setInterval> | undefined

  async function ask() {
    const build = openBuild.latest?.id
    if (!build) return
    const mine = ++turn
    busy.value = true
    failed.value = ''
    share.value = null
    clearInterval(looking)
    looking = setInterval(async () => {
      const now = await answer(api.GET('/api/builds/{build_id}/underway', ofBuild(build))).catch(() => [])
      if (mine === turn) share.value = now.find((one) => one.what === what)?.share ?? null
    }, LOOK_MS)
    try {
      const got = await answer(think(build))
      if (mine === turn) found.value = got
    } catch (error) {
      if (mine === turn)
        failed.value = error instanceof Refused ? error.trouble.sentence : 'It could not be worked out.'
    }
    if (mine !== turn) return
    busy.value = false
    clearInterval(looking)
  }

  const stop = () =>
    api
      .DELETE('/api/builds/{build_id}/underway/{what}', { params: { path: { build_id: openBuild.here.id, what } } })
      .catch(() => undefined)
  watch(() => [openBuild.latest?.id, openBuild.latest?.revision, settings.unit], ask, { immediate: true })
  onBeforeUnmount(() => {
    turn++
    clearInterval(looking)
  })
  return { found, busy, share, failed, ask, stop }
}

/** Of it, what a bar shows and does; the answer itself is the page's. */
export type Thought = Pick<ReturnType<typeof useThought<unknown>>, 'share' | 'failed' | 'ask' | 'stop'>
