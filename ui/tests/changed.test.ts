import { expect, test } from 'vitest'
import type { OpenBuild } from '../src/api/types'
import { changed } from '../src/parts/changed'

const open = (
  revision: number,
  undoes: string | null,
  note: string,
  findings: object[] = [],
  redoes: string | null = null,
) =>
  ({
    id: 'a',
    revision,
    undoes,
    redoes,
    thread: { knots: [{ stage: 'bones', note, state: 'in hand' }] },
    plan: { findings },
  }) as unknown as OpenBuild
const stop = { code: 'x', severity: 'stop', sentence: 'It can’t be sat in.' }
const advice = { code: 'y', severity: 'advice', sentence: 'Worth a thought.' }

test('what was done comes first, then what stands otherwise, then what is newly said', () => {
  const said = changed(open(1, null, '24 bones'), open(2, 'Panels: 7', '28 bones', [advice, stop]))
  expect(said).toBe('Panels: 7. Bones: 28 bones, in hand. It can’t be sat in.')
})

test('what stood there before is not said again', () => {
  expect(changed(open(1, null, '24 bones', [stop]), open(2, 'Gap 4.3 cm', '24 bones', [stop]))).toBe('Gap 4.3 cm.')
})

test('what is undone is told so', () => {
  const said = changed(open(2, 'Panels: 7', '28 bones'), open(1, null, '24 bones', [], 'Panels: 7'))
  expect(said).toBe('Undone: Panels: 7. Bones: 24 bones, in hand.')
})
