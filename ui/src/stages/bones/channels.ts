import type { Between, Shaped } from '../../api/types'
import { useOpenBuild } from '../../stores/openBuild'

const LETTERS = 'abcdefghijklmnopqrstuvwxyz'
const label = (one: Between | Shaped) => `${one.panel}${one.letter}`
const within = (share: number) => Math.min(0.95, Math.max(0.05, Math.round(share * 1000) / 1000))

/** Channels between seams and shaped ones, as the maker edits them. The usual ones become hers with her first edit. */
export function channels() {
  const openBuild = useOpenBuild()
  const between = () => openBuild.build.bones.between ?? openBuild.plan.between
  const shaped = () => openBuild.build.bones.shaped
  const find = (channel: string) => [...between(), ...shaped()].find((one) => label(one) === channel)
  const isShaped = (one: Between | Shaped): one is Shaped => 'points' in one
  function keep(changed: Between | Shaped, said: string) {
    const at = isShaped(changed) ? 'bones.shaped' : 'bones.between'
    const list: (Between | Shaped)[] = isShaped(changed) ? shaped() : between()
    return openBuild.edit([{ at, value: list.map((one) => (label(one) === label(changed) ? changed : one)) }], said)
  }
  function letter(panel: number) {
    const taken = [...between(), ...shaped()].filter((one) => one.panel === panel).map((one) => one.letter)
    return [...LETTERS].find((letter) => !taken.includes(letter))!
  }
  /** A channel between the seams of a panel, in the middle of its widest stretch without a bone. */
  async function add(panel: number) {
    const laid = openBuild.pattern.panels[panel - 1]
    const wide = openBuild.plan.unboned.find((one) => one.panel === panel)
    const [left, right] = [laid.waist[0][0], laid.waist[1][0]]
    const across = within(wide ? ((wide.from_x_mm + wide.to_x_mm) / 2 - left) / (right - left) : 0.5)
    const made = { panel, letter: letter(panel), across }
    return (await openBuild.edit(
      [{ at: 'bones.between', value: [...between(), made] }],
      `Channel ${panel}${made.letter}`,
    ))
      ? `${panel}${made.letter}`
      : ''
  }
  /** A channel drawn through three points, to be pulled into shape. */
  async function draw(panel: number) {
    const laid = openBuild.pattern.panels[panel - 1]
    const zs = laid.outline.map((point) => point[1])
    const [low, high] = [Math.min(...zs), Math.max(...zs)]
    const made = {
      panel,
      letter: letter(panel),
      points: [
        [0.38, low + 18],
        [0.5, 0],
        [0.62, high - 22],
      ].map(([across, z]) => ({ across, z_mm: Math.round(z) })),
    }
    return (await openBuild.edit(
      [{ at: 'bones.shaped', value: [...shaped(), made] }],
      `Channel ${panel}${made.letter}`,
    ))
      ? `${panel}${made.letter}`
      : ''
  }
  function remove(channel: string) {
    const one = find(channel)
    if (!one) return Promise.resolve(false)
    const [at, list]: [string, (Between | Shaped)[]] = isShaped(one)
      ? ['bones.shaped', shaped()]
      : ['bones.between', between()]
    return openBuild.edit(
      [{ at, value: list.filter((other) => label(other) !== channel) }],
      `Channel ${channel} left out`,
    )
  }
  /** Moves a channel, or one point of a shaped one, by a share of the panel's width (and up by mm). */
  function move(channel: string, share: number, up = 0, point?: number) {
    const one = find(channel)
    if (!one) return
    if (!isShaped(one)) keep({ ...one, across: within(one.across + share) }, `Channel ${channel} moved`)
    else {
      const points = one.points.map((spot, i) =>
        point === undefined || i === point
          ? { across: within(spot.across + share), z_mm: Math.round((spot.z_mm + up) * 2) / 2 }
          : spot,
      )
      keep({ ...one, points }, `Channel ${channel} moved`)
    }
  }
  function morePoints(channel: string) {
    const one = find(channel)
    if (!one || !isShaped(one)) return
    let widest = 1
    one.points.forEach(
      (spot, i) =>
        i && spot.z_mm - one.points[i - 1].z_mm > one.points[widest].z_mm - one.points[widest - 1].z_mm && (widest = i),
    )
    const [a, b] = [one.points[widest - 1], one.points[widest]]
    const made = { across: within((a.across + b.across) / 2), z_mm: Math.round((a.z_mm + b.z_mm) / 2) }
    keep(
      { ...one, points: [...one.points.slice(0, widest), made, ...one.points.slice(widest)] },
      `Channel ${channel}: a point more`,
    )
  }
  function fewerPoints(channel: string) {
    const one = find(channel)
    if (one && isShaped(one))
      keep(
        { ...one, points: one.points.filter((_, i) => i !== Math.floor(one.points.length / 2)) },
        `Channel ${channel}: a point less`,
      )
  }
  return { find, add, draw, remove, move, morePoints, fewerPoints }
}
