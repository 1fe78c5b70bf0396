import fc from 'fast-check'
import { expect, it } from 'vitest'
import { textOf } from './text'

it('is what JSON.stringify writes, whatever is asked', () => {
  fc.assert(
    fc.property(fc.jsonValue({ maxDepth: 6 }), (answer) => {
      // once to write it, once from what is kept
      expect(textOf(answer)).toBe(JSON.stringify(answer))
      expect(textOf(answer)).toBe(JSON.stringify(answer))
    }),
  )
})

it('leaves out what is not there, in lists of rows too', () => {
  const rows = [{ code: 'A', trouble: undefined }, null, { code: 'B', jobs: [{ on: new Date(0), why: undefined }] }]
  const answer = { rows, none: undefined, at: new Date(1), empty: [], figures: [1, null, 2], inner: { rows } }
  expect(textOf(answer)).toBe(JSON.stringify(answer))
  expect(textOf([undefined, ...rows])).toBe(JSON.stringify([undefined, ...rows]))
})
