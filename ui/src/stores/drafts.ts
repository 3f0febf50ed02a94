/**
 * What is typed and not kept yet, held by this browser under its build and what it is: so that a reload, another page,
 * a second tab or a stopped server loses nothing. A tab writes under its own name and reads its own first, else the
 * newest.
 */
export interface Draft<T> {
  value: T
  revision: number | null
  saved: number
}

const PREFIX = 'fuseau/draft/'
const KEPT_DAYS = 60

function named(build: string, what: string, tab: string) {
  return `${PREFIX}${build}/${what}/${tab}`
}

function parsed<T>(text: string | null): Draft<T> | undefined {
  if (!text) return undefined
  try {
    const found = JSON.parse(text) as Draft<T>
    return typeof found.saved === 'number' && 'value' in found ? found : undefined
  } catch {
    return undefined
  }
}

/** The drafts in a storage, as one tab sees them. */
export class Drafts {
  constructor(
    private storage: Storage,
    readonly tab: string,
    private now: () => number = Date.now,
  ) {}

  private starting(start: string): string[] {
    const keys = Array.from({ length: this.storage.length }, (_, i) => this.storage.key(i) ?? '')
    return keys.filter((key) => key.startsWith(start))
  }

  /** Every key under which this was typed in some tab, the own tab's first, then the newest. */
  private keys(build: string, what: string): string[] {
    const start = `${PREFIX}${build}/${what}/`
    const own = named(build, what, this.tab)
    const age = (key: string) => (key === own ? Infinity : (parsed(this.storage.getItem(key))?.saved ?? 0))
    return this.starting(start).sort((a, b) => age(b) - age(a))
  }

  read<T>(build: string, what: string): Draft<T> | undefined {
    for (const key of this.keys(build, what)) {
      const found = parsed<T>(this.storage.getItem(key))
      if (found) return found
    }
    return undefined
  }

  /** The own tab's, else the newest that no living tab holds (a living one writes again and again): it is ours then. */
  adopt<T>(build: string, what: string, quiet_ms: number): Draft<T> | undefined {
    const own = named(build, what, this.tab)
    for (const key of this.keys(build, what)) {
      const found = parsed<T>(this.storage.getItem(key))
      if (!found || (key !== own && found.saved > this.now() - quiet_ms)) continue
      if (key !== own) {
        this.storage.removeItem(key)
        this.keep(build, what, found.value, found.revision)
      }
      return found
    }
    return undefined
  }

  /** Answers whether it was held; a full or forbidden storage holds nothing. */
  keep(build: string, what: string, value: unknown, revision: number | null): boolean {
    const draft: Draft<unknown> = { value, revision, saved: this.now() }
    try {
      this.storage.setItem(named(build, what, this.tab), JSON.stringify(draft))
      return true
    } catch {
      return false
    }
  }

  /** Done with: it is kept, or not wanted any more. Other tabs' stays only if it was typed later than this one's. */
  drop(build: string, what: string) {
    const own = parsed(this.storage.getItem(named(build, what, this.tab)))?.saved ?? this.now()
    for (const key of this.keys(build, what)) {
      const found = parsed(this.storage.getItem(key))
      if (key === named(build, what, this.tab) || !found || found.saved <= own) this.storage.removeItem(key)
    }
  }

  /** What is held of a build, by what it is. */
  of(build: string): string[] {
    const start = `${PREFIX}${build}/`
    const what = this.starting(start).map((key) => key.slice(start.length).replace(/\/[^/]*$/, ''))
    return [...new Set(what)].sort()
  }

  /** Let go of what nobody came back to for two months. */
  prune() {
    const oldest = this.now() - KEPT_DAYS * 86_400_000
    for (const key of this.starting(PREFIX))
      if ((parsed(this.storage.getItem(key))?.saved ?? 0) < oldest) this.storage.removeItem(key)
  }
}

function ownTab(): string {
  const known = sessionStorage.getItem('fuseau/tab')
  if (known) return known
  const name = Math.random().toString(36).slice(2, 10)
  sessionStorage.setItem('fuseau/tab', name)
  return name
}

let shared: Drafts | undefined

/** The drafts of this tab; without a storage (forbidden by the browser) they last as long as the page. */
export function drafts(): Drafts {
  if (!shared) {
    try {
      shared = new Drafts(localStorage, ownTab())
      shared.prune()
    } catch {
      shared = new Drafts(inMemory(), 'page')
    }
  }
  return shared
}

export function inMemory(): Storage {
  const held = new Map<string, string>()
  return {
    get length() {
      return held.size
    },
    key: (i) => [...held.keys()][i] ?? null,
    getItem: (key) => held.get(key) ?? null,
    setItem: (key, value) => void held.set(key, value),
    removeItem: (key) => void held.delete(key),
    clear: () => held.clear(),
  }
}
