import type { Build, Unit } from '../../api/types'
import { length } from '../../parts/words'

/** What can be put onto a garment, and the fields of each as she fills them in. */
export type Group = 'along' | 'areas' | 'flossing' | 'hanging' | 'straps' | 'chains'
export type Trims = NonNullable<Build['trims']>
export interface Field {
  at: string
  label: string
  kind:
    | 'length'
    | 'hardware'
    | 'number'
    | 'text'
    | 'pick'
    | 'tick'
    | 'cloth'
    | 'seam'
    | 'channel'
    | 'panels'
    | 'spots'
    | 'channels'
  picks?: readonly string[]
  hint?: string
  /** Seldom filled in: shown when more is asked for. */
  more?: boolean
  /** Shown only where the form has one of these values at another field. */
  only?: { at: string; is: readonly unknown[] }
}
const HALVES = ['both', 'right', 'left'] as const
const LINE = (drawn = true): Field[] => [
  {
    at: 'line.on',
    label: 'Along',
    kind: 'pick',
    picks: ['top line', 'hem', 'waist', 'seam', 'channel', ...(drawn ? ['drawn'] : [])],
  },
  { at: 'line.seam', label: 'Seam', kind: 'seam', only: { at: 'line.on', is: ['seam'] } },
  { at: 'line.channel', label: 'Channel', kind: 'channel', only: { at: 'line.on', is: ['channel'] } },
  { at: 'line.spots', label: 'Drawn on the panels', kind: 'spots', only: { at: 'line.on', is: ['drawn'] } },
  {
    at: 'line.in_mm',
    label: 'Inside the edge by',
    kind: 'hardware',
    only: { at: 'line.on', is: ['top line', 'hem'] },
  },
  { at: 'line.half', more: true, label: 'Half', kind: 'pick', picks: HALVES },
  { at: 'line.begins_mm', more: true, label: 'Begins after', kind: 'length', hint: 'at its beginning' },
  { at: 'line.ends_mm', more: true, label: 'Ends after', kind: 'length', hint: 'at its end' },
]
const NAME: Field = { at: 'name', label: 'What it is', kind: 'text' }
export const FIELDS: Record<Group, Field[]> = {
  along: [
    NAME,
    ...LINE(),
    { at: 'pitch_mm', label: 'A piece every', kind: 'hardware', hint: 'none: it runs on' },
    { at: 'ends', more: true, label: 'Ends', kind: 'pick', picks: ['on both ends', 'half a pitch in'] },
    { at: 'turn_in_mm', more: true, label: 'Turned in at each end', kind: 'hardware' },
    {
      at: 'sewn',
      label: 'Put on',
      kind: 'pick',
      picks: ['each by hand', 'along by hand', 'by machine', 'stuck or painted'],
    },
    { at: 'at_hand', label: 'Pieces at hand', kind: 'number' },
    { at: 'at_hand_mm', label: 'Length at hand', kind: 'length' },
    { at: 'grams', more: true, label: 'Grams of a piece, or a metre', kind: 'number' },
    { at: 'price', more: true, label: 'Price of a piece, or a metre', kind: 'number' },
    { at: 'detachable', more: true, label: 'On loops, to come off for washing', kind: 'tick' },
  ],
  areas: [
    NAME,
    {
      at: 'how',
      label: 'How',
      kind: 'pick',
      picks: ['pieces', 'light embroidery', 'dense embroidery', 'motif', 'paint'],
    },
    { at: 'panels', label: 'On panels', kind: 'panels' },
    { at: 'spots', label: 'Drawn on a panel', kind: 'spots' },
    { at: 'half', more: true, label: 'Half', kind: 'pick', picks: HALVES },
    { at: 'per_cm2', label: 'Pieces on a square centimetre', kind: 'number', only: { at: 'how', is: ['pieces'] } },
    { at: 'wide_mm', label: 'Wide', kind: 'length', only: { at: 'how', is: ['motif'] } },
    { at: 'high_mm', label: 'High', kind: 'length', only: { at: 'how', is: ['motif'] } },
    { at: 'count', label: 'How many', kind: 'number', only: { at: 'how', is: ['motif'] } },
    { at: 'at_hand', label: 'Pieces at hand', kind: 'number', only: { at: 'how', is: ['pieces', 'motif'] } },
    { at: 'grams', more: true, label: 'Grams of a piece, or a cm²', kind: 'number' },
    { at: 'price', more: true, label: 'Price of a piece, or a cm²', kind: 'number' },
  ],
  flossing: [
    { at: 'pattern', label: 'Pattern', kind: 'pick', picks: ['bar', 'cross', 'fan', 'arrow'] },
    { at: 'high_mm', label: 'High', kind: 'hardware' },
    { at: 'wide_mm', label: 'Wide', kind: 'hardware' },
    { at: 'strands', more: true, label: 'Strands', kind: 'number' },
    { at: 'ends', label: 'At which ends', kind: 'pick', picks: ['both', 'top', 'hem'] },
    { at: 'channels', more: true, label: 'Of these channels; none: all', kind: 'channels' },
  ],
  hanging: [
    NAME,
    ...LINE(),
    { at: 'cut', label: 'Cut', kind: 'pick', picks: ['gathered', 'circle'] },
    {
      at: 'part',
      label: 'Circle',
      kind: 'pick',
      picks: ['half', 'three quarter', 'full', 'double'],
      only: { at: 'cut', is: ['circle'] },
    },
    { at: 'tiers.0.depth_mm', label: 'Deep', kind: 'length' },
    { at: 'tiers.0.fullness', label: 'Full, times its length', kind: 'number', only: { at: 'cut', is: ['gathered'] } },
    {
      at: 'tiers.1.depth_mm',
      more: true,
      label: 'Second tier, deep',
      kind: 'length',
      only: { at: 'cut', is: ['gathered'] },
    },
    {
      at: 'tiers.1.fullness',
      more: true,
      label: 'Second tier, full',
      kind: 'number',
      only: { at: 'cut', is: ['gathered'] },
    },
    {
      at: 'tiers.2.depth_mm',
      more: true,
      label: 'Third tier, deep',
      kind: 'length',
      only: { at: 'cut', is: ['gathered'] },
    },
    {
      at: 'tiers.2.fullness',
      more: true,
      label: 'Third tier, full',
      kind: 'number',
      only: { at: 'cut', is: ['gathered'] },
    },
    { at: 'cloth', label: 'Cloth', kind: 'cloth' },
    { at: 'at_hand_mm', label: 'Cloth at hand', kind: 'length', hint: 'then its fullness follows' },
    {
      at: 'strips',
      more: true,
      label: 'Strips',
      kind: 'pick',
      picks: ['across', 'along'],
      only: { at: 'cut', is: ['gathered'] },
    },
    { at: 'heading_mm', more: true, label: 'Heading', kind: 'hardware', only: { at: 'cut', is: ['gathered'] } },
    { at: 'hem', label: 'Hemmed', kind: 'pick', picks: ['rolled by machine', 'by hand', 'not hemmed'] },
    { at: 'hem_mm', more: true, label: 'Hem', kind: 'hardware' },
    { at: 'opens', label: 'It opens at', kind: 'pick', picks: ['CF', 'CB', 'side', 'nowhere'] },
    { at: 'own_band', label: 'On a band of its own', kind: 'tick' },
    { at: 'more_grams', label: 'What else hangs on it, g', kind: 'number' },
  ],
  straps: [
    NAME,
    { at: 'kind', label: 'Kind', kind: 'pick', picks: ['strap', 'halter', 'off the shoulder'] },
    { at: 'front_mm', label: 'In front, from CF', kind: 'length' },
    { at: 'back_mm', label: 'Behind, from CB', kind: 'length' },
    { at: 'over_mm', label: 'Over the shoulder, by tape', kind: 'length', hint: 'from edge to edge' },
    { at: 'shoulder_up_mm', label: 'Shoulder above the waist', kind: 'length' },
    { at: 'shoulder_out_mm', more: true, label: 'Strap from the middle', kind: 'length' },
    { at: 'arm_mm', label: 'Girth of the arm', kind: 'length', only: { at: 'kind', is: ['off the shoulder'] } },
    { at: 'wide_mm', label: 'Wide', kind: 'hardware' },
    { at: 'ease_mm', label: 'Ease for raised arms', kind: 'hardware' },
    { at: 'in_length_mm', more: true, label: 'Sewn in at each end', kind: 'hardware' },
  ],
  chains: [
    NAME,
    { at: 'span_mm', label: 'From point to point', kind: 'length' },
    { at: 'lower_mm', more: true, label: 'The second lies lower by', kind: 'length' },
    { at: 'sag_mm', label: 'It sags by', kind: 'length' },
    { at: 'length_mm', label: 'Or it is as long as', kind: 'length' },
    { at: 'count', label: 'How many', kind: 'number' },
    { at: 'loops', more: true, label: 'On loops, to come off', kind: 'tick' },
    { at: 'grams', more: true, label: 'Grams of a metre', kind: 'number' },
    { at: 'price', more: true, label: 'Price of a metre', kind: 'number' },
  ],
}

