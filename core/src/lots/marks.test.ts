import { inPlainWords } from '@vadose/words'
import { describe, expect, it } from 'vitest'
import { cropById } from '../almanac'
import { thinLayerGain } from '../assumptions'
import { Refusal } from '../refusal'
import {
  bringIn,
  draft,
  eventSays,
  heapLike,
  labelChanges,
  labelTold,
  lotHistory,
  perform,
  relabelling,
  requireCanBe,
  restated,
  type Entry,
  type EventDraft,
  type LotAct,
  type LotEvent,
} from './index'
import { daysAside } from './aside'
import { weighingChangeG } from './retell'

const garlic = cropById('garlic-hardneck')
const apple = cropById('apple-late')
const day = 86_400_000
const at = (drafts: readonly EventDraft[]): Entry[] => drafts.map((one, i) => ({ ...one, atMs: i * day, id: i + 1 }))
const hung = at([
  draft('brought-in', { weightG: 5000, pieces: 100 }),
  draft('hung', { placeId: 'veranda', details: { airflow: 'breezy', hungIn: 'bunch' } }),
])
const stored = at([
  ...hung,
  draft('finished', { weightG: -1000, placeId: 'north', details: { neck: 'long', pack: 'net' } }),
])
const done = (events: readonly LotEvent[], act: LotAct, crop = garlic) =>
  perform(act, { crop, lot: lotHistory(events), nowMs: 9 * day, airflowOf: () => 'still' })
/** The code of its refusal, or “ok”. */
const asked = (events: readonly LotEvent[], act: LotAct, crop = garlic): string => {
  try {
    done(events, act, crop)
    return 'ok'
  } catch (error) {
    if (error instanceof Refusal) return error.code
    throw error
  }
}

describe('what is asked about is asked from its mark on', () => {
  const finish = (over: object): LotAct => ({
    act: 'finish',
    neck: 'long',
    pack: 'net',
    placeId: 'x',
    weightG: 4000,
    ...over,
  })
  it.each([
    // a fifth more than what hung; two fifths of it as tops and roots
    ['taken down', hung, (g: number) => finish({ weightG: g }), [6000, 6001]],
    ['trimmed', hung, (g: number) => finish({ wasteG: g }), [2000, 2001]],
    ['weighed', hung, (g: number): LotAct => ({ act: 'weigh', weightG: g, basis: 'lot' }), [6000, 6001]],
  ])('%s', (_what, events, act, [goes, asks]) => {
    expect([asked(events, act(goes!)), asked(events, act(asks!))]).toEqual(['ok', 'surprise'])
    expect(asked(events, { ...act(asks!), sure: true } as LotAct)).toBe('ok')
  })
  it('a weighing far under the last one, of the same', () => {
    const bunch = at([...hung, draft('weighed', { details: { scaleG: 600, basis: 'bunch' } })])
    const weigh = (weightG: number, basis: 'bunch' | 'lot' = 'bunch'): LotAct => ({ act: 'weigh', weightG, basis })
    expect([240, 239, 720, 721].map((g) => asked(bunch, weigh(g)))).toEqual(['ok', 'surprise', 'ok', 'surprise'])
    // the lot was not weighed before: half of what was booked is what it is
    expect(asked(bunch, weigh(1500, 'lot'))).toBe('ok')
  })
  it('what goes on the trays, what comes off them, and how warm', () => {
    const apples = at([
      draft('brought-in', { weightG: 5000 }),
      draft('finished', { placeId: 'c', details: { pack: 'box' } }),
    ])
    const [lo, hi] = apple.dehydrating!.airC.value
    const load = (over: object): LotAct => ({ act: 'load', weightG: 4000, trays: 4, airC: lo, placeId: 'k', ...over })
    expect([2000, 1999, 5000, 5001].map((g) => asked(apples, load({ weightG: g }), apple))).toEqual([
      'ok',
      'surprise',
      'ok',
      'invalid',
    ])
    expect([lo - 8, lo - 8.1, hi + 8, hi + 8.1].map((airC) => asked(apples, load({ airC }), apple))).toEqual([
      'ok',
      'surprise',
      'ok',
      'surprise',
    ])
    expect([5000, 5001].map((takenG) => asked(apples, load({ takenG }), apple))).toEqual(['ok', 'not-enough'])
    const drying = at([...apples, ...done(apples, load({}), apple).events])
    expect([4800, 4801].map((weightG) => asked(drying, { act: 'jar', weightG }, apple))).toEqual(['ok', 'surprise'])
    expect(asked(drying, load({}), apple)).toBe('invalid')
  })
  it('what is bagged: a quarter of what was taken, and a seventh more', () => {
    const tomato = cropById('tomato')
    const there = at([draft('brought-in', { weightG: 4000, pieces: 40, placeId: 'k' })])
    const freeze = (weightG: number): LotAct => ({ act: 'freeze', weightG, bags: 3, prepared: 'raw', placeId: 'f' })
    expect([1000, 999, 4600, 4601].map((g) => asked(there, freeze(g), tomato))).toEqual([
      'ok',
      'surprise',
      'ok',
      'surprise',
    ])
    // of a part, what was taken for it
    const part = (weightG: number): LotAct => ({ ...freeze(weightG), pieces: 10 }) as LotAct
    expect([250, 249].map((g) => asked(there, part(g), tomato))).toEqual(['ok', 'surprise'])
  })
  it('what is sorted: a fifth more on the table than was booked', () => {
    const sort = (weightG: number): LotAct => ({
      act: 'sort',
      heaps: [
        { fate: 'store', weightG },
        { fate: 'bin', weightG: 800 },
      ],
      rest: 'store',
    })
    expect([4000, 4001].map((g) => asked(stored, sort(g)))).toEqual(['ok', 'surprise'])
  })
})

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

