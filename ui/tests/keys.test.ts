import { describe, expect, it } from 'vitest'
import { entryFor, nameOf, type KeyEntry, type Press } from '../src/parts/keys'

const press = (key: string, more: Partial<Press> = {}): Press => ({
  key,
  ctrlKey: false,
  metaKey: false,
  altKey: false,
  shiftKey: false,
  ...more,
})
const entry = (on: string[], more: Partial<KeyEntry> = {}): KeyEntry => ({
  keys: on[0],
  does: on[0],
  on,
  run: () => undefined,
  ...more,
})

describe('a press', () => {
  it.each([
    [press('u'), 'u'],
    [press('N', { shiftKey: true }), 'N'],
    [press('?', { shiftKey: true }), '?'],
    [press('z', { ctrlKey: true }), 'Ctrl+z'],
    [press('Z', { metaKey: true, shiftKey: true }), 'Ctrl+Shift+z'],
    [press('m', { altKey: true }), 'Alt+m'],
  ])('is called by its sign', (one, name) => expect(nameOf(one)).toBe(name))
})

describe('the keyboard map', () => {
  const undo = entry(['Ctrl+z'], { inFields: true })
  const zoom = entry(['+', '='], { notOnControls: true })
  const add = entry(['a'])
  const all = [undo, zoom, add, { keys: 'Tab', does: 'to the next point' }]

  it('runs what is pressed, and nothing else', () => {
    expect(entryFor(all, press('='), 'nothing')).toBe(zoom)
    expect(entryFor(all, press('a'), 'nothing')).toBe(add)
    expect(entryFor(all, press('b'), 'nothing')).toBeUndefined()
    expect(entryFor(all, press('Tab'), 'nothing')).toBeUndefined()
  })
  it('leaves letters to fields, and undo to a field that was changed', () => {
    expect(entryFor(all, press('a'), 'field')).toBeUndefined()
    expect(entryFor(all, press('z', { ctrlKey: true }), 'field')).toBe(undo)
    expect(entryFor(all, press('z', { ctrlKey: true }), 'changed field')).toBeUndefined()
  })
  it('leaves arrows and signs to a control that has the focus', () => {
    expect(entryFor(all, press('+'), 'control')).toBeUndefined()
    expect(entryFor(all, press('a'), 'control')).toBe(add)
  })
  it('lets the page go before the app, where it can', () => {
    let picked = true
    const app = entry(['Escape'])
    const page = entry(['Escape'], { when: () => picked })
    expect(entryFor([app, page], press('Escape'), 'nothing')).toBe(page)
    picked = false
    expect(entryFor([app, page], press('Escape'), 'nothing')).toBe(app)
    expect(entryFor([entry(['p'], { where: () => false })], press('p'), 'nothing')).toBeUndefined()
  })
})
