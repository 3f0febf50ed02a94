import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { get, Refused, send, sendFile } from '../api/client'
import type {
  BoneKind,
  Change,
  Cloth,
  EditedPattern,
  Finding,
  LevelName,
  NewFitting,
  OpenBuild,
  PatternEdit,
  Plan,
  SetLine,
  TracedPattern,
  TypedIn,
  WrittenBone,
} from '../api/types'
import { turns } from '../parts/turns'
import { useNotices } from './notices'
import { useSettings } from './settings'
import { useUnsent, type Waiting } from './unsent'

/** The open build with its plan as the server answered last, and what was refused at which field. */
const OWN_MS = 5000 // so soon after this page was answered with a revision, news of it is its own

export const useBuild = defineStore('build', () => {
  const settings = useSettings()
  const notices = useNotices()
  const unsent = useUnsent()
  const latest = shallowRef<OpenBuild>() // replaced as a whole, never written into
  const errors = ref<Record<string, string>>({})
  const failed = ref('')
  const worked = ref(0) // how often something was changed here

  const plan = computed(() => latest.value?.plan)
  const build = computed(() => latest.value?.build)
  const kind = computed(() =>
    settings.catalogue?.kinds.find((one) => one.name === (build.value?.kind ?? 'underbust corset')),
  )
  const levels = computed<LevelName[]>(() => kind.value?.levels ?? [])
  const zero = computed(
    () => settings.catalogue?.levels.find((level) => level.name === levels.value[0])?.zero ?? 'waist',
  )
  /** All there is to choose from: what is shipped, with the build's own added or in its place. */
  const withOwn = <T extends { name: string }>(shipped: T[] = [], own: Record<string, T> = {}) => [
    ...shipped.map((one) => own[one.name] ?? one),
    ...Object.values(own).filter((one) => !shipped.some((other) => other.name === one.name)),
  ]
  const bones = computed<BoneKind[]>(() => withOwn(settings.catalogue?.bones, build.value?.catalogue?.bones))
  const cloths = computed<Cloth[]>(() => withOwn(settings.catalogue?.cloths, build.value?.catalogue?.cloths))
  /** Cloths that can carry the pull. */
  const carrying = computed(() => cloths.value.filter((one) => one.suits.includes('strength')))

  /** Steps run one after another, each on the revision that the one before left. */
  const inTurn = turns()

  async function open(id: string) {
    failed.value = ''
    errors.value = {}
    if (latest.value?.id !== id) latest.value = undefined
    try {
      latest.value = await get<OpenBuild>(`/builds/${id}`)
    } catch (error) {
      failed.value = error instanceof Refused ? error.trouble.sentence : String(error)
    }
  }

  const answered = new Map<number, number>()
  watch(
    () => latest.value?.revision,
    (now) => {
      if (now !== undefined) answered.set(now, Date.now())
      if (answered.size > 60) answered.delete(answered.keys().next().value!)
    },
    { flush: 'sync' },
  )
  /** Another page or device changed a build: where it is the open one, it is shown as it stands now. */
  function heard(id: string, revision: number) {
    const here = latest.value
    if (!here || (id && id !== here.id)) return
    void inTurn(async () => {
      // what this page did itself is here by now
      if (latest.value?.id !== here.id || latest.value.revision === revision || unsent.count) return
      if (Date.now() - (answered.get(revision) ?? -Infinity) < OWN_MS) return
      latest.value = await get<OpenBuild>(`/builds/${here.id}`).catch(() => latest.value)
    })
  }

  // sentences come in her unit
  watch(
    () => settings.unit,
    async () => {
      if (latest.value) latest.value = await get<OpenBuild>(`/builds/${latest.value.id}`)
    },
  )

  /** A step on the present revision; errors stay with the fields that caused them. Answers whether it was taken. */
  function step(path: string, body: object, fields: string[] = [], how: 'POST' | 'PUT' = 'POST'): Promise<boolean> {
    return inTurn(async () => {
      const here = latest.value
      if (!here) return false
      const one: Waiting = { build: here.id, path, body: body as Record<string, unknown>, fields, how }
      if (unsent.count && waits(one)) {
        unsent.wait(one) // behind what waits already
        return false
      }
      const kept = { ...errors.value }
      for (const field of fields) for (const at in kept) if (at.startsWith(field)) delete kept[at]
      try {
        latest.value = await send<OpenBuild>(how, `/builds/${here.id}/${path}`, { revision: here.revision, ...body })
        errors.value = kept
        worked.value++
        return true
      } catch (error) {
        if (!(error instanceof Refused)) throw error
        if (error.status === 0 && waits(one)) {
          unsent.wait(one)
          return false
        }
        if (error.status === 409 && error.trouble.changed?.length) {
          const changed = error.trouble.changed.join('; ')
          const said = `Not kept: the build was changed elsewhere meanwhile (${changed}). Enter keeps it.`
          const now = await get<OpenBuild>(`/builds/${here.id}`).catch(() => undefined)
          // what was typed stays at its field, to be set all the same or let go
          errors.value = Object.fromEntries(fields.map((field) => [field, said]))
          if (now) latest.value = now
          notices.tell(`${error.trouble.sentence} Changed since: ${changed}.`)
          return false
        }
        const faults = error.trouble.faults ?? []
        for (const fault of faults) kept[fault.at] = fault.sentence
        errors.value = kept
        const seen = faults.some((fault) => fields.some((field) => fault.at.startsWith(field)))
        if (!seen) notices.complain(error)
        return false
      }
    })
  }

  /** What was typed or picked waits for the server; what follows from the state of the build is asked again by hand. */
  const waits = (one: Waiting) => one.path === 'changes'

  /** One that waited, on the build as it stands now. Answers false while the server is away. */
  function sendAgain(one: Waiting): Promise<boolean> {
    return inTurn(async () => {
      try {
        const now = latest.value?.id === one.build ? latest.value : await get<OpenBuild>(`/builds/${one.build}`)
        const then = await send<OpenBuild>(one.how, `/builds/${one.build}/${one.path}`, {
          revision: now.revision,
          ...one.body,
        })
        if (latest.value?.id === one.build) latest.value = then
        return true
      } catch (error) {
        if (!(error instanceof Refused)) throw error
        if ([0, 503, 507].includes(error.status)) return false // away, busy, or its disk is full
        if (error.status === 409 && error.trouble.changed?.length) {
          if (latest.value?.id === one.build) await open(one.build)
          return false // it is tried again on the build as it is now
        }
        const kept = { ...errors.value }
        for (const field of one.fields) kept[field] = error.trouble.sentence // what was typed stays there
        for (const fault of error.trouble.faults ?? []) kept[fault.at] = fault.sentence
        if (latest.value?.id === one.build) errors.value = kept
        notices.tell(`What waited could not be kept: ${error.trouble.sentence}`)
        return true
      }
    })
  }
  unsent.sendWith(sendAgain)

  const edit = (changes: Change[], label = '') =>
    step(
      'changes',
      { changes, label },
      changes.map((change) => change.at),
    )
  const set = (at: string, value: unknown) => edit([{ at, value }])
  const undo = () => latest.value?.undoes && step('undo', {})
  const redo = () => latest.value?.redoes && step('redo', {})
  const restore = (to: number) => step('restore', { to })
  const version = (what: 'cut' | 'accept' | 'back' | 'fix', to?: number) => step('versions', { what, to })
  /** Edits of the pattern by hand; what is refused stays with the field it names, below `edit`. */
  const editPattern = (edits: PatternEdit[]) => step('pattern', { edits }, ['edit'])
  const previewEdit = (edits: PatternEdit[]) =>
    latest.value
      ? send<EditedPattern>('POST', `/builds/${latest.value.id}/pattern/preview`, { edits })
      : Promise.reject(new Error('no build'))
  const refit = (source: string) => step('refit', { source })
  const keepTraced = (traced: TracedPattern, name: string) => step('traced', { traced, name }, ['traced'])
  const typeIn = (given: TypedIn) => step('typed', given, ['typed'])
  const writeDown = (taken_on: string | null) => step('book', { taken_on })
  const takeMeasuring = (measuring_id: string) => step('measuring', { measuring_id })
  const fitting = (given: NewFitting) => step('fittings', given, ['fittings'])
  const mendFitting = (number: number, given: NewFitting) => step(`fittings/${number}`, given, ['fittings'], 'PUT')
  /** One line of the proposed change by hand; without amounts it goes back, without a seam all do. */
  const setLine = (given: SetLine) => step('change/line', given, ['line_edits'], 'PUT')
  const keepKind = (kind: WrittenBone) => step('catalogue/bones', { kind }, ['catalogue'], 'PUT')

  const putPly = (role: string) => step('plies', { role }, ['layers.plies'])
  const takePly = (at: number) => step('plies/take', { at })
  const movePly = (at: number, outward: boolean) => step('plies/move', { at, outward })
  const keepCloth = (cloth: Record<string, unknown>, ply: number) =>
    step('catalogue/cloths', { cloth, ply }, ['catalogue'], 'PUT')

  function tryOut(changes: Change[]): Promise<Plan | undefined> {
    const here = latest.value
    if (!here) return Promise.resolve(undefined)
    return send<Plan>('POST', `/builds/${here.id}/trial`, { changes }).catch((error) => {
      notices.complain(error)
      return undefined
    })
  }

  /** A file that goes into the open build; what is wrong with it is told with its name. */
  function takeFile(path: string, file: File, said = ''): Promise<boolean> {
    return inTurn(async () => {
      const here = latest.value
      if (!here) return false
      try {
        const joint = path.includes('?') ? '&' : '?'
        latest.value = await sendFile<OpenBuild>(`/builds/${here.id}/${path}${joint}revision=${here.revision}`, file)
        if (said) notices.tell(said)
        return true
      } catch (error) {
        notices.tell(`${file.name}: ${error instanceof Refused ? error.trouble.sentence : 'it could not be read.'}`)
        return false
      }
    })
  }
  const takeLetter = (file: File) => takeFile('letter', file, 'Her measures are in, marked as not checked.')
  const addPicture = (file: File, role: 'reference' | 'sketch') =>
    takeFile(`pictures?role=${role}&name=${encodeURIComponent(file.name)}`, file)

  /** What is said at a field: an error of what was typed, else a finding that belongs there. */
  function saidAt(at: string): { text: string; severity: Finding['severity'] | 'error' } | undefined {
    if (unsent.at(latest.value?.id, at)) return { text: 'Not sent yet: it waits.', severity: 'caution' }
    const error = Object.entries(errors.value).find(([place]) => place === at || place.startsWith(`${at}.`))
    if (error) return { text: error[1], severity: 'error' }
    const finding = plan.value?.findings?.find((one) => one.at === at)
    // what she has not come to yet is no alarm
    return finding && { text: finding.sentence, severity: finding.code === 'measure' ? 'advice' : finding.severity }
  }

  const forget = (at: string) => {
    errors.value = Object.fromEntries(Object.entries(errors.value).filter(([place]) => !place.startsWith(at)))
  }

  return {
    latest,
    plan,
    build,
    kind,
    levels,
    zero,
    bones,
    cloths,
    carrying,
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
    version,
    editPattern,
    previewEdit,
    refit,
    keepTraced,
    typeIn,
    writeDown,
    takeMeasuring,
    fitting,
    mendFitting,
    setLine,
    keepKind,
    putPly,
    takePly,
    movePly,
    keepCloth,
    tryOut,
    takeLetter,
    addPicture,
    saidAt,
    forget,
  }
})
