import { expect, test } from 'vitest'
import { cornersIn, outlinesIn } from '../src/stages/shelf/corners'

test('corners are read as people part them', () => {
  const meant = [
    [300, 200],
    [125, 70],
  ]
  for (const text of ['30, 20\n12.5, 7', '30 20\n12,5 7', '30;20\n12,5; 7', '30,20\n12.5,7', ' 30  20 \n\n12.5\t7'])
    expect(cornersIn(text, 'cm')).toEqual(meant)
})
test('inches are inches, and what holds no two numbers is left out', () => {
  expect(cornersIn('1, 2', 'in')).toEqual([[25.4, 50.8]])
  expect(cornersIn('1, 2, 3\nhere, 4\n5\n,5', 'cm')).toEqual([])
})
test('several outlines have an empty line between them', () => {
  expect(outlinesIn('0, 0\n1, 0\n0, 1\n\n5, 5\n6, 5\n5, 6\n \n', 'cm').map((one) => one.length)).toEqual([3, 3])
  expect(outlinesIn('', 'cm')).toEqual([])
})
