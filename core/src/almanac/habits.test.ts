import { spreadPerWeek } from '../assumptions'
import { describe, expect, it } from 'vitest'
import { nextLookInDays, beliefAfterChecks } from '../checks'
import { daysAside } from '../lots/aside'
import { bearableLossPct, keepAt, steadyLife } from '../stores'
import {
  almanacWith,
  cropById,
  habitLimits,
  habitNames,
  habitsWith,
  noChanges,
  usualHabits,
  type Habits,
} from './index'

const withHabits = (habits: Partial<Habits>) => almanacWith({ ...noChanges, habits })

describe('what is a matter of house and habit', () => {
  it('is our judgement where nobody says otherwise, and lies within what may be set', () => {
    expect(withHabits({}).habits).toEqual(usualHabits)
    for (const name of habitNames) {
      const { usual, lo, hi } = habitLimits[name]
      expect([lo <= usual, usual <= hi], name).toEqual([true, true])
    }
    expect(habitsWith({ cookDays: 4 })).toEqual({ ...usualHabits, cookDays: 4 })
  })
  it('lets a lot shrivel further before it is called dried out: its date is later by that', () => {
    const carrot = (times: number) => withHabits({ bearableLoss: times }).byId.get('carrot')!
    const shop = cropById('carrot').keeping.largestLossPct.value
    expect([bearableLossPct(carrot(1)), bearableLossPct(carrot(3))]).toEqual([shop, 3 * shop])
    const days = (times: number) => keepAt(carrot(times), 18, 60, 'bare').nineInTenDays.p50
    expect(days(3)).toBeGreaterThan(2 * days(1))
    // ours is no other than what the crop has without a word said
    expect(days(habitLimits.bearableLoss.usual)).toBe(keepAt(cropById('carrot'), 18, 60, 'bare').nineInTenDays.p50)
  })
  it('asks for looks no further apart than the house wants them, and the oftener the fewer bad ones it bears', () => {
    const { model } = steadyLife(cropById('potato-maincrop'), 4, 90, 'sack')
    const belief = beliefAfterChecks(model, [], 40)
    const look = (habits: Partial<Habits>) =>
      nextLookInDays(model, belief, 40, 2, 240, spreadPerWeek.sack, habitsWith(habits))
    expect(look({ longestLookGapDays: 7 })).toBeLessThanOrEqual(7)
    expect(look({ bearableBadPct: 0.5 })).toBeLessThan(look({ bearableBadPct: 10 }))
    expect(look({})).toBe(nextLookInDays(model, belief, 40, 2, 240, spreadPerWeek.sack))
  })
  it('says how long what is set aside has', () => {
    const onion = cropById('onion-storing')
    expect(daysAside(onion, 'eat-first', habitsWith({ eatFirstDays: 10 }))).toBe(10)
    expect(daysAside(onion, 'eat-first')).toBe(usualHabits.eatFirstDays)
    // what is soft has days, however long firm ones lie here
    expect(daysAside(cropById('tomato'), 'eat-first', habitsWith({ eatFirstDays: 60 }))).toBeLessThan(7)
    for (const why of ['cook', 'freeze', 'dry'] as const)
      expect(daysAside(onion, why, habitsWith({ cookDays: 5 }))).toBe(5)
  })
})
