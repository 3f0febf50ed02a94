import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { get, Refused, send } from '../api/client'
import type { Article, OpenShelf } from '../api/types'
import { turns } from '../parts/turns'
import { useNotices } from './notices'

/** The workshop's shelf as the server answered last, and what was refused at which field. */
export const useShelf = defineStore('shelf', () => {
  const notices = useNotices()
  const latest = shallowRef<OpenShelf>()
  const articles = shallowRef<Article[]>([])
  const errors = ref<Record<string, string>>({})
  const failed = ref('')
  const nameOf = computed(() => new Map((latest.value?.builds ?? []).map((one) => [one.name, one.label])))

  async function load() {
    failed.value = ''
    try {
      const [shelf, known] = await Promise.all([get<OpenShelf>('/shelf'), get<{ articles: Article[] }>('/articles')])
      latest.value = shelf
      articles.value = known.articles
    } catch (error) {
      failed.value = error instanceof Refused ? error.trouble.sentence : String(error)
    }
  }

  /** A step on the shelf as it is shown; errors stay with their fields. Answers whether it was taken. */
  const inTurn = turns() // quick hands: one step rests on what the one before left
  const step = (path: string, body: Record<string, unknown> = {}, how: 'POST' | 'PUT' = 'POST') =>
    inTurn(() => take(path, body, how))
  async function take(path: string, body: Record<string, unknown>, how: 'POST' | 'PUT') {
    errors.value = {}
    try {
      latest.value = await send<OpenShelf>(how, path, { revision: latest.value?.revision, ...body })
      return true
    } catch (error) {
      if (!(error instanceof Refused)) throw error
      if (error.status === 409) await load()
      errors.value = Object.fromEntries((error.trouble.faults ?? []).map((fault) => [fault.at, fault.sentence]))
      if (!Object.keys(errors.value).length || error.status === 409) notices.complain(error)
      return false
    }
  }
  /** A step whose refusal is told at the foot of the page. */
  async function act(path: string, body: Record<string, unknown> = {}) {
    if (await step(path, body)) return true
    const said = Object.values(errors.value)[0]
    if (said) notices.tell(said)
    return false
  }
  const undo = () => latest.value?.undoes && act('/shelf/undo')
  const redo = () => latest.value?.redoes && act('/shelf/redo')
  /** What was refused at a field of the first piece that was sent. */
  const saidAt = (field: string) =>
    Object.entries(errors.value).find(([at]) => new RegExp(`(^|\\.)${field}(\\.|$)`).test(at))?.[1]

  return { latest, articles, errors, failed, nameOf, load, step, act, undo, redo, saidAt }
})
