import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { api } from '../api/client'
import type { Change } from '../api/types'
import { drafts } from './drafts'

/** An edit that the server did not answer: it waits here, in its order, and is sent when the server is there again. */
export interface Waiting {
  build: string
  changes: Change[]
  label: string
  fields: string[]
}

/** As it was held before it was known to be of fields alone. */
interface HeldBefore {
  build: string
  body: { changes: Change[]; label?: string }
  fields: string[]
}
const asNow = (one: Waiting | HeldBefore): Waiting =>
  'body' in one ? { build: one.build, changes: one.body.changes, label: one.body.label ?? '', fields: one.fields } : one

const AGAIN_MS = 1500
const [BUILD, WHAT] = ['-', 'unsent']

/** Edits that wait for the server, and forms that are open with something in them: what leaving would lose sight of. */
export const useUnsent = defineStore('unsent', () => {
  const waiting = ref<Waiting[]>(
    (drafts().adopt<(Waiting | HeldBefore)[]>(BUILD, WHAT, 8 * AGAIN_MS)?.value ?? []).map(asNow),
  )
  const open = ref(new Set<string>())
  let send: ((one: Waiting) => Promise<boolean>) | undefined
  let timer: ReturnType<typeof setTimeout> | undefined

  function hold() {
    if (waiting.value.length) drafts().keep(BUILD, WHAT, waiting.value, null)
    else drafts().drop(BUILD, WHAT)
  }

  function wait(one: Waiting) {
    waiting.value.push(one)
    hold()
    again()
  }

  /** Tried every second or two, from the first on; each is taken off only when it was answered. */
  function again() {
    if (timer || !waiting.value.length || !send) return
    timer = setTimeout(async () => {
      timer = undefined
      hold()
      const there = await api.GET('/api/house').then(
        () => true,
        () => false,
      )
      const sent = () => send?.(waiting.value[0]).catch(() => false)
      while (there && waiting.value.length && (await sent())) {
        waiting.value.shift()
        hold()
      }
      again()
    }, AGAIN_MS)
  }

  /** How one that waited is sent: answers false while the server is away. */
  function sendWith(how: (one: Waiting) => Promise<boolean>) {
    send = how
    again()
  }

  const at = (build: string | undefined, place: string) =>
    waiting.value.some((one) => one.build === build && one.fields.includes(place))
  const count = computed(() => waiting.value.length)

  function opened(form: string, something: boolean) {
    if (something) open.value.add(form)
    else open.value.delete(form)
  }
  const anything = computed(() => waiting.value.length > 0 || open.value.size > 0)

  return { waiting, count, wait, sendWith, at, opened, anything }
})
