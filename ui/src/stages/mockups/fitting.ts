import type { BackPhoto, Fitting, NewFitting, Plan, Pull, Unit } from '../../api/types'
import { length, smallUnit, withUnit } from '../../parts/words'
import { certain } from '../../parts/certain'
import { entriesOf } from '../../parts/entries'
import { blank, key, read, renewed, sent, sentNames, small, tableOf, valueOf } from './answers'
import type { Answers, FittingField } from './answers'

/** A height, the gap there as it was worn, and as it was at each other pull of the evening. */
export interface GapRow {
  key: number
  z: string
  gap: string
  also: string[]
  spread?: number
}

/** A fitting while it is written down: everything as text, as she typed it. Empty is not said. */
export interface Written {
  version?: number
  boned: boolean
  closing: 'laced' | 'pinned' | 'open'
  padded: boolean
  rows: GapRow[]
  also: Pull[]
  photos: BackPhoto[]
  answers: Answers
}

type Pads = NonNullable<NewFitting['pads']>
type MadeOf = NonNullable<NewFitting['made_of']>

const answersOf = (fields: FittingField[], answer: (field: FittingField) => Answers[string]): Answers =>
  Object.fromEntries(fields.map((field) => [field.field, answer(field)]))

type Off = { way: string; off: string }
/** How a fitting was held before its fields were listed. */
type Earlier = Omit<Written, 'answers'> &
  Record<'pull' | 'under' | 'hours' | 'cost' | 'note', string> &
  Record<'laced' | 'under_it' | 'moved', Record<string, string>> & {
    finished: boolean
    words: { level: string; word: string }[]
    stand_offs: { level: string; off_mm: string | number }[]
    taps: { view: string; z: string; across: number; word: string; off: string; half?: string }[]
    pinches: { seam: number; from: string; to: string; amount: string; how: string; half?: string }[]
    edges: Record<string, Off>
    rides: Off
    swings: Off
  }

const BELOW = ['low', 'down', 'back'] // the ways that are below zero
const eitherWay = ({ way, off }: Off) => (way ? (BELOW.includes(way) ? '-' : '+') + off : '')

function fromEarlier(older: Earlier): Answers {
  const { pull, under, hours, cost, note, laced, under_it, moved } = older
  const offs = older.stand_offs.map(({ level, off_mm }): [string, string] => [level, String(off_mm)])
  const words = older.words.map(({ level, word }): [string, string] => [level, word])
  const row = (cells: Record<string, string | undefined>) => ({
    key: key(),
    cells: Object.fromEntries(entriesOf(cells)),
  })
  return {
    ...{ pull, under, hours, cost, note, laced, under_it, moved },
    finished: older.finished ? 'yes' : '',
    words: Object.fromEntries([...words, ...offs.map(([level]) => [level, 'stands off'])]),
    stand_offs: Object.fromEntries(offs),
    taps: older.taps.map(({ z, off, across, ...tap }) => row({ ...tap, z_mm: z, off_mm: off, across: String(across) })),
    pinches: older.pinches.map(({ seam, from, to, amount, how, half }) =>
      row({ seam: String(seam), from_mm: from, to_mm: to, amount_mm: (how === 'slashed' ? '-' : '+') + amount, half }),
    ),
    edges: Object.fromEntries(Object.entries(older.edges).map(([name, off]) => [name, eitherWay(off)])),
    rides_mm: eitherWay(older.rides),
    swings_mm: eitherWay(older.swings),
  }
}

/** What was typed before a reload, with keys that this page has not given out yet. */
export function renewedFitting(older: Written | Earlier, fields: FittingField[]): Written {
  const answers = 'answers' in older ? older.answers : fromEarlier(older)
  const { version, boned, closing, padded, also, photos } = older
  return {
    ...{ version, boned, closing, padded, also, photos },
    rows: older.rows.map((row) => ({ ...row, key: key() })),
    answers: answersOf(fields, (field) => renewed(field, answers[field.field])),
  }
}

/** Heights at which a gap is usually read: near the ends, at the waist, and between. */
export function usualRows(plan: Plan, unit: Unit): GapRow[] {
  const z = certain(plan.mock_up, 'the mock-up').z_mm
  const [low, high] = [Math.ceil(z[0] + 8), Math.floor(z[z.length - 1] - 8)]
  return [high, high / 2, 0, low / 2, low].map((height) => ({
    key: key(),
    z: length(height, unit, { bare: true }),
    gap: '',
    also: [],
  }))
}

