import { inPlainWords } from '@vadose/words'
import { describe, expect, it } from 'vitest'
import { addDays } from '../households'
import { cropById } from '../almanac'
import { dryForDays, frostTender, weatherAdvice } from './index'

const today = '2026-09-14'
const days = (rain: (number | null)[], lows: number[] = []) =>
  rain.map((rainMm, i) => ({ on: addDays(today, i), nightC: lows[i] ?? 9, rainMm }))
const onion = cropById('onion-storing')
const adviceOf = (...of: Parameters<typeof weatherAdvice>) => weatherAdvice(...of).map(inPlainWords)
const lifts = onion.readiness!.schools[0]!.from.value

// common practice, no source: tender crops come in before the first frost; alliums are lifted into two dry days,
// but not left past the point where their skins split
describe('the weather to come', () => {
  it('brings squash in before frost, ready or not, and leaves leeks alone', () => {
    const cold = days([0, 0, 0], [6, 1, 4])
    expect(adviceOf(cropById('squash-butternut'), 0.1, today, cold)[0]).toMatch(
      /Frost is likely on Tuesday,? 15 September: bring them in/,
    )
    expect(adviceOf(cropById('leek'), 0.1, today, cold)).toEqual([])
    expect(adviceOf(cropById('squash-butternut'), 0.1, today, days([0, 0, 0]))).toEqual([])
  })
  it('counts the days since rain that matters', () => {
    const past = (mm: (number | null)[]) => mm.map((rainMm) => ({ rainMm }))
    expect(dryForDays(past([0, 5, 0, 0.4, 0]))).toBe(3)
    expect(dryForDays(past([0, 0, 3]))).toBe(0)
    expect(dryForDays(past([null, null]))).toBeNull()
    expect(dryForDays([])).toBeNull()
  })
  it('knows what frost ruins', () => {
    for (const id of ['squash-hubbard', 'tomato', 'cucumber', 'sweet-potato', 'pepper']) {
      expect(frostTender(cropById(id)), id).toBe(true)
    }
    for (const id of ['parsnip', 'kale', 'leek', 'garlic-hardneck', 'apple-late']) {
      expect(frostTender(cropById(id)), id).toBe(false)
    }
  })
  it('waits for two dry days, or says lift now', () => {
    expect(adviceOf(onion, lifts, today, days([0, 0, 5]))).toEqual(['Dry today and tomorrow: lift now.'])
    expect(adviceOf(onion, lifts, today, days([6, 0, 3, 0, 0]))[0]).toMatch(/Wait for Thursday,? 17 September/)
  })
  it('but not past the point where waiting costs more', () => {
    const to = Math.max(...onion.readiness!.schools.map((s) => s.to.value))
    const late = adviceOf(onion, to, today, days([6, 6, 6, 0, 0]))
    expect(late[0]).toMatch(/driest hour before/)
    expect(adviceOf(onion, 1, today, days([6, 6, 6])).join()).toMatch(/under a roof/)
    expect(adviceOf(onion, lifts, today, days([6, 6, 6]))[0]).toMatch(/No two dry days in sight/)
  })
  it('says nothing of rain where nobody forecasts it, nor of a crop nobody has looked at', () => {
    expect(adviceOf(onion, lifts, today, days([null, null, null]))).toEqual([])
    expect(adviceOf(onion, undefined, today, days([0, 0, 0]))).toEqual([])
  })
})
