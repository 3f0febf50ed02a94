import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { answer, api, Refused } from '../api/client'
import type { Article, OpenShelf } from '../api/types'
import { turns } from '../parts/turns'
import { useNotices } from './notices'
import { onShelf } from '../commands/shelf'

/** The workshop's shelf as the server answered last, and what was refused at which field. */
export const useShelf = defineStore('shelf', () => {
  const notices = useNotices()
  const latest = shallowRef<OpenShelf>()
  const articles = shallowRef<Article[]>([])
  const errors = ref<Record<string, string | undefined>>({})
  const failed = ref('')
  const nameOf = computed(() => new Map((latest.value?.builds ?? []).map((build) => [build.name, build.label])))

  async function load() {
    failed.value = ''
    try {
      const [shelf, known] = await Promise.all([answer(api.GET('/api/shelf')), answer(api.GET('/api/articles'))])
      latest.value = shelf
      articles.value = known.articles
    } catch (error) {
      failed.value = error instanceof Refused ? error.trouble.sentence : String(error)
    }
  }

  /** A step on the shelf as it is shown; errors stay with their fields. Answers whether it was taken. */
  const inTurn = turns() // quick hands: one step rests on what the one before left
  type Take = (revision: number) => Promise<{ data?: OpenShelf }>
  const step = (take: Take) => inTurn(() => taken(take))
  async function taken(take: Take) {
    if (!latest.value) return false
    errors.value = {}
    try {
      latest.value = await answer(take(latest.value.revision))
      return true
    } catch (error) {
      if (!(error instanceof Refused)) throw error
      if (error.status === 409) await load()
      errors.value = Object.fromEntries(error.trouble.faults.map((fault) => [fault.at, fault.sentence]))
      if (!Object.keys(errors.value).length || error.status === 409) notices.complain(error)
      return false
    }
  }
  /** A step whose refusal is told at the foot of the page. */
  async function act(take: Take) {
    if (await step(take)) return true
    const said = Object.values(errors.value)[0]
    if (said) notices.tell(said)
    return false
  }
  const undo = () => latest.value?.undoes && act(onShelf.undo)
  const redo = () => latest.value?.redoes && act(onShelf.redo)
  /** What was refused at a field of the first piece that was sent. */
  const saidAt = (field: string) =>
    Object.entries(errors.value).find(([at]) => new RegExp(`(^|\\.)${field}(\\.|$)`).test(at))?.[1]

  return { latest, articles, errors, failed, nameOf, load, step, act, undo, redo, saidAt }
})
