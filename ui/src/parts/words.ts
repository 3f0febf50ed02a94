import type { LevelFit, LevelName, Stage, Unit } from '../api/types'

// Shows lengths as the core does (fuseau/craft/lengths.py): cm to 0.1, inches to 1/8; hardware mm to 0.5, 1/16 in.
export function length(mm: number, unit: Unit, how: { hardware?: boolean; bare?: boolean } = {}): string {
  const size = Math.abs(mm)
  let count: number
  let shown: string
  let name: string
  if (unit === 'in') {
    const steps = how.hardware ? 16 : 8
    count = Math.floor((size / 25.4) * steps + 0.5)
    shown = fraction(count, steps)
    name = 'in'
  } else if (how.hardware) {
    count = Math.floor(size * 2 + 0.5)
    shown = String(count / 2)
    name = 'mm'
  } else {
    count = Math.floor(size + 0.5)
    shown = (count / 10).toFixed(1)
    name = 'cm'
  }
  const signed = (mm < 0 && count ? '−' : '') + shown
  return how.bare ? signed : `${signed} ${name}`
}

function fraction(count: number, steps: number): string {
  const whole = Math.floor(count / steps)
  let top = count % steps
  if (!top) return String(whole)
  let bottom = steps
  while (top % 2 === 0) {
    top /= 2
    bottom /= 2
  }
  return whole ? `${whole} ${top}/${bottom}` : `${top}/${bottom}`
}

/** Two lengths of one thing, the unit said once: 38.0 × 26.0 cm. */
export const across = (long: number, wide: number, unit: Unit) =>
  `${length(long, unit, { bare: true })} × ${length(wide, unit)}`

/** The unit in which small things are read: gaps, pinches, bones and holes. */
export const smallUnit = (unit: Unit) => (unit === 'in' ? 'in' : 'mm')

export const hardware = (mm: number, unit: Unit) => length(mm, unit, { hardware: true })

/** A length of what is sold off a roll, such as lace: metres to 0.1, yards to the quarter, rounded up. */
export const run = (mm: number, unit: Unit) => {
  if (mm < (unit === 'in' ? 914.4 : 1000)) return length(mm, unit)
  return unit === 'in'
    ? `${fraction(Math.ceil((mm / 914.4) * 4 - 1e-6), 4)} yd`
    : `${(Math.ceil(mm / 100 - 1e-6) / 10).toFixed(1)} m`
}

/** What is taken off or let out at one panel edge: mm to 0.1, inches to 1/32, without the unit. */
export const perEdge = (mm: number, unit: Unit) =>
  unit === 'in' ? fraction(Math.floor((mm / 25.4) * 32 + 0.5), 32) : mm.toFixed(1)

/** From one height to another, beside the zero line, the unit said once: 9.0 to 3.0 cm below the waist. */
export function from(lowMm: number, highMm: number, zero: string, unit: Unit): string {
  const bare = (mm: number) => length(Math.abs(mm), unit, { bare: true })
  const [near, far] = Math.abs(lowMm) < Math.abs(highMm) ? [lowMm, highMm] : [highMm, lowMm]
  if (lowMm >= 0 || highMm <= 0)
    return `${bare(near)} to ${bare(far)} ${unit} ${lowMm < 0 ? 'below' : 'above'} the ${zero}`
  return `${bare(lowMm)} below to ${bare(highMm)} ${unit} above the ${zero}`
}

/** What a change at a place answers. */
export const SEEN = {
  pinned: 'as pinned',
  slashed: 'as slashed',
  'stood off': 'where it stood off',
  'by hand': 'by hand',
}
export const RUNS_OUT = { hem: 'out at the hem', top: 'out at the top line' }
export const HALVES = { both: '', right: 'right half only', left: 'left half only' }

/** The same with its sign, where the two edges of a seam go opposite ways: + lets out, − takes in. */
export const signedEdge = (mm: number, unit: Unit) => `${mm < 0 ? '−' : '+'}${perEdge(Math.abs(mm), unit)}`

export const STAGES: { stage: Stage; label: string }[] = [
  { stage: 'brief', label: 'Brief' },
  { stage: 'wearer', label: 'Wearer' },
  { stage: 'pattern', label: 'Pattern' },
  { stage: 'mockups', label: 'Mock-ups' },
  { stage: 'bones', label: 'Bones' },
  { stage: 'front', label: 'Front' },
  { stage: 'back', label: 'Back' },
  { stage: 'layers', label: 'Layers' },
  { stage: 'trims', label: 'Trims' },
  { stage: 'cut', label: 'Cut' },
  { stage: 'make', label: 'Make' },
  { stage: 'record', label: 'Record' },
]

