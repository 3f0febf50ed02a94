/** One after the other: what is run in turn begins once what was given before has ended, however it ended. */
export function turns() {
  let last: Promise<unknown> = Promise.resolve()
  return function inTurn<T>(run: () => Promise<T>): Promise<T> {
    const next = last.then(run)
    last = next.catch(() => undefined)
    return next
  }
}
