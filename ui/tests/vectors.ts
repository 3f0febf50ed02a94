import { readFileSync } from 'node:fs'
import type { Build, Plan, Unit } from '../src/api/types'

interface Shown {
  build: Build
  plan: Plan
}
interface Vectors {
  lengths: { mm: number; unit: Unit; hardware: boolean; text: string; bare: string; reads: number }[]
  runs: { mm: number; unit: Unit; text: string }[]
  feels: { share: number; feel: string }[]
  tried: Shown
  second: Shown
  draft: Shown
}

/** What the core wrote for these tests (`python -m tests.vectors`). */
export const vectors = JSON.parse(readFileSync('../.made/vectors.json', 'utf8')) as Vectors
