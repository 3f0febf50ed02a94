import { getActivePinia } from 'pinia'
import { afterEach, vi } from 'vitest'

// Modules are read once for all files: what a test put in place of timers and of what a page has is taken away again,
// and so is what it typed and did not send.
afterEach(() => {
  vi.useRealTimers()
  vi.restoreAllMocks()
  vi.unstubAllGlobals()
  document.body.innerHTML = ''
  const unsent = getActivePinia()?.state.value.unsent
  if (unsent) unsent.waiting = []
  localStorage.clear()
})