/** What each stage is for, in one line: said until she has worked in it. */
export const FOR: Record<Stage, string> = {
  brief: 'What is made, for whom and when, and what it has to stand: the later stages start from these answers.',
  wearer: 'Her girths and heights; a draft needs few of them, each further one makes it surer.',
  pattern: 'The half from centre front to centre back, by what it does to her; points and lines can be dragged.',
  mockups: 'A trial is laced on; its gap says how she differs from the tape, and the next version follows.',
  bones: 'Where bones lie, of what kind and how long, and what there is to cut from.',
  front: 'How it opens in front, where a busk is sewn and left, and whether she gets in alone.',
  back: 'Holes, lace and the pull loops; what lies under the gap.',
  layers: 'The plies from the skin out: which carries the pull, how each is mounted and grained.',
  trims: 'What goes on it and hangs from it: how much, how heavy, and whether it is at hand.',
  cut: 'Every piece of every cloth, laid on what there is, in the order of cutting.',
  make: 'The next step, what it needs and closes off, and whether the day can be kept.',
  record: 'The card of the finished garment: what it measures, what you liked, what you would change.',
}

/** What a garment can do to a waist, and the target that goes with it. */
export const JOBS = {
  support: [['job', 'none']],
  'gentle shaping': [
    ['job', 'reduction_share'],
    ['reduction_percent', 4],
  ],
  reduction: [
    ['job', 'reduction_share'],
    ['reduction_percent', 8],
  ],
} as const

export const LEVEL_LABELS: Record<LevelName, string> = {
  upper_neck: 'Upper neck',
  neck_base: 'Neck base',
  collarbone: 'Collarbone',
  high_bust: 'High bust',
  bust: 'Bust',
  underbust: 'Underbust',
  ribs: 'Ribs',
  waist: 'Waist',
  high_hip: 'High hip',
  hip: 'Hip',
}
/** Levels as they are marked on a picture. */
export const SEEN_LABELS: Record<LevelName | 'shoulders', string> = { shoulders: 'Shoulders', ...LEVEL_LABELS }

export function daysLeft(day: string | null | undefined): string {
  if (!day) return 'no day yet'
  const today = new Date()
  const left = Math.round(
    (Date.parse(`${day}T00:00`) - new Date(today.getFullYear(), today.getMonth(), today.getDate()).getTime()) / 864e5,
  )
  if (left === 0) return 'today'
  if (left === 1) return 'tomorrow'
  return left > 0 ? `${left} days left` : `${-left} days ago`
}

export const longDay = (day: string) =>
  new Date(`${day}T00:00`).toLocaleDateString('en-GB', { day: 'numeric', month: 'long', year: 'numeric' })

export const shortDay = (day: string) =>
  new Date(`${day}T00:00`).toLocaleDateString('en-GB', { day: 'numeric', month: 'short' })

export const FEEL_ICON: Record<NonNullable<LevelFit['feel']>, string> = {
  'stands off': '○',
  light: '◔',
  close: '◑',
  firm: '◕',
  'too firm': '●',
}

/** A bare number takes a unit; anything else is sent as it was written. */
export const withUnit = (text: string, unit: string) =>
  /^[−-]?[\d\s.,/½¼¾⅛⅜⅝⅞]+$/.test(text.trim()) ? `${text.trim()} ${unit}` : text.trim()

/** Several lengths in one field, with ; or a new line between them; bare numbers take the unit. */
export const lengthsIn = (text: string, unit: string) =>
  text
    .split(/[;\n]+/)
    .filter((part) => part.trim())
    .map((part) => withUnit(part, unit))

/** What one press of an arrow key moves: 1 mm, or 1/16 in. */
export const stepOf = (unit: Unit) => (unit === 'in' ? 25.4 / 16 : 1)

/** Words of a fitting, from too much to too little, each with a sign of its own. */
export const SAT = [
  { word: 'digs', sign: '●' },
  { word: 'firm', sign: '◕' },
  { word: 'right', sign: '◑' },
  { word: 'light', sign: '◔' },
  { word: 'stands off', sign: '○' },
] as const

/** How thick cloth lies, which no ruler reads: mm to 0.1, or to 0.01 below 2 mm; inches to a hundredth. */
export const thick = (mm: number, unit: Unit) =>
  unit === 'in' ? `${(mm / 25.4).toFixed(2)} in` : `${mm.toFixed(mm < 1.995 ? 2 : 1)} mm`

/** Minutes as one says them: to five below an hour, to a quarter of an hour below ten hours, then to a half. */
export function duration(minutes: number): string {
  if (minutes < 60) return `${Math.max(5, Math.round(minutes / 5) * 5)} min`
  const hours = minutes / 60
  return `${hours < 10 ? fraction(Math.round(hours * 4), 4) : fraction(Math.round(hours * 2), 2)} h`
}
