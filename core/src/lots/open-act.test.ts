import { describe, expect, it } from 'vitest'
import { cropById } from '../almanac'
import { draft, lotHistory, perform, type EventDraft } from './index'
import { openFor } from './open-act'

const told = (events: EventDraft[]) => lotHistory(events.map((e, i) => ({ ...e, atMs: i, id: i + 1 })))
const jars = (pieces: number, name: string) => [
  draft('added', { weightG: pieces * 500, pieces, placeId: 'pantry', details: { source: 'grown', name, unit: 'jar' } }),
  draft('made', { placeId: 'pantry', details: { form: 'jarred', name, unit: 'jar', counted: pieces } }),
]
const open = (events: EventDraft[]) =>
  perform(
    { act: 'open', placeId: 'fridge' },
    { crop: cropById('plum'), lot: told(events), nowMs: 0, airflowOf: () => 'still' },
  )

describe('one opened', () => {
  it('stands apart in the fridge with its days; the rest is one fewer', () => {
    const { events, splitsOff } = open(jars(3, 'Damson jam'))
    expect(events).toMatchObject([
      { kind: 'split-out', weightG: -500, pieces: -1, details: { aside: { why: 'opened' } } },
    ])
    const [one] = splitsOff!
    expect(one!.events[0]).toMatchObject({ weightG: 500, pieces: 1, placeId: 'fridge' })
    expect(told([...jars(3, 'Damson jam'), ...events]).quantity).toEqual({ weightG: 1000, pieces: 2 })
  })
  it('lasts weeks by sugar, vinegar and salt, days otherwise (common practice, no source)', () => {
    expect(openFor('jarred', 'Damson jam')).toBe(30)
    expect(openFor('jarred', 'Pickled cucumbers')).toBe(30)
    expect(openFor('jarred', 'Tomato sauce')).toBe(5)
    expect(openFor('brined', 'Kraut')).toBe(60)
    expect(openFor('cooked', 'Jam roll')).toBe(2)
  })
  it('only of what is closed and counted', () => {
    const loose = [draft('brought-in', { weightG: 900, placeId: 'c' }), draft('finished', { placeId: 'c' })]
    expect(() => open(loose)).toRefuse(/use a part of it instead/)
  })
})