describe('a tag put right', () => {
  const was = { crop: 'garlic-hardneck', variety: null, bed: '3', heap: 'sound', broughtOn: '2026-07-10' }
  it('says what is another, and nothing where it says that already', () => {
    expect(labelChanges(was, { bed: '4', variety: null })).toEqual(['bed'])
    expect(relabelling(hung, was, { bed: '3' }, {})).toEqual([])
    const [entry] = relabelling(hung, was, { bed: '4', variety: 'Music' }, { why: 'mixed up' })
    expect(entry!.details).toMatchObject({
      was: { bed: '3', variety: null },
      is: { bed: '4', variety: 'Music' },
      why: 'mixed up',
    })
    expect(inPlainWords(eventSays(garlic, entry!, null))).toMatch(/3.*4/)
  })
  it('is told by the last words that stand, else by the first', () => {
    const relabelled = (is: object, of: object, id: number): LotEvent => ({
      ...draft('relabelled', { details: { was: of, is } }),
      atMs: id,
      id,
    })
    const twice = [relabelled({ bed: '4' }, { bed: '3' }, 3), relabelled({ bed: '5' }, { bed: '4' }, 4)]
    expect(labelTold([...hung, ...twice])).toEqual({ bed: '5' })
    const undone = (strikes: number, id: number): LotEvent => ({
      ...draft('undone', { details: { strikes } }),
      atMs: id,
      id,
    })
    expect(labelTold([...hung, ...twice, undone(4, 5)])).toEqual({ bed: '4' })
    expect(labelTold([...hung, ...twice, undone(4, 5), undone(3, 6)])).toEqual({ bed: '3' })
  })
  it('of another day moves what was written as it came in, not past what happened since', () => {
    const same = hung.map((e) => ({ ...e, atMs: 5 * day }))
    const later = [...same, { ...draft('fan', { details: { airflow: 'fan' } }), atMs: 8 * day, id: 3 }]
    const right = relabelling(later, was, { broughtOn: '2026-07-08' }, { broughtAtMs: 3 * day })
    expect(right.map(({ kind, details }) => [kind, details.strikes, details.instead?.atMs])).toEqual([
      ['restated', 1, 3 * day],
      ['restated', 2, 3 * day],
      ['relabelled', undefined, undefined],
    ])
    expect(relabelling(later, was, { broughtOn: '2026-07-13' }, { broughtAtMs: 8 * day })).toHaveLength(3)
    expect(() => relabelling(later, was, { broughtOn: '2026-07-14' }, { broughtAtMs: 8 * day + 1 })).toRefuse(
      /could not have been/,
    )
  })
  it('is of a crop that can stand where the lot stands, in its heap or the first', () => {
    expect(() => requireCanBe(cropById('carrot'), 'drying')).toRefuse(/./)
    expect(() => requireCanBe(garlic, 'drying')).not.toThrow()
    expect(() => requireCanBe(cropById('carrot'), 'stored')).not.toThrow()
    expect(() => requireCanBe({ ...apple, dehydrating: undefined }, 'conditioning')).toRefuse(/./)
    expect(() => requireCanBe(apple, 'dryer')).not.toThrow()
    expect(heapLike(garlic, 'large')).toBe('large')
    expect(heapLike(garlic, 'nicked')).toBe('nicked')
    expect(heapLike(garlic, 'no such heap')).toBe(garlic.heaps[0]!.id)
  })
})

