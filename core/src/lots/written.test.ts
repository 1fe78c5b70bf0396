import { describe, expect, it } from 'vitest'
import { cropById } from '../almanac'
import { thinLayerGain } from '../assumptions'
import { daysAside } from './aside'
import { bringIn, draft, type EventDraft, type LotAct } from './index'
import { weighingChangeG } from './retell'
import { asked, at, done, garlic, hung, stored } from './made-up-lot'

const apple = cropById('apple-late')

describe('what an act writes, to the gram', () => {
  it('a part taken down: its share of the pieces, the rest hangs on', () => {
    const { events, splitsOff } = done(hung, {
      act: 'finish',
      neck: 'long',
      pack: 'net',
      placeId: 'north',
      ofG: 2000,
      weightG: 1700,
      wasteG: 120,
      units: 2,
    })
    expect(events).toMatchObject([{ kind: 'split-out', weightG: -2000, pieces: -40 }])
    expect(splitsOff![0]!.events).toMatchObject([
      { kind: 'split-in', weightG: 2000, pieces: 40, details: { stage: 'drying', guessed: 'pieces' } },
      { kind: 'finished', weightG: -300, pieces: 0, details: { scaleG: 1700, wasteG: 120, units: 2 } },
    ])
    // all of it is no part
    const all = done(hung, { act: 'finish', neck: 'long', pack: 'net', placeId: 'n', ofG: 5000, weightG: 4200 })
    expect(all.splitsOff).toEqual([])
    expect(all.events[0]).toMatchObject({ kind: 'finished', weightG: -800 })
  })
  it('counted at taking down, it is as many as were counted; its sizes are taken out of what was weighed', () => {
    const { events } = done(hung, {
      act: 'finish',
      neck: 'long',
      pack: 'net',
      placeId: 'north',
      weightG: 4000,
      pieces: 98,
      grades: [{ grade: 'large', weightG: 1000 }],
    })
    expect(events.map(({ weightG, pieces }) => [weightG, pieces])).toEqual([
      [-1000, -2],
      [-1000, -25],
    ])
  })
  it('on the trays and in the jar: what the scale shows, nothing counted any more', () => {
    const apples = at([
      draft('brought-in', { weightG: 5000, pieces: 40 }),
      draft('finished', { placeId: 'c', details: { pack: 'box' } }),
    ])
    const load: LotAct = { act: 'load', takenG: 1000, weightG: 850, trays: 3, airC: 58, placeId: 'k' }
    const { events, splitsOff } = done(apples, load, apple)
    expect(events[0]).toMatchObject({ weightG: -1000, pieces: -8 })
    expect(splitsOff![0]!.events).toMatchObject([
      { weightG: 1000, pieces: 8, details: { stage: 'fresh' } },
      { kind: 'loaded', weightG: -150, pieces: -8, details: { trays: 3, airC: 58, scaleG: 850 } },
    ])
    const dryer = at(splitsOff![0]!.events)
    expect(done(dryer, { act: 'jar', weightG: 160 }, apple).events[0]).toMatchObject({ weightG: -690 })
    const jar = at([...dryer, ...done(dryer, { act: 'jar', weightG: 160 }, apple).events])
    const back = done(jar, { act: 'shake', beads: true, mould: false }, apple).events
    expect(back.at(-1)).toMatchObject({ kind: 'loaded', details: { trays: 3, airC: 58, scaleG: 160 } })
    expect(done(jar, { act: 'shake', beads: false, mould: true }, apple).events.at(-1)).toMatchObject({
      kind: 'lost',
      weightG: -160,
    })
  })
  it('spread thinner once, and no more', () => {
    const thin = done(hung, { act: 'thin' })
    expect(thin.events[0]!.details).toEqual({ airflow: 'breezy', gain: thinLayerGain })
    expect(asked(at([...hung, ...thin.events]), { act: 'thin' })).toBe('invalid')
  })
  it('corrected: by what it stands at, the last piece with the last gram', () => {
    const correct = (weightG: number, pieces?: number): LotAct => ({
      act: 'correct',
      weightG,
      why: 'x',
      ...(pieces === undefined ? {} : { pieces }),
    })
    const written = (act: LotAct) => {
      const [{ weightG, pieces }] = done(stored, act).events as [EventDraft]
      return [weightG, pieces]
    }
    expect(written(correct(3900, 97))).toEqual([-100, -3])
    expect(written(correct(3900))).toEqual([-100, 0])
    expect(written(correct(4000, 97))).toEqual([0, -3])
    expect(written(correct(0))).toEqual([-4000, -100])
    expect(asked(stored, correct(4000, 100))).toBe('invalid')
    expect(asked(stored, correct(0, 3))).toBe('invalid')
    expect(asked(stored, correct(0, 0))).toBe('ok')
  })
  it('a germination test has no more come up than were sown', () => {
    expect(asked(stored, { act: 'germinate', sown: 10, came: 10 })).toBe('ok')
    expect(asked(stored, { act: 'germinate', sown: 10, came: 11 })).toBe('invalid')
    expect(
      asked(stored, { act: 'check', lookedAt: 20, faults: [{ fault: 'dry-rot', pieces: 20, action: 'bin' }] }),
    ).toBe('ok')
    expect(
      asked(stored, { act: 'check', lookedAt: 20, faults: [{ fault: 'dry-rot', pieces: 21, action: 'bin' }] }),
    ).toBe('invalid')
    expect(asked(stored, { act: 'check', lookedAt: 100, faults: [] })).toBe('ok')
  })
  it('faults that are used the same way lie together', () => {
    const eat = garlic.faults.flatMap(({ id, actions }) =>
      actions
        .filter(({ becomes, aside }) => becomes === 'set-aside' && (aside ?? 'eat-first') === 'eat-first')
        .map((a) => ({ fault: id, action: a.id })),
    )
    expect(eat.length).toBeGreaterThan(1)
    const faults = eat.slice(0, 2).map((one, i) => ({ ...one, pieces: i + 2 }))
    const { splitsOff } = done(stored, { act: 'check', lookedAt: 50, faults })
    expect(splitsOff!.map(({ events: [part] }) => [part!.pieces, part!.weightG])).toEqual([[5, 200]])
  })
  it('hung again goes on as it hung; what never hung does not', () => {
    expect(done(stored, { act: 'hang', placeId: 'loft' }).events[0]).toMatchObject({
      placeId: 'loft',
      details: { airflow: 'still', hungIn: 'bunch', why: 'hung again' },
    })
    const bought = at([
      draft('added', { weightG: 900, details: { source: 'bought' } }),
      draft('finished', { placeId: 'c' }),
    ])
    expect(asked(bought, { act: 'hang', placeId: 'loft' })).toBe('not-cured')
    expect(asked(hung, { act: 'hang', placeId: 'loft' })).toBe('not-stored')
    expect(asked(hung, { act: 'grade', grades: [] })).toBe('not-stored')
    expect(asked(stored, { act: 'rotate' })).toBe('not-dryer')
    expect(asked(hung, { act: 'rotate' })).toBe('ok')
  })
  it('a bunch stands for the lot by its own share, and leaves it a gram at least', () => {
    expect(weighingChangeG(5000, 540, 'bunch', 600)).toBe(-500)
    expect(weighingChangeG(5000, 540, 'bunch', undefined)).toBe(0)
    expect(weighingChangeG(10, 1, 'bunch', 600)).toBe(-9)
    expect(weighingChangeG(5000, 4700, 'lot', 600)).toBe(-300)
  })
})

