import { defineStore } from 'pinia'
import { ref } from 'vue'
import type { KeptPhoto } from '../api/types'

/** A photo that another device sent for a build. */
export interface SentPhoto {
  build: string
  name: string
  photo: KeptPhoto
}

/** This page, told from the others that are open. */
export const PAGE = crypto.getRandomValues(new Uint32Array(2)).join('-')

/** What others do while this page is open: builds that stand otherwise now, photos for a fitting, devices let in. */
export const useNews = defineStore('news', () => {
  const photo = ref<SentPhoto>()
  const devices = ref(0)
  let source: EventSource | undefined
  let heard = '' // the number of what was heard last
  let changed: (build: string, revision: number) => void = () => undefined

  function connect() {
    source?.close()
    const mine = (source = new EventSource(`/api/events${heard ? `?after=${heard}` : ''}`))
    const on = (what: string, run: (about: Record<string, unknown>) => void) =>
      mine.addEventListener(what, (event) => {
        heard = event.lastEventId || heard
        run(JSON.parse(event.data))
      })
    on('begin', ({ whole }) => {
      if (!whole) changed('', 0) // something was missed: the open build is asked for again
    })
    on('build', ({ id, revision }) => changed(id as string, revision as number))
    on('photo', ({ page, ...sent }) => {
      if (page !== PAGE) photo.value = sent as unknown as SentPhoto
    })
    on('devices', () => devices.value++)
  }
  /** Heard while the page is seen: a browser has few connections, and pages that nobody looks at would hold them. */
  function listen(told: typeof changed) {
    changed = told
    connect()
    document.addEventListener('visibilitychange', () => {
      if (document.hidden) source?.close()
      else connect()
    })
  }
  return { photo, devices, listen }
})
