import { afterEach, vi } from 'vitest'

// Modules are read once for all files: what a test put in place of timers and of what a page has is taken away again.
afterEach(() => {
  vi.useRealTimers()
  vi.restoreAllMocks()
  vi.unstubAllGlobals()
  if (typeof document !== 'undefined') document.body.innerHTML = ''
})
