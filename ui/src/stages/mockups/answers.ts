import type { Catalogue, Unit } from '../../api/types'
import { certain } from '../../parts/certain'
import { entriesOf } from '../../parts/entries'
import { hardware, length, smallUnit, withUnit } from '../../parts/words'

// A form is made of the fields that the server names (`fuseau/document/fitting_fields.py`): how each is blank, read
// from a record, read from an older draft and sent follows from what it is, never from its name.

export type FittingField = Catalogue['fitting'][number]
type Cell = NonNullable<FittingField['cells'][string]>
type Value = string | number | boolean | null | undefined
type Entry = Record<string, Value>

/** An entry that she added: its cells as they are written. */
export interface Row {
  key: number
  cells: Record<string, string>
}

/** A single value; one by each name of a table; or the entries that she added. All as text, and empty is not told. */
export type Answer = string | Record<string, string> | Row[]
export type Answers = Record<string, Answer>

let keys = 0
export const key = () => keys++

/** A length that goes either way, as it is written: + or − and by how much; empty is neither. */
export const wayOf = (written: string) => (written ? written[0] : '')
export const byOf = (written: string) => written.slice(1)

const bare = (mm: number, unit: Unit) => length(mm, unit, { bare: true })
export const small = (mm: number, unit: Unit) => hardware(Math.abs(mm), unit).replace(/ \w+$/, '')

function cellRead(cell: Cell, value: Value, unit: Unit): string {
  if (value === null || value === undefined || value === false) return cell.ways ? '' : cell.first
  if (value === true) return 'yes'
  if (typeof value === 'string') return value
  if (cell.ways) return value ? (value < 0 ? '-' : '+') + small(value, unit) : ''
  if (cell.reads === 'small') return (value < 0 ? '−' : '') + small(value, unit)
  return cell.reads === 'height' || cell.reads === 'girth' ? bare(value, unit) : String(value)
}

/** As the server takes it; null where nothing is told. */
function cellSent(cell: Cell, written: string, unit: Unit): Value {
  if (cell.reads === 'tick') return written === 'yes'
  if (cell.reads === 'text') return written
  if (cell.ways) {
    const by = byOf(written).trim()
    return (wayOf(written) === '-' ? '-' : '') + withUnit(by, smallUnit(unit)).replace(/^[-−]/, '')
  }
  if (!written.trim()) return null
  if (cell.reads === 'small') return withUnit(written, smallUnit(unit))
  if (cell.reads === 'height' || cell.reads === 'girth') return withUnit(written, unit)
  return cell.reads === 'number' ? Number(written) : written.trim()
}

const told = (cell: Cell, written: string) => (cell.ways ? !!byOf(written).trim() : !!written.trim())
const cellsOf = (field: FittingField) => entriesOf(field.cells)
/** The only cell of a field that has one. */
const cellOf = (field: FittingField) => certain(cellsOf(field)[0], field.label)

const isRows = (answer: Answer | undefined): answer is Row[] => Array.isArray(answer)
const isTable = (answer: Answer | undefined): answer is Record<string, string> =>
  typeof answer === 'object' && !Array.isArray(answer)

export const rowsOf = (answers: Answers, field: string): Row[] => {
  const answer = answers[field]
  return isRows(answer) ? answer : []
}
export const tableOf = (answers: Answers, field: string): Record<string, string> => {
  const answer = answers[field]
  return isTable(answer) ? answer : {}
}
export const valueOf = (answers: Answers, field: string): string => {
  const answer = answers[field]
  return typeof answer === 'string' ? answer : ''
}

/** A row with nothing written in it yet but what is given. */
export function rowOf(field: FittingField, given: Record<string, string> = {}): Row {
  const blank = Object.fromEntries(cellsOf(field).map(([name, cell]) => [name, cell.first]))
  return { key: key(), cells: { ...blank, ...given } }
}

const filled = (field: FittingField, table: Record<string, string>) =>
  Object.fromEntries(field.keys.map((known) => [known.name, table[known.name] ?? '']))

export function blank(field: FittingField): Answer {
  if (!field.listed) return cellOf(field)[1].first
  return field.keys.length ? filled(field, {}) : []
}

/** An answer as it would have been written, from a record that has it or not. */
export function read(field: FittingField, value: unknown, unit: Unit): Answer {
  if (value === null || value === undefined) return blank(field)
  if (!field.listed) return cellRead(cellOf(field)[1], value as Value, unit)
  const entries = value as Entry[]
  if (!field.keys.length)
    return entries.map((entry) =>
      rowOf(field, Object.fromEntries(cellsOf(field).map(([name, cell]) => [name, cellRead(cell, entry[name], unit)]))),
    )
  const [name, cell] = cellOf(field)
  return Object.fromEntries(
    field.keys.map((known) => {
      const entry = entries.find((told) => entriesOf(known.of).every(([at, of]) => told[at] === of))
      return [known.name, entry ? cellRead(cell, entry[name], unit) : '']
    }),
  )
}

/** What was typed before a reload, perhaps when less was asked, with keys that this page has not given out yet. */
export function renewed(field: FittingField, older: Answer | undefined): Answer {
  if (!field.listed) return typeof older === 'string' ? older : blank(field)
  if (field.keys.length) return filled(field, isTable(older) ? older : {})
  return isRows(older) ? older.map((row) => rowOf(field, row.cells)) : []
}

/** The names of a table's entries in the order in which they are sent. */
export function sentNames(field: FittingField, table: Record<string, string>): string[] {
  const cell = cellOf(field)[1]
  return field.keys.filter((known) => told(cell, table[known.name] ?? '')).map((known) => known.name)
}

function rowSent(field: FittingField, row: Row, unit: Unit): Entry {
  return Object.fromEntries(
    cellsOf(field).map(([name, cell]) => {
      const beside = cell.only_with
      const asked = !beside || row.cells[beside[0]] === beside[1]
      return [name, asked ? cellSent(cell, row.cells[name], unit) : null]
    }),
  )
}

/** An answer as the server takes it: lengths with their unit, what is empty left out. */
export function sent(field: FittingField, answer: Answer, unit: Unit): unknown {
  if (isRows(answer)) return answer.map((row) => rowSent(field, row, unit))
  const [name, cell] = cellOf(field)
  if (typeof answer === 'string') {
    if (cell.ways && !told(cell, answer)) return null
    return cellSent(cell, answer, unit)
  }
  return sentNames(field, answer).map((known) => ({
    ...field.keys.find((one) => one.name === known)?.of,
    [name]: cellSent(cell, answer[known], unit),
  }))
}