export type Form = Record<string, unknown>
const BEGIN: Record<Group, Form> = {
  along: {
    name: 'beads',
    pitch_mm: 12,
    line: { on: 'top line', half: 'both', in_mm: 0 },
    ends: 'on both ends',
    sewn: 'each by hand',
    turn_in_mm: 10,
  },
  areas: { name: 'sequins', how: 'pieces', per_cm2: 1, half: 'both', panels: [1], wide_mm: 60, high_mm: 60, count: 2 },
  flossing: { pattern: 'fan', high_mm: 20, wide_mm: 12, strands: 1, ends: 'both' },
  hanging: {
    name: 'frill',
    cut: 'gathered',
    line: { on: 'hem', half: 'both', in_mm: 0 },
    tiers: [{ depth_mm: 60, fullness: 2 }],
    part: 'full',
    cloth: 'sateen',
    strips: 'across',
    hem: 'rolled by machine',
    hem_mm: 10,
    heading_mm: 0,
  },
  straps: {
    name: 'strap',
    kind: 'strap',
    front_mm: 90,
    back_mm: 80,
    shoulder_out_mm: 105,
    wide_mm: 25,
    ease_mm: 15,
    in_length_mm: 25,
  },
  chains: { name: 'chain', span_mm: 200, lower_mm: 0, sag_mm: 40, count: 1, loops: true },
}

