import { defineStore } from 'pinia'
import { ref } from 'vue'

/** Whether the garment is looked at on her, at whatever stage. */
export const useOnBody = defineStore('onBody', () => ({ shown: ref(false) }))
