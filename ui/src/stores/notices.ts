import { defineStore } from 'pinia'
import { ref } from 'vue'
import { Refused } from '../api/client'

export interface Notice {
  text: string
  action?: { label: string; run: () => void }
}

/** What is told at the foot of the page, one thing at a time. */
export const useNotices = defineStore('notices', () => {
  const notice = ref<Notice>()

  function tell(text: string, action?: Notice['action']) {
    notice.value = { text, action }
  }

  function complain(error: unknown) {
    tell(error instanceof Refused ? error.trouble.sentence : 'Something went wrong here. Your work is kept.')
    if (!(error instanceof Refused)) throw error
  }

  return { notice, tell, complain }
})