describe('an entry told otherwise', () => {
  it('says what the scale showed, or what was taken with the other following', () => {
    expect(restated(stored[2]!, { weightG: 3900, pieces: 90 })).toEqual({ details: { scaleG: 3900, counted: 90 } })
    const used = draft('used', { weightG: -80, pieces: -2 })
    const entry = { ...used, atMs: 1 }
    expect(restated(entry, { pieces: 3 })).toEqual({ pieces: -3, details: { by: 'pieces' } })
    expect(restated(entry, { weightG: 120 })).toEqual({ weightG: -120, details: { by: 'weight' } })
    expect(restated(entry, { weightG: 120, pieces: 3 })).toEqual({ weightG: -120, pieces: -3, details: {} })
    expect(restated(hung[0]!, { weightG: 4800 }, 7)).toEqual({
      atMs: 7,
      weightG: 4800,
      details: { guessed: 'nothing' },
    })
    expect(() => restated(entry, { placeId: 'x' })).toRefuse(/./)
  })
})

describe('a lot read from its ledger', () => {
  it('what joins later is not weighed with the rest; a part of it weighs its share', () => {
    const weighed = at([
      ...hung,
      draft('weighed', { weightG: -500, details: { scaleG: 4500, basis: 'lot' } }),
      draft('weighed', { details: { scaleG: 600, basis: 'bunch' } }),
    ])
    const joined = at([...weighed, draft('brought-in', { weightG: 1000, pieces: 20 })])
    expect(lotHistory(joined).weighings.map(({ basis }) => basis)).toEqual(['bunch'])
    const eaten = at([...weighed, draft('used', { weightG: -900, pieces: -20 })])
    // four fifths are left: of the lot as if it had always been so much, of the bunch what it weighed
    expect(lotHistory(eaten).weighings.map(({ weightG }) => weightG)).toEqual([3600, 600])
  })
  it('a topped up bag is no younger, and a look is at as many as there were', () => {
    const topped = at([...stored, draft('split-in', { weightG: 500, pieces: 10 })])
    expect(lotHistory(topped).storedAtMs).toBe(2 * day)
    const looked = at([...stored, draft('checked', { details: { lookedAt: 30, bad: 1, lotSize: 77 } })])
    expect(lotHistory(looked).checks[0]).toMatchObject({ lookedAt: 30, lotSize: 100 })
    const uncounted = at([
      draft('brought-in', { weightG: 5000 }),
      draft('finished', { placeId: 'c' }),
      draft('checked', { details: { lookedAt: 30, bad: 1, lotSize: 77 } }),
    ])
    expect(lotHistory(uncounted).checks[0]).toMatchObject({ lookedAt: 30, lotSize: 77 })
    const sorted = at([
      ...stored,
      draft('checked', { details: { lookedAt: 90, bad: 1, lotSize: 90, why: 'sorted through' } }),
    ])
    expect(lotHistory(sorted).checks[0]).toMatchObject({ lookedAt: 100, lotSize: 100 })
  })
  it('knows the last note, the last germination and the verdict, each apart', () => {
    const noted = at([
      ...stored,
      draft('noted', { details: { text: 'smells', mindOn: '2026-12-01' } }),
      draft('noted', { details: { text: 'germination test', sown: 20, came: 17 } }),
      draft('noted', { details: { verdict: 'more' } }),
    ])
    expect(lotHistory(noted)).toMatchObject({
      note: { text: 'smells', mindOn: '2026-12-01', atMs: 3 * day },
      germination: { sown: 20, came: 17, atMs: 4 * day },
      verdict: 'more',
    })
    expect(lotHistory(at([...noted, draft('noted', { details: { text: '' } })])).note).toBeNull()
  })
})
