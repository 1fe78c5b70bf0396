import { describe, expect, it } from 'vitest'
import { asGoods, cropById } from '../almanac'
import { dayMs } from '../households'
import { draft, lotHistory, type EventDraft } from '../lots'
import { keepAt } from '../stores'
import { bagAfterCut } from './index'

const told = (events: EventDraft[]) => lotHistory(events.map((e, i) => ({ ...e, atMs: i * 1000, id: i + 1 })))
const bags = [
  draft('brought-in', { weightG: 2000, placeId: 'kitchen' }),
  draft('frozen', { pieces: 5, placeId: 'freezer', details: { prepared: 'raw', scaleG: 2000, counted: 5 } }),
]
const after = (verdict: Parameters<typeof bagAfterCut>[0], nowMs = 100 * dayMs) =>
  told([...bags, ...bagAfterCut(verdict, told(bags), 'power off for 30 h', nowMs)])

describe('bags after a power cut', () => {
  it('are kept, frozen again with less time, cooked or thrown out, each in the ledger', () => {
    expect(after('keep')).toMatchObject({
      quantity: { weightG: 2000 },
      lifeDays: null,
      note: { text: 'power off for 30 h: hard frozen, kept' },
    })
    expect(after('refreeze')).toMatchObject({ quantity: { weightG: 2000, pieces: 5 }, lifeDays: 160 })
    expect(after('cook').stage).toBe('gone')
    expect(after('throw-out').stage).toBe('gone')
    const berry = cropById('raspberry')
    const days = (lifeDays: number | null) =>
      keepAt(asGoods(berry, 'frozen', { name: null, unit: null, lifeDays, dish: false }), -18, 60).nineInTenDays.p50
    expect(days(160)).toBeLessThan(days(null))
  })
  it('only of what is frozen and there', () => {
    expect(() => bagAfterCut('keep', told(bags.slice(0, 1)), 'x', 0)).toRefuse(/not in the freezer/)
    expect(() => bagAfterCut('keep', after('cook'), 'x', 0)).toRefuse(/Nothing is left/)
  })
})
