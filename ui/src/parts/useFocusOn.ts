import { nextTick, onMounted, type Ref } from 'vue'

/** What has just appeared takes the focus, so that whoever does not see it come is there: it needs `tabindex="-1"`. */
export function useFocusOn(target: Readonly<Ref<HTMLElement | null>>) {
  onMounted(async () => {
    await nextTick()
    target.value?.focus({ preventScroll: true })
  })
}
