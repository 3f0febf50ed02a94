import { computed, type Ref } from 'vue'
import { useOpenBuild } from '../../stores/openBuild'
import type { FittingField } from './answers'
import { nameSent, type Written } from './fitting'

export interface Refusals {
  /** What was refused of a field, or of an entry of it by its place. */
  said: (field: string, place?: number) => string | undefined
  /** What was refused of a list as a whole. */
  saidOfAll: (field: string) => string | undefined
  /** The same of an entry of a table, by its name. */
  saidOf: (field: FittingField, name: string) => string | undefined
}

/** What the server refused of a fitting, at the entry where it was written; `place` is the fitting's in the build. */
export function useRefusals(fields: FittingField[], fitting: Ref<Written>, place: Ref<number>): Refusals {
  const openBuild = useOpenBuild()
  const at = computed(() => `fittings.${place.value}`)
  const said = (field: string, entry?: number) => {
    const where = `${at.value}.${field}${entry === undefined ? '' : `.${entry}`}`
    return Object.entries(openBuild.errors).find(([error]) => error === where || error.startsWith(`${where}.`))?.[1]
  }
  const saidOfAll = (field: string) => openBuild.errors[`${at.value}.${field}`]
  const saidOf = (field: FittingField, name: string) => {
    const start = `${at.value}.${field.field}.`
    const refused = Object.entries(openBuild.errors).find(
      ([error]) =>
        error.startsWith(start) &&
        nameSent(fields, field, fitting.value.answers, Number(error.slice(start.length).split('.')[0])) === name,
    )
    return refused?.[1]
  }
  return { said, saidOf, saidOfAll }
}
