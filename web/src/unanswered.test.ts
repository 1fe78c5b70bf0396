import { beforeEach, expect, it, vi } from 'vitest'

const shelf = new Map<string, string>()
vi.stubGlobal('sessionStorage', {
  getItem: (key: string) => shelf.get(key) ?? null,
  setItem: (key: string, value: string) => void shelf.set(key, value),
})
const { answered, keyOfWrite, numberFor, settleUnanswered } = await import('./unanswered')
beforeEach(() => shelf.clear())

const address = '/api/households/h/lots/G26-1/acts'
const key = keyOfWrite('POST', address, '{"act":"use"}') as string

it('what people type is its own key at once; what is long or a file is known by its digest', async () => {
  expect(key).toBe(`POST ${address} {"act":"use"}`)
  const long = await keyOfWrite('POST', address, 'x'.repeat(5000))
  expect(long).toMatch(/^POST .* [0-9a-f]{24}$/)
  expect(await keyOfWrite('POST', address, 'x'.repeat(5001))).not.toBe(long)
  expect(await keyOfWrite('POST', address, new Blob(['x'.repeat(5000)]))).toBe(long)
})

it('a write has one number until its answer came, and another afterwards', () => {
  const number = numberFor(key, address)
  expect(numberFor(key, address)).toBe(number)
  expect(numberFor(`${key} `, address)).not.toBe(number)
  answered(key)
  expect(numberFor(key, address)).not.toBe(number)
})

it('what was under way is asked after; what nobody knows stays', async () => {
  const number = numberFor(key, address)
  expect(await settleUnanswered(async () => false)).toBe(0)
  expect(await settleUnanswered(() => Promise.reject(new Error('away')))).toBe(0)
  expect(numberFor(key, address)).toBe(number)
  expect(await settleUnanswered(async ({ id, address: at }) => id === number && at === address)).toBe(1)
  expect(numberFor(key, address)).not.toBe(number)
})

it('an hour later, or with a shelf that cannot be read, the same content is a new write', () => {
  const number = numberFor(key, address)
  vi.useFakeTimers({ now: Date.now() + 3_700_000 })
  expect(numberFor(key, address)).not.toBe(number)
  vi.useRealTimers()
  shelf.set('vadose-unanswered', 'not JSON')
  expect(numberFor(key, address)).toMatch(/^[0-9a-f-]{36}$/)
})
