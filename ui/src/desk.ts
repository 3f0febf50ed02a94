import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { get, Refused, send, sendFile } from './api/client'
import type {
  BookEntry, BoneKind, Catalogue, Change, EditedPattern, Finding, House, Line, PatternEdit, Plan, OpenBuild, TracedPattern,
} from './api/types'
import type { LevelName } from './words'

type Notice = { text: string; action?: { label: string; run: () => void } }

/** What lies on the table: the open build with its plan, the workshop's settings, and what went wrong where. */
export const useDesk = defineStore('desk', () => {
  const house = ref<House>({ unit: 'cm', theme: 'light', paper: 'a4' })
  const catalogue = ref<Catalogue>()
  const sheet = ref<OpenBuild>()
  const errors = ref<Record<string, string>>({})
  const notice = ref<Notice>()
  const failed = ref('')
  let queue: Promise<unknown> = Promise.resolve()

  const unit = computed(() => house.value.unit)
  const plan = computed(() => sheet.value?.plan)
  const build = computed(() => sheet.value?.build)
  const kind = computed(() => catalogue.value?.kinds.find((one) => one.name === (build.value?.kind ?? 'underbust corset')))
  const levels = computed<LevelName[]>(() => (kind.value?.levels ?? []) as LevelName[])
  const zero = computed(() => catalogue.value?.levels.find((level) => level.name === levels.value[0])?.zero ?? 'waist')

  /** Steps run one after another, each on the revision that the one before left. */
  function inTurn<T>(step: () => Promise<T>): Promise<T> {
    const next = queue.then(step, step)
    queue = next.catch(() => undefined)
    return next
  }

  function tell(text: string, action?: Notice['action']) {
    notice.value = { text, action }
  }

  function complain(error: unknown) {
    tell(error instanceof Refused ? error.trouble.sentence : 'Something went wrong here. Your work is kept.')
    if (!(error instanceof Refused)) throw error
  }

  async function start() {
    ;[house.value, catalogue.value] = await Promise.all([get<House>('/house'), get<Catalogue>('/catalogue')])
  }

  async function open(id: string) {
    failed.value = ''
    errors.value = {}
    if (sheet.value?.id !== id) sheet.value = undefined
    try {
      sheet.value = await get<OpenBuild>(`/builds/${id}`)
    } catch (error) {
      failed.value = error instanceof Refused ? error.trouble.sentence : String(error)
    }
  }

  /** A step on the present revision; errors stay with the fields that caused them. Answers whether it was taken. */
  function step(path: string, body: Record<string, unknown>, fields: string[] = [], how: 'POST' | 'PUT' = 'POST'): Promise<boolean> {
    return inTurn(async () => {
      const here = sheet.value
      if (!here) return false
      const kept = { ...errors.value }
      for (const field of fields) for (const at in kept) if (at.startsWith(field)) delete kept[at]
      try {
        sheet.value = await send<OpenBuild>(how, `/builds/${here.id}/${path}`, { revision: here.revision, ...body })
        errors.value = kept
        return true
      } catch (error) {
        if (!(error instanceof Refused)) throw error
        if (error.status === 409 && error.trouble.changed?.length) {
          await open(here.id)
          tell(`${error.trouble.sentence} Changed since: ${error.trouble.changed.join('; ')}.`)
          return false
        }
        const faults = error.trouble.faults ?? []
        for (const fault of faults) kept[fault.at] = fault.sentence
        errors.value = kept
        const seen = faults.some((fault) => fields.some((field) => fault.at.startsWith(field)))
        if (!seen) complain(error)
        return false
      }
    })
  }

  const edit = (changes: Change[], label = '') =>
    step(
      'changes',
      { changes, label },
      changes.map((change) => change.at),
    )
  const set = (at: string, value: unknown) => edit([{ at, value }])
  const undo = () => sheet.value?.undoes && step('undo', {})
  const redo = () => sheet.value?.redoes && step('redo', {})
  const restore = (to: number) => step('restore', { to })
  const version = (what: 'cut' | 'accept' | 'back' | 'fix', to?: number) => step('versions', { what, to })
  /** Edits of the pattern by hand; what is refused stays with the field it names, below `edit`. */
  const editPattern = (edits: PatternEdit[]) => step('pattern', { edits }, ['edit'])
  const previewEdit = (edits: PatternEdit[]) =>
    sheet.value ? send<EditedPattern>('POST', `/builds/${sheet.value.id}/pattern/preview`, { edits }) : Promise.reject(new Error('no build'))
  const refit = (source: string) => step('refit', { source })
  const keepTraced = (traced: TracedPattern, name: string) => step('traced', { traced, name }, ['traced'])
  const writeDown = (taken_on: string | null) => step('book', { taken_on })
  const takeMeasuring = (measuring_id: string) => step('measuring', { measuring_id })
  const addPicture = (file: File, role: 'reference' | 'sketch') =>
    takeFile(`pictures?role=${role}&name=${encodeURIComponent(file.name)}`, file)
  const fitting = (given: Record<string, unknown>) => step('fittings', given, ['fittings'])
  const mendFitting = (number: number, given: Record<string, unknown>) => step(`fittings/${number}`, given, ['fittings'], 'PUT')
  /** One line of the proposed change by hand; without amounts it goes back, without a seam all do. */
  const setLine = (given: { seam?: number; level?: string; cf_side_mm?: string | number; cb_side_mm?: string | number }) =>
    step('change/line', given, ['line_edits'], 'PUT')

  const bonesAreCut = () => step('bones/cut', {})
  const keepKind = (kind: Record<string, unknown>) => step('catalogue/bones', { kind }, ['catalogue'], 'PUT')
  /** Every kind of bone there is to choose from: the shipped ones, with the build's own. */
  const bones = computed<BoneKind[]>(() => {
    const own = build.value?.catalogue?.bones ?? {}
    const shipped = catalogue.value?.bones ?? []
    return [...shipped.map((kind) => own[kind.name] ?? kind), ...Object.values(own).filter((kind) => !shipped.some((one) => one.name === kind.name))]
  })

  const typeIn = (given: { levels: { name: string; widths_mm: string[] }[]; front_panels: number }) =>
    step('typed', given, ['typed'])

  function tryOut(changes: Change[]): Promise<Plan | undefined> {
    const here = sheet.value
    if (!here) return Promise.resolve(undefined)
    return send<Plan>('POST', `/builds/${here.id}/trial`, { changes }).catch((error) => {
      complain(error)
      return undefined
    })
  }

  /** A file that goes into the open build; what is wrong with it is told with its name. */
  function takeFile(path: string, file: File, said = ''): Promise<boolean> {
    return inTurn(async () => {
      const here = sheet.value
      if (!here) return false
      try {
        const joint = path.includes('?') ? '&' : '?'
        sheet.value = await sendFile<OpenBuild>(`/builds/${here.id}/${path}${joint}revision=${here.revision}`, file)
        if (said) tell(said)
        return true
      } catch (error) {
        tell(`${file.name}: ${error instanceof Refused ? error.trouble.sentence : 'it could not be read.'}`)
        return false
      }
    })
  }
  const takeLetter = (file: File) => takeFile('letter', file, 'Her measures are in, marked as not checked.')

  async function setHouse(changes: Partial<House>) {
    house.value = await send<House>('PUT', '/house', { ...house.value, ...changes })
    if (sheet.value && changes.unit) sheet.value = await get<OpenBuild>(`/builds/${sheet.value.id}`)
  }

  /** What is said at a field: an error of what was typed, else a finding that belongs there. */
  function saidAt(at: string): { text: string; severity: Finding['severity'] | 'error' } | undefined {
    const error = Object.entries(errors.value).find(([place]) => place === at || place.startsWith(`${at}.`))
    if (error) return { text: error[1], severity: 'error' }
    const finding = plan.value?.findings?.find((one) => one.at === at)
    return finding && { text: finding.sentence, severity: finding.severity }
  }

  const forget = (at: string) => {
    errors.value = Object.fromEntries(Object.entries(errors.value).filter(([place]) => !place.startsWith(at)))
  }

  return {
    house, catalogue, bones, bonesAreCut, keepKind, sheet, errors, notice, failed, unit, plan, build, kind, levels, zero,
    editPattern, previewEdit, refit, keepTraced, writeDown, takeMeasuring, addPicture,
    start, open, edit, set, undo, redo, restore, version, fitting, mendFitting, setLine, tryOut, typeIn, takeLetter, setHouse, saidAt, forget, tell, complain,
  }
})

export const workshop = {
  list: (archived = false) => get<Line[]>(`/builds?archived=${archived}`),
  make: (name: string, character: string, kind: string) => send<Line>('POST', '/builds', { name, character, kind }),
  wearers: () => get<BookEntry[]>('/wearers'),
  forgetWearer: (id: string) => send<void>('DELETE', `/wearers/${id}`),
  bringWearerBack: (id: string) => send<void>('POST', `/wearers/${id}/undelete`),
  takeIn: (file: Blob) => sendFile<Line>('/builds/import', file),
  rehearse: (id: string, world: 'kind' | 'harsh') => send<Line>('POST', `/builds/${id}/rehearse?world=${world}`),
  duplicate: (id: string) => send<Line>('POST', `/builds/${id}/duplicate`),
  archive: (id: string, archived: boolean) => send<Line>('POST', `/builds/${id}/archive?archived=${archived}`),
  remove: (id: string) => send<void>('DELETE', `/builds/${id}`),
  bringBack: (id: string) => send<Line>('POST', `/builds/${id}/undelete`),
}
