import { expect, it } from 'vitest'
import { floats, floatsOf, passingFloats, rowsOf } from './rows'

it('figures lie side by side without touching each other, all noughts', () => {
  const rows = [floats(100), floats(7), ...rowsOf(3, 50)]
  rows.forEach((row, i) => row.fill(i + 1))
  rows.forEach((row, i) => expect(row.every((figure) => figure === i + 1)).toBe(true))
  expect(new Set(rows.map(({ buffer }) => buffer)).size).toBeLessThan(rows.length)
  expect(floats(1000).every((figure) => figure === 0)).toBe(true)
  expect([...floatsOf(4, (i) => i * i)]).toEqual([0, 1, 4, 9])
})

it('what is thrown away soon holds nothing up that is kept, and what is large lies alone', () => {
  expect(passingFloats(10).buffer).not.toBe(floats(10).buffer)
  expect(floats(20_000).buffer.byteLength).toBe(160_000)
})
