import { expect, it } from 'vitest'
import { turns } from '../src/parts/turns'

it('what is run in turn begins when what came before has ended, however it ended', async () => {
  const inTurn = turns()
  const told: string[] = []
  const ends: ((how?: Error) => void)[] = []
  const run = (name: string) =>
    inTurn(() => {
      told.push(`${name} begins`)
      return new Promise<string>((done, fail) => ends.push((how) => (how ? fail(how) : done(name))))
    })
  const [first, second, third] = [run('first'), run('second'), run('third')]
  const said = second.catch((error: Error) => error.message)
  await Promise.resolve()
  expect(told).toEqual(['first begins'])
  ends[0]()
  expect(await first).toBe('first')
  await Promise.resolve()
  expect(told).toEqual(['first begins', 'second begins'])
  ends[1](new Error('refused'))
  expect(await said).toBe('refused')
  await Promise.resolve()
  await Promise.resolve()
  expect(told.at(-1)).toBe('third begins')
  ends[2]()
  expect(await third).toBe('third')
})
