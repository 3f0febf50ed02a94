import { useEventListener } from '@vueuse/core'
import { computed, onBeforeUnmount, shallowReactive } from 'vue'

/** One entry of the keyboard map: how it is shown, what it does, and what is done where it is pressed anywhere. */
export interface KeyEntry {
  keys: string
  does: string
  /** Presses that run it, as `event.key`, with `Ctrl+` and `Shift+` before it; none where only a control answers. */
  on?: string[]
  run?: (event: KeyboardEvent) => void
  /** Where it belongs at all; elsewhere it is not shown either. */
  where?: () => boolean
  /** Whether it can be done just now. */
  when?: () => boolean
  /** Also while a field is written in that was not changed yet. */
  inFields?: boolean
  /** Not while a button, a point or a slider has the focus: it answers these keys itself. */
  notOnControls?: boolean
}

export type Press = Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey' | 'altKey' | 'shiftKey'>

/** How a press is called in `on`. Shift counts only beside Ctrl: elsewhere it is in the sign itself. */
export function nameOf(press: Press): string {
  const control = press.ctrlKey || press.metaKey
  const key = press.key.length === 1 && control ? press.key.toLowerCase() : press.key
  return `${control ? 'Ctrl+' : ''}${press.altKey ? 'Alt+' : ''}${control && press.shiftKey ? 'Shift+' : ''}${key}`
}

export type Focus = 'nothing' | 'control' | 'field' | 'changed field'

/** Where the keyboard is: in a field, on something that answers keys itself, or nowhere. */
export function focusOf(target: EventTarget | null): Focus {
  if (!(target instanceof HTMLElement || target instanceof SVGElement)) return 'nothing'
  if (target.matches('input, textarea, select') || (target instanceof HTMLElement && target.isContentEditable))
    return target.dataset.dirty === 'yes' ? 'changed field' : 'field'
  return target.matches('[role="button"], [role="slider"], .v-btn') ? 'control' : 'nothing'
}

/** The entry that a press runs, of those that are there: what came last goes first. */
export function entryFor(entries: KeyEntry[], press: Press, focus: Focus): KeyEntry | undefined {
  const name = nameOf(press)
  return [...entries].reverse().find((entry) => {
    if (!entry.run || !entry.on?.includes(name) || (entry.where && !entry.where()) || (entry.when && !entry.when()))
      return false
    if (focus === 'nothing') return true
    if (focus === 'control') return !entry.notOnControls
    return focus === 'field' && !!entry.inFields
  })
}

const places = shallowReactive(new Map<symbol, KeyEntry[]>())
const map = computed(() => [...places.values()].flat())

/** Everything that keys do where she is now, for the dialog that shows it. */
export const keyboardMap = computed(() => map.value.filter((entry) => !entry.where || entry.where()))

/** Adds entries to the keyboard map while the component is there. */
export function useKeys(entries: KeyEntry[]) {
  const place = Symbol('keys')
  places.set(place, entries)
  onBeforeUnmount(() => places.delete(place))
}

/** The one listener of the app. */
export function useKeyboard() {
  useEventListener(window, 'keydown', (event: KeyboardEvent) => {
    const entry = entryFor(map.value, event, focusOf(event.target))
    if (!entry) return
    event.preventDefault()
    entry.run!(event)
  })
}
