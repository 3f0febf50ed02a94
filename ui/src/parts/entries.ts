/** What a table holds, name by name; a table of the server's may be asked for names that it does not hold. */
export const entriesOf = <T>(table: Record<string, T | undefined>) =>
  Object.entries(table).flatMap(([name, value]): [string, T][] => (value === undefined ? [] : [[name, value]]))

export const valuesOf = <T>(table: Record<string, T | undefined>) => entriesOf(table).map(([, value]) => value)
