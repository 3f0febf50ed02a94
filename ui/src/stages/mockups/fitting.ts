import type { BackPhoto, Fitting, LevelName, NewFitting, Plan, Pull, Unit, View, Word } from '../../api/types'
import { hardware, length, withUnit } from '../../parts/words'
import { certain } from '../../parts/certain'
import { entriesOf } from '../../parts/entries'

/** A height, the gap there as it was worn, and as it was at each other pull of the evening. */
export interface Row {
  key: number
  z: string
  gap: string
  also: string[]
  spread?: number
}

/** A fitting while it is written down: everything as text, as she typed it. Empty is not said. */
export interface Written {
  version?: number
  pull: Pull
  boned: boolean
  closing: 'laced' | 'pinned' | 'open'
  finished: boolean
  padded: boolean
  under: string
  rows: Row[]
  also: Pull[]
  laced: Record<string, string | undefined>
  under_it: Record<string, string | undefined>
  words: { level: LevelName; word: Word }[]
  stand_offs: { level: LevelName; off_mm: string | number }[]
  taps: { key: number; view: View; z: string; across: number; word: Word; off: string; half: Half }[]
  pinches: {
    key: number
    seam: number
    from: string
    to: string
    amount: string
    how: 'pinched' | 'slashed'
    half: Half
  }[]
  edges: Record<string, { way: '' | 'high' | 'low'; off: string }>
  rides: { way: '' | 'up' | 'down'; off: string }
  swings: { way: '' | 'front' | 'back'; off: string }
  moved: Record<string, '' | 'well' | 'hard' | 'not'>
  photos: BackPhoto[]
  hours: string
  cost: string
  note: string
}

type Pads = NonNullable<NewFitting['pads']>
type MadeOf = NonNullable<NewFitting['made_of']>
export type Half = NonNullable<NonNullable<Fitting['pinches']>[number]['half']>
type EdgeSaid = NonNullable<Fitting['edges']>[number]
type MovementTest = NonNullable<Fitting['moved']>[number]['test']

const edgeOf = (name: string) => {
  const [edge, place] = name.split(' ')
  return { edge, place } as Pick<EdgeSaid, 'edge' | 'place'>
}

export const EDGES = ['top CF', 'top side', 'top CB', 'hem CF', 'hem side', 'hem CB'] as const
export const TESTS = ['sit', 'bend', 'breathe', 'raise arms', 'turn the head', 'in alone', 'out alone'] as const
let keys = 0
export const key = () => keys++

/** What was typed before a reload, with keys that this page has not given out yet. */
export function renumbered(one: Written): Written {
  const anew = <T extends { key: number }>(rows: T[]) => rows.map((row) => ({ ...row, key: key() }))
  const rows = one.rows.map((row) => ({ ...row, also: row.also })) // kept before there were other pulls
  return {
    ...one,
    also: one.also,
    under_it: one.under_it,
    finished: one.finished,
    padded: one.padded,
    rows: anew(rows),
    taps: anew(one.taps).map((tap) => ({ ...tap, half: tap.half })),
    // kept before halves were told
    pinches: anew(one.pinches).map((pinch) => ({ ...pinch, half: pinch.half })),
  }
}

