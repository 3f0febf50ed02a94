import { createPinia } from 'pinia'
import { expect } from 'vitest'
import { equals } from '@vitest/expect'
import { createApp, nextTick, type App as Application } from 'vue'
import { createMemoryHistory, type Router } from 'vue-router'
import App from '../../src/App.vue'
import type { Line, OpenBuild } from '../../src/api/types'
import { makeRouter } from '../../src/router'
import vuetify from '../../src/theme'

const PATIENCE_MS = Number(process.env.PATIENCE_MS ?? 30_000)
const LOOKS_MS = 60 // at what is not on the page; a page that changes is looked at when it did

/** What a story expects to be there. */
type Sure<T> = T extends (infer U)[]
  ? Sure<U>[]
  : T extends object
    ? { [K in keyof T]-?: Sure<NonNullable<T[K]>> }
    : NonNullable<T>

/** News of other pages, which nobody sends here. */
class NoNews extends EventTarget {
  close() {}
}

const hidden = (element: Element) =>
  element.matches('script, style, [hidden], [data-aloud]') ||
  (element as HTMLElement).style?.display === 'none' ||
  (element.parentElement?.matches('details:not([open])') && !element.matches('summary'))

const BLOCK = /^(P|DIV|LI|H[1-6]|TR|TD|TH|SECTION|FORM|BUTTON|LABEL|OPTION|DT|DD|UL|OL|TABLE|FIELDSET|BR|A)$/

function said(node: Node): string {
  if (node.nodeType === Node.TEXT_NODE) return node.textContent ?? ''
  if (node.nodeType !== Node.ELEMENT_NODE || hidden(node as Element)) return ''
  const words = [...node.childNodes].map(said).join('')
  return BLOCK.test(node.nodeName) ? ` ${words} ` : words
}
const plain = (words: string) => words.replace(/[\s\u00a0]+/g, ' ').trim()

/** What stands there, as it would be read, its white space made plain. */
export const textOf = (element: Element) => plain(said(element))

export function shown(element: Element): boolean {
  for (let at: Element | null = element; at; at = at.parentElement) if (hidden(at)) return false
  return element.isConnected
}
/** What was done is drawn. */
async function settled() {
  await nextTick()
  await new Promise((resolve) => setTimeout(resolve))
}
/** What names a control: its label, or what it is called for ears. */
const namesOf = (element: Element) => [
  element.getAttribute('aria-label'),
  ...[...document.querySelectorAll(`label[for="${element.id}"]`)].map((label) => textOf(label)),
]

/** Until the page is another, or so long. */
const changed = (most_ms: number) =>
  new Promise<void>((resolve) => {
    const end = () => {
      watch.disconnect()
      clearTimeout(late)
      resolve()
    }
    const watch = new MutationObserver(() => setTimeout(end))
    const late = setTimeout(end, most_ms)
    watch.observe(document, { subtree: true, childList: true, characterData: true, attributes: true })
  })

/** What a user does and sees in the application, with the real server behind it, and nothing that is drawn. */
export class Hand {
  private app?: Application
  private router?: Router

  async go(path = '/') {
    this.leave()
    this.router = makeRouter(createMemoryHistory())
    await this.router.push(path)
    document.body.innerHTML = '<div id="app"></div>'
    this.app = createApp(App).use(createPinia()).use(this.router).use(vuetify)
    this.app.mount('#app')
    await settled()
  }
  leave() {
    this.app?.unmount()
    this.app = undefined
    document.body.innerHTML = ''
  }
  /** As the browser's own key does it. */
  reload = () => this.go(this.path)
  get path() {
    return this.router!.currentRoute.value.fullPath
  }

  async ask<T>(method: string, path: string, body?: unknown): Promise<T> {
    const answer = await fetch(path, {
      method,
      body: body === undefined ? undefined : JSON.stringify(body),
      headers: { 'Content-Type': 'application/json' },
    })
    expect(answer.ok, `${method} ${path}: ${answer.status}`).toBe(true)
    return (await answer.json()) as T
  }
  get = <T>(path: string) => this.ask<T>('GET', path)
  post = <T = Sure<OpenBuild>>(path: string, body: unknown) => this.ask<T>('POST', path, body)
  async build(name: string) {
    const line = (await this.get<Line[]>('/api/builds')).find((line) => line.name === name)
    return line ?? expect.fail(`no build “${name}”`)
  }
  sheet = (line: { id: string }) => this.get<Sure<OpenBuild>>(`/api/builds/${line.id}`)
  async stage(name: string, where: string) {
    const line = await this.build(name)
    await this.go(`/build/${line.id}/${where}`)
    await this.see(name)
    return line
  }
  /** Fields set as from elsewhere. */
  async change(line: { id: string }, ...changes: { at: string; value: unknown }[]) {
    const { revision } = await this.sheet(line)
    return this.post(`/api/builds/${line.id}/changes`, { revision, changes })
  }

