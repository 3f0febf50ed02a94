import { ref } from 'vue'
import { Refused, send } from '../api/client'

/** The demo workshop beside one's own: started when it is asked for, and where it then is. */
export function useDemoBeside() {
  const busy = ref(false)
  const said = ref('')
  const url = ref('')
  async function start() {
    busy.value = true
    said.value = ''
    try {
      url.value = (await send<{ url: string }>('POST', '/demo')).url
    } catch (error) {
      said.value = error instanceof Refused ? error.trouble.sentence : String(error)
    }
    busy.value = false
  }
  return { busy, said, url, start }
}
