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

  function listen(changed: (build: string, revision: number) => void) {
    source?.close()
    source = new EventSource('/api/events')
    source.addEventListener('build', (event) => {
      const { id, revision } = JSON.parse(event.data)
      changed(id, revision)
    })
    source.addEventListener('photo', (event) => {
      const { page, ...sent } = JSON.parse(event.data)
      if (page !== PAGE) photo.value = sent
    })
    source.addEventListener('devices', () => devices.value++)
    // asleep in between: what was missed is asked again once it is heard anew
    let lost = false
    source.addEventListener('error', () => (lost = true))
    source.addEventListener('open', () => {
      if (lost) changed('', 0)
      lost = false
    })
  }
  return { photo, devices, listen }
})
