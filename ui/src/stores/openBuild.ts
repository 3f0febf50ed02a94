import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { answer, api, ofBuild, Refused } from '../api/client'
import type { Change, Finding, LevelName, OpenBuild, Plan } from '../api/types'
import { turns } from '../parts/turns'
import { useNotices } from './notices'
import { useSettings } from './settings'
import { useUnsent, type Waiting } from './unsent'
import { certain } from '../parts/certain'
import { entriesOf } from '../parts/entries'

const OWN_MS = 5000 // so soon after this page was answered with a revision, news of it is its own

/** Where a step is taken: the build's routes, and the revision that it rests on. */
export interface At {
  params: { path: { build_id: string } }
  revision: number
}
type Taken = Promise<{ data?: OpenBuild }>
type Severity = Finding['severity']

/** The open build with its plan as the server answered last, and what was refused at which field. */
export const useOpenBuild = defineStore('open build', () => {
  const settings = useSettings()
  const notices = useNotices()
  const unsent = useUnsent()
  const latest = shallowRef<OpenBuild>() // replaced as a whole, never written into
  const errors = ref<Record<string, string | undefined>>({})
  const failed = ref('')
  const worked = ref(0) // how often something was changed here

  // pages of a build stand only while it is open; one that is left still draws once what it last had
  let left: OpenBuild | undefined
  watch(latest, (_, before) => (left = before ?? left), { flush: 'sync' })
  const here = computed(() => {
    const now = latest.value ?? left
    if (!now) throw new Error('no build is open')
    return now
  })
  const plan = computed(() => here.value.plan)
  const build = computed(() => here.value.build)
  /** The pattern that its pages work on; they stand only once it is drafted, as those of the plies do. */
  const pattern = computed(() => certain(plan.value.pattern, 'the pattern'))
  const layers = computed(() => certain(plan.value.layers, 'the plies'))
  const kind = computed(() => {
    const kinds = settings.catalogue.kinds
    return kinds.find((kind) => kind.name === build.value.kind) ?? kinds[0]
  })
  const levels = computed<LevelName[]>(() => kind.value.levels)
  const zero = computed(
    () => settings.catalogue.levels.find((level) => level.name === levels.value[0])?.zero ?? 'waist',
  )

  /** Steps run one after another, each on the revision that the one before left. */
  const inTurn = turns()
  /** A build as it stands, in her unit: asked for again where that changed meanwhile. */
  async function asked(id: string): Promise<OpenBuild> {
    const { unit } = settings
    const now = await answer(api.GET('/api/builds/{build_id}', ofBuild(id)))
    return settings.unit === unit ? now : asked(id)
  }

  // what is done to a build is done to that one, also where another is open by the time of its turn
  const isOpen = (id: string) => latest.value?.id === id
  const show = (now: OpenBuild) => void (isOpen(now.id) && (latest.value = now))
  async function done(id: string, take: (at: At) => Taken) {
    const { revision } = latest.value?.id === id ? latest.value : await asked(id)
    show(await answer(take({ ...ofBuild(id), revision })))
  }

  let opening = ''
  async function open(id: string) {
    opening = id
    failed.value = ''
    errors.value = {}
    if (!isOpen(id)) latest.value = undefined
    try {
      const now = await asked(id)
      if (opening === id) latest.value = now // another one may be wanted by now
    } catch (error) {
      if (opening === id) failed.value = error instanceof Refused ? error.trouble.sentence : String(error)
    }
  }

  const answered = new Map<number, number>()
  watch(
    () => latest.value?.revision,
    (now) => {
      if (now !== undefined) answered.set(now, Date.now())
      for (const oldest of answered.keys()) if (answered.size > 60) answered.delete(oldest)
    },
    { flush: 'sync' },
  )
  /** Another page or device changed a build: where it is the open one, it is shown as it stands now. */
  function heard(id: string, revision: number) {
    const shown = latest.value
    if (!shown || (id && id !== shown.id)) return
    void inTurn(async () => {
      // what this page did itself is here by now
      if (latest.value?.id !== shown.id || latest.value.revision === revision || unsent.count) return
      if (Date.now() - (answered.get(revision) ?? -Infinity) < OWN_MS) return
      await asked(shown.id).then(show, () => undefined)
    })
  }

  // sentences come in her unit; what a step under way still says in the one before is replaced
  watch(
    () => settings.unit,
    () =>
      inTurn(async () => {
        if (latest.value) await asked(latest.value.id).then(show, notices.complain)
      }),
  )

  /** A step on the present revision; errors stay with the fields that caused them. Answers whether it was taken. */
  const step = (take: (at: At) => Taken, fields: string[] = []) => {
    const id = latest.value?.id
    return inTurn(async () => !!id && taken(id, take, fields))
  }

  async function taken(id: string, take: (at: At) => Taken, fields: string[], away?: () => void): Promise<boolean> {
    const kept = { ...errors.value }
    for (const field of fields) for (const at in kept) if (at.startsWith(field)) delete kept[at]
    try {
      await done(id, take)
      if (isOpen(id)) errors.value = kept
      worked.value++
      return true
    } catch (error) {
      if (!(error instanceof Refused)) throw error
      const { sentence, faults, changed } = error.trouble
      if (error.status === 0 && away) {
        away()
        return false
      }
      if (!isOpen(id)) {
        notices.complain(error)
        return false
      }
      if (error.status === 409 && changed.length) {
        const said = `Not kept: the build was changed elsewhere meanwhile (${changed.join('; ')}). Enter keeps it.`
        const now = await asked(id).catch(() => undefined)
        // what was typed stays at its field, to be set all the same or let go
        errors.value = Object.fromEntries(fields.map((field) => [field, said]))
        if (now) show(now)
        notices.tell(`${sentence} Changed since: ${changed.join('; ')}.`)
        return false
      }
      for (const fault of faults) kept[fault.at] = fault.sentence
      errors.value = kept
      const seen = faults.some((fault) => fields.some((field) => fault.at.startsWith(field)))
      if (!seen) notices.complain(error)
      return false
    }
  }

  const setting = (waits: Pick<Waiting, 'changes' | 'label'>) => (at: At) =>
    api.POST('/api/builds/{build_id}/changes', {
      params: at.params,
      body: { revision: at.revision, changes: waits.changes, label: waits.label },
    })

  /** Fields set. What was typed or picked waits for a server that does not answer, behind what waits already. */
  function edit(changes: Change[], label = '') {
    const id = latest.value?.id
    return inTurn(async () => {
      if (!id) return false
      const waits: Waiting = { build: id, changes, label, fields: changes.map((change) => change.at) }
      if (unsent.count) {
        unsent.wait(waits)
        return false
      }
      return taken(id, setting(waits), waits.fields, () => unsent.wait(waits))
    })
  }

  /** An edit that waited, on the build as it stands now. Answers false while the server is away. */
  function sendAgain(one: Waiting): Promise<boolean> {
    return inTurn(async () => {
      try {
        await done(one.build, setting(one))
        return true
      } catch (error) {
        if (!(error instanceof Refused)) throw error
        if ([0, 503, 507].includes(error.status)) return false // away, busy, or its disk is full
        if (error.status === 409 && error.trouble.changed.length) {
          if (isOpen(one.build)) await open(one.build)
          return false // it is tried again on the build as it is now
        }
        const kept = { ...errors.value }
        for (const field of one.fields) kept[field] = error.trouble.sentence // what was typed stays there
        for (const fault of error.trouble.faults) kept[fault.at] = fault.sentence
        if (isOpen(one.build)) errors.value = kept
        notices.tell(`What waited could not be kept: ${error.trouble.sentence}`)
        return true
      }
    })
  }
  unsent.sendWith(sendAgain)

  const set = (at: string, value: unknown) => edit([{ at, value }])
  const back = (to: '/api/builds/{build_id}/undo' | '/api/builds/{build_id}/redo') =>
    step(({ params, revision }) => api.POST(to, { params, body: { revision } }))
  const undo = () => latest.value?.undoes && back('/api/builds/{build_id}/undo')
  const redo = () => latest.value?.redoes && back('/api/builds/{build_id}/redo')
  const restore = (to: number) =>
    step(({ params, revision }) => api.POST('/api/builds/{build_id}/restore', { params, body: { revision, to } }))

  /** What would follow from changes that are not kept; nothing where the garment could not be made so. */
  async function tryOut(changes: Change[]): Promise<Plan | undefined> {
    if (!latest.value) return undefined
    try {
      return await answer(api.POST('/api/builds/{build_id}/trial', { ...ofBuild(latest.value.id), body: { changes } }))
    } catch (error) {
      notices.complain(error)
      return undefined
    }
  }

  /** A file that goes into the open build; what is wrong with it is told with its name. */
  function takeFile(file: File, take: (at: At) => Taken, said = ''): Promise<boolean> {
    const id = latest.value?.id
    return inTurn(async () => {
      if (!id) return false
      try {
        await done(id, take)
        if (said) notices.tell(said)
        return true
      } catch (error) {
        notices.tell(`${file.name}: ${error instanceof Refused ? error.trouble.sentence : 'it could not be read.'}`)
        return false
      }
    })
  }

  /** What is said at a field: an error of what was typed, else a finding that belongs there. */
  function saidAt(at: string): { text: string; severity: Severity | 'error' } | undefined {
    if (unsent.at(latest.value?.id, at)) return { text: 'Not sent yet: it waits.', severity: 'caution' }
    const error = entriesOf(errors.value).find(([place]) => place === at || place.startsWith(`${at}.`))
    if (error) return { text: error[1], severity: 'error' }
    const finding = latest.value?.plan.findings.find((finding) => finding.at === at)
    // what she has not come to yet is no alarm
    return finding && { text: finding.sentence, severity: finding.code === 'measure' ? 'advice' : finding.severity }
  }

  const forget = (at: string) => {
    errors.value = Object.fromEntries(Object.entries(errors.value).filter(([place]) => !place.startsWith(at)))
  }

  return {
    latest,
    here,
    plan,
    build,
    pattern,
    layers,
    kind,
    levels,
    zero,
    errors,
    failed,
    worked,
    heard,
    open,
    step,
    edit,
    set,
    undo,
    redo,
    restore,
    tryOut,
    takeFile,
    saidAt,
    forget,
  }
})