const at = (trim: unknown, path: string): unknown =>
  path.split('.').reduce<unknown>((one, name) => (one as Record<string, unknown> | undefined)?.[name], trim)

/** A trim as its form shows it: text for lengths and numbers, else the value itself. */
export function shownOf(group: Group, trim: unknown, unit: Unit): Form {
  const found: Form = {}
  for (const field of FIELDS[group]) {
    const value = at(trim ?? BEGIN[group], field.at)
    if (field.kind === 'length' || field.kind === 'hardware')
      found[field.at] =
        typeof value === 'number' ? length(value, unit, { hardware: field.kind === 'hardware', bare: true }) : ''
    else if (field.kind === 'number' || field.kind === 'text') found[field.at] = value == null ? '' : String(value)
    else if (field.kind === 'tick') found[field.at] = value === true
    else if (['panels', 'spots', 'channels'].includes(field.kind))
      found[field.at] = Array.isArray(value) ? [...value] : []
    else found[field.at] = value ?? null
  }
  return found
}

export const shows = (field: Field, form: Form) => !field.only || field.only.is.includes(form[field.only.at])

/** A form as the server reads it: lengths with her unit, numbers with a point, empty ones as none. */
export function writtenOf(group: Group, form: Form, unit: Unit): Record<string, unknown> {
  const found: Record<string, unknown> = {}
  const tiers: Record<string, unknown>[] = []
  for (const field of FIELDS[group]) {
    const [head, ...rest] = field.at.split('.')
    const there = shows(field, form)
    if (!there && head !== 'line') continue
    const value = there ? form[field.at] : undefined
    let written: unknown = value
    if (field.kind === 'length' || field.kind === 'hardware') {
      const text = String(value ?? '').trim()
      const name = unit === 'in' ? 'in' : field.kind === 'hardware' ? 'mm' : 'cm'
      written = text === '' ? null : /^[\d\s.,/½¼¾⅛⅜⅝⅞]+$/.test(text) ? `${text} ${name}` : text
    } else if (field.kind === 'number')
      written =
        String(value ?? '')
          .trim()
          .replace(',', '.') || null
    else if (['panels', 'spots', 'channels'].includes(field.kind)) written = value ?? []
    if (head === 'tiers') {
      const [i, name] = [Number(rest[0]), rest[1]]
      if (written !== null && written !== undefined) (tiers[i] ??= {})[name] = written
    } else if (head === 'line')
      ((found.line ??= {}) as Record<string, unknown>)[rest[0]] = written ?? DEFAULTS[field.at] ?? null
    else if (written !== undefined) found[head] = written ?? DEFAULTS[field.at] ?? null
  }
  const kept = tiers.filter((tier) => tier.depth_mm !== undefined)
  if (kept.length) found.tiers = kept
  return found
}
/** What an empty field means where none is no answer. */
const DEFAULTS: Record<string, unknown> = {
  'line.in_mm': 0,
  'line.spots': [],
  'line.half': 'both',
  grams: 0,
  price: 0,
  turn_in_mm: 0,
  hem_mm: 0,
  heading_mm: 0,
  more_grams: 0,
  lower_mm: 0,
  ease_mm: 0,
  in_length_mm: 0,
}
