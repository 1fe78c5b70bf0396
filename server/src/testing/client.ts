import { randomUUID } from 'node:crypto'

export interface Answer<T = Record<string, unknown>> {
  status: number
  body: T
  headers: Headers
}

/** What is no household's own. */
const ownerless = /^\/(households(\/|$)|household-files|backups|health|ingest|bench\/|nothing$|$)/

/** A client of the API: what it asks for is about the household it was told of. */
export class Client {
  /** the household's name in addresses */
  household = ''
  constructor(readonly base: string) {}

  /** Where a path of the household's is. */
  address = (path: string): string =>
    `${this.base}/api${ownerless.test(path) ? path : `/households/${this.household}${path}`}`

  async send<T = never>(
    method: string,
    path: string,
    body?: unknown,
    headers: Record<string, string> = {},
  ): Promise<Answer<[T] extends [never] ? any : T>> {
    const response = await fetch(this.address(path), {
      method,
      headers: { 'Content-Type': 'application/json', ...headers },
      ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
    })
    const text = await response.text()
    // who starts a household goes on in it
    if (method === 'POST' && path === '/households' && response.ok) this.household = JSON.parse(text).address
    return { status: response.status, body: text.startsWith('<') ? text : JSON.parse(text), headers: response.headers }
  }
  get = (path: string) => this.send('GET', path)
  post = (path: string, body: unknown) => this.send('POST', path, body)
  put = (path: string, body: unknown) => this.send('PUT', path, body)
  delete = (path: string) => this.send('DELETE', path)
}

/** A practice household that begins on a day, entered. */
export async function practiceHousehold(client: Client, startsOn = '2026-07-12', name = 'Test House') {
  await client.post('/households', { name, clock: 'practice', startsOn, timeZone: 'Europe/Vienna' })
  const places = (await client.get('/places')).body as { id: string; name: string }[]
  return { place: (wanted: string) => places.find((p) => p.name === wanted)!.id }
}

export const garlicHarvest = (placeId: string, over: Record<string, unknown> = {}) => ({
  requestId: randomUUID(),
  crop: 'garlic-hardneck',
  variety: 'Test Stiff',
  bed: 'Bed 3',
  harvestedOn: '2026-07-12',
  totalG: 6000,
  signShare: 0.5,
  heaps: [
    { heap: 'sound', weightG: 4900, placeId },
    { heap: 'nicked', weightG: 700, pieces: 12, placeId },
    { heap: 'planting', weightG: 400, placeId },
  ],
  ...over,
})
