import { onBeforeUnmount, ref, toValue, watch, type MaybeRefOrGetter, type Ref } from 'vue'
import { drafts } from '../stores/drafts'
import { useUnsent } from '../stores/unsent'

/**
 * A form that is held while it is filled in: what was typed before comes back, and when.
 * `blank` tells what has nothing in it yet, and so need not be held. Where the build is made only by what is typed, it
 * goes along to it.
 */
export function useDraft<T>(
  build: MaybeRefOrGetter<string>,
  what: string,
  value: Ref<T>,
  revision: () => number | null,
  blank: (value: T) => boolean,
) {
  const unsent = useUnsent()
  let at = toValue(build)
  const opened = (something: boolean) => unsent.opened(`${at}/${what}`, something)
  const found = drafts().read<T>(at, what)
  const restored = ref<{ saved: number; moved: boolean; unit?: string }>()
  if (found) {
    value.value = found.value
    restored.value = { saved: found.saved, moved: found.revision !== revision() }
    opened(true)
  }
  let done = false
  watch(
    [value, () => toValue(build)] as const,
    ([now, to]) => {
      if (done) return
      if (to !== at) {
        opened(false)
        drafts().drop(at, what)
        at = to
      }
      const something = !blank(now)
      opened(something)
      if (something) drafts().keep(at, what, now, revision())
      else drafts().drop(at, what)
    },
    { deep: true, flush: 'post' },
  )
  /** It was taken, or is not wanted: nothing of it is held. */
  function drop() {
    done = true
    drafts().drop(at, what)
    opened(false)
  }
  onBeforeUnmount(() => opened(false))
  return { restored, drop }
}

/** When something was typed, in the words of a day. */
export function whenSaved(saved: number, now = new Date()): string {
  const day = new Date(saved)
  const time = day.toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })
  return day.toDateString() === now.toDateString()
    ? `at ${time}`
    : `on ${day.toLocaleDateString('en-GB', { day: 'numeric', month: 'long' })}, ${time}`
}
