import type { OpenBuild } from '../api/types'
import { STAGES } from './words'

const MOST = 4 // more than so many sentences are not listened to

/** What a change did, to be read aloud: what was done, what stands otherwise on the thread, what it newly says. */
export function changed(before: OpenBuild, after: OpenBuild): string {
  const notes = new Map(before.thread.knots.map((knot) => [knot.stage, `${knot.note} ${knot.state}`]))
  const knots = after.thread.knots
    .filter((knot) => notes.get(knot.stage) !== `${knot.note} ${knot.state}`)
    .map((knot) => {
      const label = STAGES.find((stage) => stage.stage === knot.stage)?.label ?? knot.stage
      return `${label}: ${[knot.note, knot.state].filter(Boolean).join(', ')}.`
    })
  const known = new Set(before.plan.findings.map((finding) => finding.sentence))
  const said = after.plan.findings
    .filter((finding) => finding.severity !== 'advice' && !known.has(finding.sentence))
    .map((finding) => finding.sentence)
  const undone = before.revision > after.revision || before.undoes === after.redoes
  const done = undone && before.undoes ? `Undone: ${before.undoes}.` : after.undoes ? `${after.undoes}.` : ''
  return [done, ...knots, ...said].filter(Boolean).slice(0, MOST).join(' ')
}
