import { addPlace } from '@vadose/contract/places'
import { afterEach, expect, it, vi } from 'vitest'
import { afterWrites, write } from './view'

afterEach(() => vi.unstubAllGlobals())

it('what comes after the writes waits for all of them, kept or refused', async () => {
  const answers: ((response: Response) => void)[] = []
  vi.stubGlobal('fetch', () => new Promise<Response>((resolve) => answers.push(resolve)))
  const asked = { body: { name: 'Loft', kind: 'loft' as const } }
  const writes = Promise.allSettled([write(addPlace, asked), write(addPlace, asked)])
  let after = false
  const waiting = afterWrites().then(() => (after = true))
  await vi.waitFor(() => expect(answers).toHaveLength(2))
  const json = (status: number, body: unknown) =>
    new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } })
  answers[0]!(json(201, { id: 'one' }))
  await Promise.resolve()
  expect(after).toBe(false)
  answers[1]!(json(400, { error: { code: 'invalid', message: 'There is a place of that name.' } }))
  await waiting
  expect((await writes).map(({ status }) => status)).toEqual(['fulfilled', 'rejected'])
  // nothing to wait for
  await afterWrites()
})