  async wait<T>(holds: () => T | Promise<T>, missed: string | (() => string) = 'it does not come so') {
    const until = Date.now() + PATIENCE_MS
    for (;;) {
      const held = await Promise.resolve()
        .then(holds)
        .catch(() => undefined)
      if (held) return held as NonNullable<T>
      if (Date.now() > until)
        expect.fail(`${typeof missed === 'string' ? missed : missed()}; the page says: ${this.text()}`)
      await changed(LOOKS_MS)
    }
  }
  /** Wait until it is this. */
  async becomes(seen: () => unknown, wanted: unknown) {
    let last: unknown
    const same = async () => equals((last = await seen()), wanted)
    await this.wait(same, () => `it is ${JSON.stringify(last)}, and not ${JSON.stringify(wanted)}`)
  }
  text = () => textOf(document.body)
  see = (words: string) => this.wait(() => this.text().includes(plain(words)), `“${words}” is not on the page`)
  gone = (words: string) => this.wait(() => !this.text().includes(plain(words)), `“${words}” is still on the page`)
  all = <T extends Element = HTMLElement>(css: string) => [...document.querySelectorAll<T>(css)]
  find = <T extends Element = HTMLElement>(css: string) =>
    this.wait(() => this.all<T>(css).find(shown), `${css} is not shown`)

  async click(css: string | Element) {
    const at = typeof css === 'string' ? await this.find(css) : css
    for (const kind of ['pointerdown', 'mousedown', 'pointerup', 'mouseup', 'click'])
      at.dispatchEvent(new MouseEvent(kind, { bubbles: true, cancelable: true }))
    if (at instanceof HTMLElement && at.tabIndex >= 0) at.focus()
    await settled()
  }
  /** Click the button, link or list item with these words. */
  async press(words: string) {
    const acts = 'button, a, summary, label.toggle, [role=option], [role=menuitem], .v-list-item'
    const named = (element: Element) =>
      textOf(element) === plain(words) ||
      element.getAttribute('aria-label') === words ||
      [...element.querySelectorAll('*')].some((part) => textOf(part) === plain(words))
    await this.click(
      await this.wait(
        () => this.all(acts).find((element) => shown(element) && !element.matches(':disabled') && named(element)),
        `there is no “${words}” to press`,
      ),
    )
  }
  field = (label: string) =>
    this.wait(
      () => this.all<HTMLInputElement>('input, textarea').find((box) => shown(box) && namesOf(box).includes(label)),
      `no field “${label}”`,
    )
  value = async (label: string) => (await this.field(label)).value
  /** Write into a field, and leave it as with Tab. */
  async write(label: string | HTMLInputElement, text: string, leave = true) {
    const box = typeof label === 'string' ? await this.field(label) : label
    box.focus()
    box.value = text
    box.dispatchEvent(new Event('input', { bubbles: true }))
    if (leave) {
      box.dispatchEvent(new Event('change', { bubbles: true }))
      box.blur()
    }
    await settled()
  }
  /** Press keys, at an element or wherever the focus is. */
  async keys(at: Element | string | null, ...keys: string[]) {
    const target = typeof at === 'string' ? await this.find(at) : (at ?? document.activeElement ?? document.body)
    if (target instanceof HTMLElement || target instanceof SVGElement) target.focus()
    for (const written of keys) {
      const parts = written.split('+')
      const key = parts.at(-1) || '+'
      const event = { key, ctrlKey: parts.includes('Control') && key !== 'Control', bubbles: true, cancelable: true }
      const goes = target.dispatchEvent(new KeyboardEvent('keydown', event))
      if (goes && key === 'Enter' && target instanceof HTMLInputElement) target.form?.requestSubmit()
      target.dispatchEvent(new KeyboardEvent('keyup', event))
      await settled()
    }
  }
  /** Choose in the list with this label. */
  async choose(label: string, option: string) {
    const box = await this.wait(
      () =>
        this.all('.v-select, .v-autocomplete').find(
          (list) => shown(list) && [...list.querySelectorAll('label')].some((name) => textOf(name) === label),
        ),
      `no list “${label}”`,
    )
    const opens = box.querySelector('.v-field')!
    opens.dispatchEvent(new MouseEvent('mousedown', { bubbles: true, cancelable: true }))
    await settled()
    await this.press(option)
  }
  /** Choose in a plain list of the browser's. */
  async select(label: string, value: string) {
    const list = await this.find<HTMLSelectElement>(`select[aria-label='${label}']`)
    list.value = value
    list.dispatchEvent(new Event('change', { bubbles: true }))
    await settled()
  }
  async chooseFile(label: string, name: string, text: string) {
    const box = await this.wait(
      () => this.all<HTMLInputElement>('input[type=file]').find((box) => namesOf(box).includes(label)),
      `no file field “${label}”`,
    )
    Object.defineProperty(box, 'files', { configurable: true, value: [new File([text], name)] })
    box.dispatchEvent(new Event('change', { bubbles: true }))
    await settled()
  }
}

/** A day so many after today, as it is here and as a field for a day has it. */
export function dayIn(days: number) {
  const day = new Date()
  day.setDate(day.getDate() + days)
  return day.toLocaleDateString('sv-SE')
}

let here: Hand | undefined

/** A fresh workshop: the demo's, or an empty one. What the story before left open is closed: modules are shared. */
export async function workshop(kind: 'demo' | 'empty' = 'demo') {
  here?.leave()
  await fetch(`/stories/${kind}`, { method: 'POST' })
  localStorage.clear()
  sessionStorage.clear()
  return (here = new Hand())
}

/** A stage of a build of the demo's workshop, and the build's line in its list. */
export async function onStage(name: string, where: string) {
  const hand = await workshop()
  return { hand, line: await hand.stage(name, where) }
}

// what the stand-in for a page has not
globalThis.EventSource = NoNews as unknown as typeof EventSource
globalThis.visualViewport = new EventTarget() as VisualViewport
