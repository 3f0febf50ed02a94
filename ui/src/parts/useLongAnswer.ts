import { useIntervalFn } from '@vueuse/core'
import { onScopeDispose, ref, shallowRef } from 'vue'
import { answer, Refused } from '../api/client'
import type { Underway } from '../api/types'

const LOOK_MS = 400

export interface LongQuestion<T> {
  ask: () => Promise<{ data?: T }>
  /** What is being worked out now, to see how far it is. */
  underway: () => Promise<{ data?: Underway[] }>
  what: Underway['what']
  stop: () => Promise<unknown>
}

/** What takes long to work out: how far it is, what came of it, stopped at will. A later asking ends an earlier one. */
export function useLongAnswer<T>(question: LongQuestion<T>) {
  const found = shallowRef<T>()
  const busy = ref(false)
  const share = ref<number | null>(null)
  /** Whether other work is done first. */
  const inLine = ref(false)
  const failed = ref('')
  let turn = 0
  const looking = useIntervalFn(
    async () => {
      const mine = turn
      const now = await answer(question.underway()).catch(() => [])
      const work = now.find((work) => work.what === question.what)
      if (mine !== turn || !busy.value) return
      share.value = work?.share ?? null
      inLine.value = work?.share === null
    },
    LOOK_MS,
    { immediate: false },
  )

  async function ask() {
    const mine = ++turn
    busy.value = true
    failed.value = ''
    share.value = null
    inLine.value = false
    looking.resume()
    try {
      const got = await answer(question.ask())
      if (mine === turn) found.value = got
    } catch (error) {
      if (mine === turn)
        failed.value = error instanceof Refused ? error.trouble.sentence : 'It could not be worked out.'
    }
    if (mine !== turn) return
    busy.value = false
    looking.pause()
  }

  onScopeDispose(() => turn++)
  return { found, busy, share, inLine, failed, ask, stop: () => question.stop().catch(() => undefined) }
}
