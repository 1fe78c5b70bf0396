import fc from 'fast-check'
import { inPlainWords } from '@vadose/words'
import { describe, expect, it } from 'vitest'
import { cropById, crops, frozenForm, inForm } from '../almanac'
import { preparings } from '../kitchen'
import { keepAt } from '../stores'
import { Refusal } from '../refusal'
import { draft, eventSays, lotHistory, perform, type EventDraft, type LotAct } from './index'

const tomato = cropById('tomato')
const told = (events: EventDraft[], origin?: ReturnType<typeof lotHistory>) =>
  lotHistory(
    events.map((event, i) => ({ ...event, atMs: (i + 1) * 3_600_000, id: i + 1 })),
    origin,
  )
const brought = [draft('brought-in', { weightG: 6000, pieces: 60, placeId: 'kitchen' })]
const freeze = (over: Partial<Extract<LotAct, { act: 'freeze' }>> = {}): LotAct => ({
  act: 'freeze',
  weightG: 5400,
  bags: 9,
  prepared: 'raw, whole or pieces',
  placeId: 'freezer',
  ...over,
})
const done = (act: LotAct, crop = tomato, events = brought) =>
  perform(act, { crop, lot: told(events), nowMs: 0, airflowOf: () => 'still' })

describe('freezing', () => {
  it('bags all of a lot: counted in bags, in the freezer, what was trimmed told apart', () => {
    const { events, splitsOff } = done(freeze())
    expect(splitsOff).toBeUndefined()
    const lot = told([...brought, ...events])
    expect(lot).toMatchObject({
      quantity: { weightG: 5400, pieces: 9 },
      stage: 'stored',
      placeId: 'freezer',
      frozen: { prepared: 'raw, whole or pieces' },
    })
    expect(inPlainWords(eventSays(tomato, events[0]!, 'Chest freezer'))).toBe(
      'frozen: raw, whole or pieces, 9 bags, 5,400 g, in chest freezer',
    )
  })
  it('bags a part as a lot of its own, which knows where it came from', () => {
    const { events, splitsOff } = done(freeze({ takenG: 2000, weightG: 1800, bags: 3 }))
    expect(told([...brought, ...events]).quantity).toEqual({ weightG: 4000, pieces: 40 })
    const part = told(splitsOff![0]!.events, told(brought))
    expect(part).toMatchObject({ quantity: { weightG: 1800, pieces: 3 }, stage: 'stored', placeId: 'freezer' })
    expect(part.broughtAtMs).toBe(told(brought).broughtAtMs)
  })
  it('refuses what is frozen, dried or not there, and asks about a slip of the finger', () => {
    const code = (act: LotAct, crop = tomato, events = brought) => {
      try {
        done(act, crop, events)
        return undefined
      } catch (error) {
        return error instanceof Refusal ? error.code : 'thrown'
      }
    }
    expect(code(freeze(), tomato, [...brought, ...done(freeze()).events])).toBe('invalid')
    expect(code(freeze(), inForm(tomato, 'dried'))).toBe('not-frozen')
    expect(code(freeze(), frozenForm(tomato))).toBe('not-frozen')
    expect(code(freeze({ takenG: 7000 }))).toBe('not-enough')
    expect(code(freeze({ weightG: 540 }))).toBe('surprise')
    expect(code(freeze({ weightG: 9000 }))).toBe('surprise')
    expect(code(freeze({ weightG: 540, sure: true }))).toBeUndefined()
  })
  it('loses no gram, whatever is taken and packed', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 10, max: 6000 }),
        fc.double({ min: 0.25, max: 1.15, noNaN: true }),
        fc.integer({ min: 1, max: 30 }),
        (takenG, share, bags) => {
          const weightG = Math.max(1, Math.round(takenG * share))
          const { events, splitsOff = [] } = done(freeze({ takenG, weightG, bags, sure: true }))
          const parts = splitsOff.flatMap((split) => split.events)
          const sum = [...events, ...parts].reduce((all, e) => all + e.weightG, 0)
          expect(sum).toBe(weightG - takenG)
        },
      ),
    )
  })
})

describe('frozen food', () => {
  // the almanac's own lives are NCHFP's and IIR's (recalled, not re-read): what is forecast must lie within them
  it('keeps at −18 °C as long as the books say, of every crop', () => {
    let inside = 0
    const frozen = crops.filter((crop) => crop.freezing)
    for (const crop of frozen) {
      const [lo, hi] = crop.freezing!.lifeMonths.value
      const { p50 } = keepAt(frozenForm(crop), -18, 80, 'bag').nineInTenDays
      if (p50 >= lo * 30.4 * 0.9 && p50 <= hi * 30.4 * 1.1) inside++
    }
    expect(inside / frozen.length).toBeGreaterThan(0.9)
  })
  it('ages faster in a warm freezer: half and less at −12 °C, and in days in the fridge', () => {
    const bean = frozenForm(cropById('bean-green'))
    const at = (c: number) => keepAt(bean, c, 80, 'bag').nineInTenDays.p50
    const share = at(-12) / at(-18)
    // IIR: French beans 15 months at −18 °C, 4 at −12 °C (recalled, not re-read)
    expect(share).toBeGreaterThan(0.2)
    expect(share).toBeLessThan(0.4)
    expect(at(4)).toBeLessThan(14)
  })
  it('is never warned of frost, sprouting or rooting', () => {
    for (const crop of crops.filter((one) => one.freezing)) {
      const { keeping, faults } = frozenForm(crop)
      expect([keeping.freezesAtC, keeping.sproutingDays, keeping.rootsAbovePct, keeping.chillsBelowC]).toEqual([
        undefined,
        undefined,
        undefined,
        undefined,
      ])
      expect(faults.map(({ id }) => id)).toEqual(['freezer-burn', 'thawed-once'])
    }
  })
  it('is prepared by the cuts of the table, a minute longer in the mountains', () => {
    const bean = cropById('bean-green')
    const minutes = (altitudeM: number) => preparings(bean, altitudeM)[0]!.minutes
    // NCHFP: green beans 3 minutes in boiling water, 4½ over steam (recalled, not re-read)
    expect(minutes(200)).toEqual({ water: 3, steam: 4.5 })
    expect(minutes(1800)).toEqual({ water: 4, steam: 4.5 })
    expect(preparings(tomato, 0)[0]).toMatchObject({ label: 'raw, whole or pieces', minutes: null })
  })
})