describe('a heap brought in', () => {
  it('hangs, waits, is in store at once, or is written off', () => {
    const kinds = (id: string, heap: string) =>
      bringIn(cropById(id), 900, [{ heap, weightG: 900, pieces: 9, placeId: 'p' }], () => 'still')[0]!.events.map(
        ({ kind, placeId, weightG, pieces }) => [kind, placeId, weightG, pieces],
      )
    expect(kinds('garlic-hardneck', 'sound')).toEqual([
      ['brought-in', null, 900, 9],
      ['hung', 'p', 0, 0],
    ])
    expect(kinds('carrot', 'sound')).toEqual([
      ['brought-in', 'p', 900, 9],
      ['finished', 'p', 0, 0],
    ])
    expect(kinds('garlic-hardneck', 'diseased').at(-1)).toEqual(['lost', null, -900, -9])
  })
  it('has so many days where it is set aside', () => {
    expect(daysAside({ group: 'allium' }, 'eat-first')).toBe(21)
    expect(daysAside({ group: 'leaf' }, 'eat-first')).toBe(4)
    expect(daysAside({ group: 'allium' }, 'cook')).toBe(2)
    expect(daysAside({ group: 'allium' }, 'cut-round')).toBe(3)
    expect(daysAside({ group: 'leaf' }, 'opened')).toBe(5)
    expect(daysAside({ group: 'root' }, 'freeze', { eatFirstDays: 9, cookDays: 6 })).toBe(6)
    expect(daysAside({ group: 'root' }, 'eat-first', { eatFirstDays: 9, cookDays: 6 })).toBe(9)
  })
})