/** Heights at which a gap is usually read: near the ends, at the waist, and between. */
export function usualRows(plan: Plan, unit: Unit) {
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
export const otherPull = (one: Written) => PULLS.find((pull) => pull !== one.pull && !one.also.includes(pull))

export function empty(plan: Plan, unit: Unit, pull: Pull, boned: boolean, closing: Written['closing']): Written {
  return {
    pull,
    boned,
    closing,
    finished: false,
    padded: true,
    under: '',
    rows: usualRows(plan, unit),
    also: [],
    laced: {},
    under_it: {},
    words: [],
    stand_offs: [],
    taps: [],
    pinches: [],
    edges: Object.fromEntries(EDGES.map((edge) => [edge, { way: '' as const, off: '' }])),
    rides: { way: '', off: '' },
    swings: { way: '', off: '' },
    moved: {},
    photos: [],
    hours: '',
    cost: '',
    note: '',
  }
}

/** A number as it is typed, with a comma or a real minus. */
export const numberOf = (text: string, scale: number) => Number(text.replace('−', '-').replace(',', '.')) * scale

const bare = (mm: number, unit: Unit) => length(mm, unit, { bare: true })
const small = (mm: number, unit: Unit) => hardware(Math.abs(mm), unit).replace(/ \w+$/, '')

/** A fitting that was logged, or read on the stand, as it would have been written. */
export function written(plan: Plan, unit: Unit, one: Partial<Fitting>): Written {
  const found = empty(plan, unit, one.pull ?? 'close', one.made_of?.boned ?? true, one.made_of?.closing ?? 'laced')
  found.finished = one.finished ?? false
  found.padded = one.pads ? one.pads.length > 0 : true
  found.under = one.under ?? ''
  found.rows = (one.readings ?? []).map((row) => ({
    key: key(),
    z: bare(row.z_mm, unit),
    gap: (row.gap_mm < 0 ? '−' : '') + small(row.gap_mm, unit), // pinned inside its seam
    also: (one.also ?? []).map((other) => {
      const there = other.readings.find((reading) => reading.z_mm === row.z_mm)
      return there ? small(there.gap_mm, unit) : ''
    }),
    spread: row.spread_mm ?? undefined,
  }))
  found.also = (one.also ?? []).map((other) => other.pull)
  found.under_it = Object.fromEntries((one.under_it ?? []).map((girth) => [girth.level, bare(girth.girth_mm, unit)]))
  found.laced = Object.fromEntries((one.laced ?? []).map((girth) => [girth.level, bare(girth.girth_mm, unit)]))
  found.words = [...(one.words ?? [])]
  found.stand_offs = (one.stand_offs ?? []).map((said) => ({ ...said, off_mm: small(said.off_mm, unit) }))
  found.taps = (one.taps ?? []).map((tap) => ({
    key: key(),
    view: tap.view,
    z: bare(tap.z_mm, unit),
    across: tap.across,
    word: tap.word,
    off: tap.off_mm ? small(tap.off_mm, unit) : '',
    half: tap.half,
  }))
  found.pinches = (one.pinches ?? []).map((pinch) => ({
    key: key(),
    seam: pinch.seam,
    from: bare(pinch.from_mm, unit),
    to: bare(pinch.to_mm, unit),
    amount: small(pinch.amount_mm, unit),
    how: pinch.amount_mm < 0 ? 'slashed' : 'pinched',
    half: pinch.half,
  }))
  for (const edge of one.edges ?? [])
    found.edges[`${edge.edge} ${edge.place}`] = { way: edge.off_mm < 0 ? 'low' : 'high', off: small(edge.off_mm, unit) }
  if (one.rides_mm) found.rides = { way: one.rides_mm < 0 ? 'down' : 'up', off: small(one.rides_mm, unit) }
  if (one.swings_mm) found.swings = { way: one.swings_mm < 0 ? 'back' : 'front', off: small(one.swings_mm, unit) }
  found.moved = Object.fromEntries((one.moved ?? []).map((test) => [test.test, test.went]))
  found.photos = [...(one.photos ?? [])]
  found.hours = one.hours?.toString() ?? ''
  found.cost = one.cost?.toString() ?? ''
  found.note = one.note ?? ''
  return found
}

/** How it sat at a level, all round, as it is written: a word, and by how much it stood off. */
export function satAt(one: Written, level: LevelName): { word: Word | ''; off: string } {
  const off = one.stand_offs.find((said) => said.level === level)?.off_mm
  if (off !== undefined) return { word: 'stands off', off: String(off) }
  return { word: one.words.find((said) => said.level === level)?.word ?? '', off: '' }
}

/** Writes how it sat at a level; without a word nothing is said of it. */
export function writeSat(one: Written, level: LevelName, word: Word | '', off: string) {
  one.words = one.words.filter((said) => said.level !== level)
  one.stand_offs = one.stand_offs.filter((said) => said.level !== level)
  if (word === 'stands off' && off.trim()) one.stand_offs.push({ level, off_mm: off })
  else if (word) one.words.push({ level, word })
}

/** As the server takes it: lengths with their unit, what is empty left out. */
export function toSend(one: Written, unit: Unit, made: MadeOf, pads: Pads = []): NewFitting {
  const gapUnit = unit === 'in' ? 'in' : 'mm'
  const mm = (text: string) => withUnit(text, gapUnit)
  const signed = (text: string, minus: boolean) => (minus ? `-${mm(text).replace(/^[-−]/, '')}` : mm(text))
  const girths = (said: Record<string, string | undefined>) =>
    entriesOf(said)
      .filter(([, girth]) => girth.trim())
      .map(([level, girth]) => ({ level: level as LevelName, girth_mm: withUnit(girth, unit) }))
  const number = (text: string) => (text.trim() ? Number(text.replace(',', '.')) : null)
  return {
    version: one.version ?? null,
    pull: one.pull,
    made_of: { ...made, boned: one.boned, closing: one.closing },
    finished: one.finished,
    pads: one.padded ? pads : [],
    under: one.under,
    readings: one.rows
      .filter((row) => row.gap.trim())
      .map((row) => ({ z_mm: withUnit(row.z, unit), gap_mm: mm(row.gap), spread_mm: row.spread ?? null })),
    also: one.also.map((pull, k) => ({
      pull,
      readings: one.rows
        .filter((row) => row.also[k]?.trim())
        .map((row) => ({ z_mm: withUnit(row.z, unit), gap_mm: mm(row.also[k]) })),
    })),
    laced: girths(one.laced),
    under_it: girths(one.under_it),
    words: one.words,
    stand_offs: one.stand_offs.map((said) => ({
      ...said,
      off_mm: typeof said.off_mm === 'string' ? mm(said.off_mm) : said.off_mm,
    })),
    taps: one.taps.map((tap) => ({
      view: tap.view,
      z_mm: withUnit(tap.z, unit),
      across: tap.across,
      word: tap.word,
      off_mm: tap.word === 'stands off' && tap.off.trim() ? mm(tap.off) : null,
      half: tap.half,
    })),
    pinches: one.pinches.map((pinch) => ({
      seam: pinch.seam,
      from_mm: withUnit(pinch.from, unit),
      to_mm: withUnit(pinch.to, unit),
      amount_mm: signed(pinch.amount, pinch.how === 'slashed'),
      half: pinch.half,
    })),
    edges: Object.entries(one.edges)
      .filter(([, edge]) => edge.way && edge.off.trim())
      .map(([name, edge]) => ({ ...edgeOf(name), off_mm: signed(edge.off, edge.way === 'low') })),
    rides_mm: one.rides.way && one.rides.off.trim() ? signed(one.rides.off, one.rides.way === 'down') : null,
    swings_mm: one.swings.way && one.swings.off.trim() ? signed(one.swings.off, one.swings.way === 'back') : null,
    moved: Object.entries(one.moved).flatMap(([test, went]) => (went ? [{ test: test as MovementTest, went }] : [])),
    photos: one.photos,
    hours: number(one.hours),
    cost: number(one.cost),
    note: one.note,
  }
}
