/** A write that was sent and whose answer is not known. */
interface Unanswered {
  id: string
  /** the address it was sent to, by which its household is known */
  address: string
  atMs: number
}

const shelf = 'vadose-unanswered'
/** After so long, the same content is another write. */
const rememberedMs = 3_600_000
/** A worker has no shelf: who starts it brings the number. */
const storage = typeof sessionStorage === 'undefined' ? undefined : sessionStorage

function all(): Record<string, Unanswered> {
  try {
    const kept = JSON.parse(storage?.getItem(shelf) ?? '{}') as Record<string, Unanswered>
    return Object.fromEntries(Object.entries(kept).filter(([, one]) => Date.now() - one.atMs < rememberedMs))
  } catch {
    return {}
  }
}
const keep = (known: Record<string, Unanswered>) => storage?.setItem(shelf, JSON.stringify(known))

/** Content up to this many letters is its own key. */
const shortContent = 2000

/**
 * What is the same write: same address, same content. Known at once for what people type, so that a write is on its way
 * before anybody leaves the page.
 */
export function keyOfWrite(method: string, address: string, content: string | Blob): string | Promise<string> {
  return typeof content === 'string' && content.length <= shortContent
    ? `${method} ${address} ${content}`
    : digestOf(content).then((digest) => `${method} ${address} ${digest}`)
}

async function digestOf(content: string | Blob): Promise<string> {
  const bytes = typeof content === 'string' ? new TextEncoder().encode(content) : await content.arrayBuffer()
  const digest = new Uint8Array(await crypto.subtle.digest('SHA-256', bytes))
  return Array.from(digest.subarray(0, 12), (byte) => byte.toString(16).padStart(2, '0')).join('')
}

/** The number of a write: the same again as long as nobody knows whether it arrived, over a reload too. */
export function numberFor(key: string, address: string): string {
  const known = all()
  const one = (known[key] ??= { id: crypto.randomUUID(), address, atMs: Date.now() })
  keep(known)
  return one.id
}

/** The answer came: the same content is another write from now on. */
export function answered(key: string): void {
  const known = all()
  delete known[key]
  keep(known)
}

/** Asks after everything that was under way when the page was left. @returns how many of them had been written */
export async function settleUnanswered(arrived: (one: Unanswered) => Promise<boolean>): Promise<number> {
  let written = 0
  for (const [key, one] of Object.entries(all())) {
    if (!(await arrived(one).catch(() => false))) continue
    written++
    answered(key)
  }
  return written
}
