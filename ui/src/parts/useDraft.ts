import { onBeforeUnmount, ref, watch, type Ref } from 'vue'
import { drafts } from '../stores/drafts'
import { useUnsent } from '../stores/unsent'

/**
 * A form that is held while it is filled in: what was typed before comes back, and when.
 * `blank` tells what has nothing in it yet, and so need not be held.
 */
export function useDraft<T>(
  build: string,
  what: string,
  value: Ref<T>,
  revision: () => number | null,
  blank: (value: T) => boolean,
) {
  const unsent = useUnsent()
  const form = `${build}/${what}`
  const found = drafts().read<T>(build, what)
  const restored = ref<{ saved: number; moved: boolean; unit?: string }>()
  if (found) {
    value.value = found.value
    restored.value = { saved: found.saved, moved: found.revision !== revision() }
    unsent.opened(form, true)
  }
  let done = false
  watch(
    value,
    (now) => {
      if (done) return
      const something = !blank(now)
      unsent.opened(form, something)
      if (something) drafts().keep(build, what, now, revision())
      else drafts().drop(build, what)
    },
    { deep: true, flush: 'post' },
  )
  /** It was taken, or is not wanted: nothing of it is held. */
  function drop() {
    done = true
    drafts().drop(build, what)
    unsent.opened(form, false)
  }
  onBeforeUnmount(() => unsent.opened(form, false))
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
