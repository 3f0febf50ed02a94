/** What has to be there where it is asked for; `what` is told in the error where it is not. */
export function certain<T>(value: T | null | undefined, what: string): T {
  if (value === null || value === undefined) throw new Error(`${what} is not there`)
  return value
}
