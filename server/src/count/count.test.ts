import { randomUUID } from 'node:crypto'
import { inPlainWords } from '@vadose/words'
import { describe, expect, it } from 'vitest'
import { practiceFile } from '../testing/fresh'

const at = practiceFile('2026-10-02')
const post = (path: string, what: object) => at.client.post(path, { requestId: randomUUID(), ...what })
const shelf = async (...lines: object[]) =>
  (
    await post('/larder/stock', {
      lines: lines.map((line) => ({
        form: 'jarred',
        source: 'grown',
        unit: 'jar',
        placeId: at.place('Cellar'),
        ...line,
      })),
    })
  ).body.lots.map(({ code }: { code: string }) => code) as string[]
const count = (code: string, what: object) => post(`/count/lines/${code}`, { typed: '', ...what })
const view = async () => (await at.client.get('/count')).body
const lineOf = async (code: string) =>
  (await view()).shelves
    .flatMap(({ lines }: { lines: { code: string }[] }) => lines)
    .find((l: { code: string }) => l.code === code)
const lot = async (code: string) => (await at.client.get(`/lots/${code}`)).body

describe('a count of the shelves', () => {
  it('goes line by line, can be left, taken up by another, and is booked with its causes', async () => {
    const [sauce, relish, jam, oil] = (await shelf(
      { crop: 'tomato', pieces: 8 },
      { crop: 'cucumber', name: 'Relish', pieces: 5 },
      { crop: 'plum', name: 'Damson jam', pieces: 5 },
      { crop: 'pantry', name: 'Oil', form: 'fresh', unit: undefined, weightG: 3000, source: 'bought' },
    )) as [string, string, string, string]
    expect((await view()).begunAt).toBeNull()
    await count(sauce, { same: true })
    await count(relish, { typed: '3', pieces: 3 })
    await count(jam, { typed: '2x3', pieces: 6 })
    await count(oil, { typed: '2200 g', weightG: 2200 })
    expect((await view()).begunAt).not.toBeNull()
    expect((await lineOf(relish)).counted).toMatchObject({ typed: '3', offPieces: -2, offG: -1000, cause: null })
    expect((await lineOf(relish)).counted.proposals.map((p: { cause: string }) => p.cause)).toContain('eaten')
    expect((await lineOf(relish)).counted.proposals.at(-1).cause).toBe('unknown')
    expect((await lineOf(jam)).counted.proposals[0].cause).toBe('found')
    // second thoughts
    await at.client.delete(`/count/lines/${relish}`)
    expect((await lineOf(relish)).counted).toBeNull()
    await count(relish, { typed: '3', pieces: 3 })
    // one is eaten while the other still counts: the difference is booked, not the number
    await post(`/lots/${relish}/acts`, { act: 'use', pieces: 1 })
    const done = await post('/count/finish', {
      causes: [
        { code: relish, cause: 'eaten' },
        { code: jam, cause: 'found' },
        { code: oil, cause: 'unknown' },
      ],
    })
    expect(done.body).toEqual({ booked: 3, asExpected: 1 })
    expect([(await lot(relish)).pieces, (await lot(jam)).pieces, (await lot(oil)).weightG]).toEqual([2, 6, 2200])
    expect(inPlainWords((await lot(relish)).events.at(-1).says)).toMatch(/^used 2 jars/)
    expect(inPlainWords((await lot(oil)).events.at(-1).says)).toMatch(/cause unknown/)
    const after = await view()
    expect(after.begunAt).toBeNull()
    expect(after.truth).toEqual([
      { on: '2026-10-02', truePct: Math.round((1 - (1000 + 500 + 800) / (4000 + 2500 + 2500 + 3000)) * 100), lines: 4 },
    ])
    expect(after.unexplainedG).toBe(800)
  })
  it('is refused what cannot be', async () => {
    const [jam] = (await shelf({ crop: 'plum', name: 'Jam', pieces: 5 })) as [string]
    for (const what of [{}, { pieces: 3, same: true }, { pieces: -1 }, { weightG: 2.5 }]) {
      expect((await count(jam, what)).status).toBe(400)
    }
    expect((await count('Z26-1', { same: true })).status).toBe(404)
    expect((await post('/count/finish', { causes: [] })).body.error.message).toMatch(/No count is under way/)
    await count(jam, { typed: '7', pieces: 7 })
    const wrong = await post('/count/finish', { causes: [{ code: jam, cause: 'eaten' }] })
    expect(wrong.body.error.message).toMatch(/more than the books say/)
    // nothing was booked, and the count is still open
    expect((await lot(jam)).pieces).toBe(5)
    expect((await view()).begunAt).not.toBeNull()
  })
  it('comes home in the open file, the same', async () => {
    const file = await (await fetch(at.client.address('/file'))).json()
    // both were begun on the same practice morning: neither is first
    expect(Math.max(...file.counts.map(({ lines }: { lines: object[] }) => lines.length))).toBe(4)
    const answer = await fetch(at.client.address('').replace(/\/households\/.*/, '/household-files'), {
      method: 'POST',
      headers: { 'Content-Type': 'application/json', 'X-Request-Id': randomUUID() },
      body: JSON.stringify(file),
    })
    expect(answer.status).toBe(201)
    const { address } = (await answer.json()) as { address: string }
    const again = await (
      await fetch(at.client.address('/file').replace(/households\/[^/]+/, `households/${address}`))
    ).json()
    expect(again.counts).toEqual(file.counts)
    expect(again.events).toEqual(file.events)
  }, 30_000)
})