const PULLS: Pull[] = ['light', 'close', 'firm']

/** A pull that no lacing of the evening has yet: the lightest, since it tells most beside a harder one. */
export const otherPull = (fitting: Written) =>
  PULLS.find((pull) => pull !== valueOf(fitting.answers, 'pull') && !fitting.also.includes(pull))

export function empty(fields: FittingField[], rows: GapRow[], pull: Pull, made: Partial<MadeOf> = {}): Written {
  return {
    boned: made.boned ?? true,
    closing: made.closing ?? 'laced',
    padded: true,
    rows,
    also: [],
    photos: [],
    answers: { ...answersOf(fields, blank), pull },
  }
}

/** A number as it is typed, with a comma or a real minus. */
export const numberOf = (text: string, scale: number) => Number(text.replace('−', '-').replace(',', '.')) * scale

const bare = (mm: number, unit: Unit) => length(mm, unit, { bare: true })

/** A fitting that was logged, or read on the stand, as it would have been written. */
export function written(fields: FittingField[], unit: Unit, fitting: Partial<Fitting>): Written {
  const also = fitting.also ?? []
  const rows = (fitting.readings ?? []).map((row) => ({
    key: key(),
    z: bare(row.z_mm, unit),
    gap: (row.gap_mm < 0 ? '−' : '') + small(row.gap_mm, unit), // pinned inside its seam
    also: also.map((other) => {
      const there = other.readings.find((reading) => reading.z_mm === row.z_mm)
      return there ? small(there.gap_mm, unit) : ''
    }),
    spread: row.spread_mm ?? undefined,
  }))
  const answers = answersOf(fields, (field) => read(field, fitting[field.field as keyof Fitting], unit))
  for (const field of fields)
    if (field.in_place_of)
      for (const name of sentNames(field, tableOf(answers, field.field)))
        tableOf(answers, field.in_place_of[0])[name] = field.in_place_of[1]
  return {
    ...empty(fields, rows, fitting.pull ?? 'close', fitting.made_of),
    padded: fitting.pads ? fitting.pads.length > 0 : true,
    also: also.map((other) => other.pull),
    photos: [...(fitting.photos ?? [])],
    answers: { ...answers, pull: fitting.pull ?? 'close' },
  }
}

/** The answers as they are told: by how much something stands off is told in place of that it does. */
function told(fields: FittingField[], answers: Answers): Answers {
  const settled = { ...answers }
  for (const field of fields) {
    if (!field.in_place_of) continue
    const [words, word] = field.in_place_of
    const amounts = Object.entries(tableOf(settled, field.field)).filter(
      ([name, by]) => by.trim() && tableOf(settled, words)[name] === word,
    )
    settled[field.field] = Object.fromEntries(amounts)
    settled[words] = Object.fromEntries(
      Object.entries(tableOf(settled, words)).filter(([name]) => !amounts.some(([at]) => at === name)),
    )
  }
  return settled
}

/** The name of the entry of a table that was sent in this place. */
export const nameSent = (fields: FittingField[], field: FittingField, answers: Answers, place: number) =>
  sentNames(field, tableOf(told(fields, answers), field.field))[place]

/** As the server takes it: lengths with their unit, what is empty left out. */
export function toSend(
  fields: FittingField[],
  fitting: Written,
  unit: Unit,
  made: MadeOf,
  pads: Pads = [],
): NewFitting {
  const mm = (text: string) => withUnit(text, smallUnit(unit))
  const settled = told(fields, fitting.answers)
  const answers = Object.fromEntries(
    fields.map((field) => [field.field, sent(field, settled[field.field], unit)]),
  ) as Partial<NewFitting> // as the server names them
  return {
    ...answers,
    version: fitting.version ?? null,
    made_of: { ...made, boned: fitting.boned, closing: fitting.closing },
    pads: fitting.padded ? pads : [],
    readings: fitting.rows
      .filter((row) => row.gap.trim())
      .map((row) => ({ z_mm: withUnit(row.z, unit), gap_mm: mm(row.gap), spread_mm: row.spread ?? null })),
    also: fitting.also.map((pull, k) => ({
      pull,
      readings: fitting.rows
        .filter((row) => row.also[k]?.trim())
        .map((row) => ({ z_mm: withUnit(row.z, unit), gap_mm: mm(row.also[k]) })),
    })),
    photos: fitting.photos,
  }
}
