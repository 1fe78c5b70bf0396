import { inPlainWords } from '@vadose/words'
import { describe, expect, it } from 'vitest'
import { cropById } from '../almanac'
import { addDays } from '../households'
import { signPace, standsOf, standVerdict, type BedEntry, type BedMove } from './index'

let number = 0
const entry = (
  on: string,
  what: BedEntry['what'],
  value: number | null = null,
  over: Partial<BedEntry> = {},
): BedEntry => ({
  id: String(++number),
  on,
  crop: 'garlic-hardneck',
  variety: null,
  bed: 'Bed 3',
  growsIn: 'bed',
  what,
  value,
  pieces: null,
  weightG: null,
  ...over,
})
const move = (on: string, kind: string, weightG: number, over: Partial<BedMove> = {}): BedMove => ({
  on,
  kind,
  crop: 'garlic-hardneck',
  code: 'G25-2',
  variety: null,
  bed: 'Bed 3',
  weightG,
  pieces: 0,
  ...over,
})
const garlic = cropById('garlic-hardneck')
const sky = (today: string, rain: (number | null)[], past: (number | null)[] = [], nightC = 14) => [
  ...past.map((rainMm, i) => ({ on: addDays(today, i - past.length), rainMm, nightC, ahead: false })),
  ...rain.map((rainMm, i) => ({ on: addDays(today, i), rainMm, nightC, ahead: true })),
]
const judged = (entries: BedEntry[], today: string, rain: (number | null)[] = [], past: (number | null)[] = []) =>
  verdictOf(garlic, undefined, standsOf(entries, [], today)[0]!, today, sky(today, rain, past))

describe('what stands in a bed', () => {
  const stands = (entries: BedEntry[], moves: BedMove[] = [], today = '2026-11-01') => standsOf(entries, moves, today)
  it('begins with its planting, from a lot, and ends with its harvest', () => {
    const planted = move('2025-10-20', 'planted', -1200, { pieces: -24, variety: 'Red Moor' })
    const [stand, ...others] = stands(
      [entry('2026-06-20', 'scapes', 1)],
      [planted, move('2026-07-20', 'brought-in', 5200, { code: 'G26-1', variety: 'Red Moor', pieces: 118 })],
    )
    expect(others).toEqual([])
    expect(stand).toMatchObject({
      plantedOn: '2025-10-20',
      variety: 'Red Moor',
      planted: { weightG: 1200, pieces: 24 },
      from: ['G25-2'],
      lifted: [{ on: '2026-07-20', weightG: 5200, pieces: 118 }],
      over: true,
    })
  })
  it('begins with the first look too; a bare harvest is no stand', () => {
    expect(stands([entry('2026-07-01', 'sign', 0.1)])).toMatchObject([{ plantedOn: null, over: false }])
    expect(stands([], [move('2026-07-20', 'brought-in', 5200)])).toEqual([])
  })
  it('a look after a harvest is at what was left standing; a planting begins anew', () => {
    const harvest = move('2026-07-20', 'brought-in', 2000)
    const left = stands([entry('2026-07-01', 'sign', 0.3), entry('2026-07-24', 'sign', 0.5)], [harvest])
    expect(left).toMatchObject([{ over: false, lifted: [{ on: '2026-07-20' }] }])
    const anew = stands([entry('2026-07-01', 'sign', 0.3)], [harvest, move('2026-10-10', 'planted', -900)])
    expect(anew.map((s) => [s.over, s.plantedOn])).toEqual([
      [true, null],
      [false, '2026-10-10'],
    ])
  })
  it('keeps varieties and beds apart, however they are written', () => {
    const looks = [
      entry('2026-07-01', 'sign', 0.1, { variety: 'Red Moor' }),
      entry('2026-07-01', 'sign', 0.3, { variety: 'White Fen' }),
      entry('2026-07-05', 'sign', 0.2, { variety: 'red moor', bed: ' bed 3' }),
      entry('2026-07-05', 'sign', 0.2, { bed: 'Bed 4' }),
    ]
    expect(stands(looks).map((s) => [s.variety, s.bed, s.entries.length])).toEqual([
      ['Red Moor', 'Bed 3', 2],
      ['White Fen', 'Bed 3', 1],
      [null, 'Bed 4', 1],
    ])
  })
  it('cleared is over, and a year and more without a word is forgotten', () => {
    expect(stands([entry('2026-07-01', 'sign', 0.1), entry('2026-08-01', 'cleared')])).toMatchObject([{ over: true }])
    expect(stands([entry('2025-07-01', 'sign', 0.1)])).toEqual([])
  })
})

// common practice, no source: scapes are cut at one to one and a half turns, and the bulbs follow three to four weeks later;
// each brown leaf is a wrapper fewer; what is to cure is lifted dry, after a week or two without water
const verdictOf = (...of: Parameters<typeof standVerdict>) => {
  const verdict = standVerdict(...of)
  return { ...verdict, says: verdict.says.map(inPlainWords) }
}

describe('one verdict from all that was seen', () => {
  const cut = entry('2026-07-12', 'scapes-cut')
  it('by the scapes alone: three to four weeks after the cut', () => {
    const { state, window, says } = judged([cut], '2026-07-14')
    expect([state, window]).toEqual(['wait', { from: '2026-08-02', to: '2026-08-09' }])
    expect(says[0]).toBe('Scapes cut 12 July: lift 2 August to 9 August.')
  })
  it('leaves say more than scapes, and the weather chooses the day: six brown, wet, so Thursday', () => {
    // Monday 27 July: rain today to Wednesday
    const six = judged([cut, entry('2026-07-27', 'sign', 6 / 9)], '2026-07-27', [8, 5, 4, 0, 0, 0])
    expect(six.state).toBe('late')
    const five = judged([cut, entry('2026-07-27', 'sign', 4.6 / 9)], '2026-07-27', [8, 5, 4, 0, 0, 0])
    expect([five.state, five.day]).toEqual(['lift', '2026-07-30'])
    expect(five.says[0]).toMatch(/Wait for Thursday,? 30 July: two dry days then/)
    expect(five.says[1]).toMatch(/By “scapes cut 12 July” it is 2 August to 9 August/)
    expect(five.next).toMatchObject({ what: 'lift', on: '2026-07-30' })
  })
  it('a bulb cut across says more than leaves', () => {
    const leaves = entry('2026-07-20', 'sign', 0.5)
    expect(judged([leaves, entry('2026-07-21', 'tried', 0)], '2026-07-21').state).toBe('wait')
    expect(judged([leaves, entry('2026-07-21', 'tried', 1)], '2026-07-21').state).toBe('lift')
    expect(judged([leaves, entry('2026-07-21', 'tried', 2)], '2026-07-22').state).toBe('late')
    // but not for ever: a later look at the leaves counts when the bulb is weeks old
    const old = judged([entry('2026-06-21', 'tried', 0), entry('2026-07-20', 'sign', 0.5)], '2026-07-21')
    expect([old.state, old.signs.map((s) => s.by)]).toEqual(['lift', ['sign']])
  })
  it('scapes are watched to their turn, then cut', () => {
    const half = judged([entry('2026-06-20', 'scapes', 0.5)], '2026-06-20')
    expect(half.next).toMatchObject({ what: 'look', on: '2026-06-24' })
    expect(judged([entry('2026-06-20', 'scapes', 1)], '2026-06-21').next).toMatchObject({ what: 'cut-scapes' })
    const straight = judged([entry('2026-06-20', 'scapes', 3)], '2026-06-25')
    expect(straight.next).toMatchObject({ what: 'cut-scapes', on: '2026-06-20' })
    expect(straight.says.join(' ')).toMatch(/straightened/)
  })
  it('looks come closer as the day does, and an undone one keeps its day', () => {
    const far = judged([entry('2026-06-20', 'sign', 0)], '2026-06-21')
    const near = judged([entry('2026-07-05', 'sign', 0.35)], '2026-07-06')
    const gap = (on: string, from: string) => (Date.parse(on) - Date.parse(from)) / 864e5
    expect(gap(far.next!.on, '2026-06-20')).toBeGreaterThan(gap(near.next!.on, '2026-07-05'))
    expect(judged([entry('2026-06-20', 'sign', 0)], '2026-06-25').next).toEqual(far.next)
  })
  it('a planting says when it is worth a look, not that it must be lifted', () => {
    const [stand] = standsOf([], [move('2025-10-20', 'planted', -1200)], '2026-05-01')
    const at = (today: string) => standVerdict(garlic, undefined, stand!, today, [])
    expect(at('2026-05-01').state).toBe('wait')
    expect(at('2026-05-01').next).toMatchObject({ what: 'look', on: addDays('2025-10-20', 240 - 28) })
    expect(at('2026-09-15').state).toBe('unknown')
  })
  it('waters end a week or two before; a pot under a roof goes by the can, a bed by the rain', () => {
    const leaves = entry('2026-07-20', 'sign', 0.45)
    const dry = Array.from({ length: 14 }, () => 0)
    expect(judged([entry('2026-07-14', 'sign', 0.3)], '2026-07-14').says.join()).toMatch(/Stop watering/)
    expect(judged([leaves], '2026-07-20', [], [...dry.slice(3), 6, 0, 0]).says.join()).toMatch(/Only 2 days since rain/)
    expect(judged([leaves], '2026-07-20', [], dry).says.join()).toMatch(/Dry for 14 days/)
    const pot = (what: BedEntry['what'], on: string) => entry(on, what, null, { growsIn: 'roofed' })
    const roofed = { ...leaves, growsIn: 'roofed' as const }
    expect(judged([pot('watered', '2026-07-17'), roofed], '2026-07-20', [], dry).says.join()).toMatch(
      /3 days since the can/,
    )
    expect(judged([pot('unwatered', '2026-07-10'), roofed], '2026-07-20', [], [9, 9, 9]).says.join()).toMatch(
      /Dry for 10 days/,
    )
  })
  it('learns the pace of this bed from its looks, without believing two of them altogether', () => {
    const usual = garlic.readiness!.sharePerWeek.value
    const quick = signPace(garlic, [entry('2026-07-01', 'sign', 0.1), entry('2026-07-08', 'sign', 0.5)])
    expect(quick).toBeGreaterThan(usual * 1.4)
    expect(quick).toBeLessThan(0.4)
    expect(signPace(garlic, [entry('2026-07-01', 'sign', 0.3), entry('2026-07-08', 'sign', 0.3)])).toBe(usual)
  })
  it('frost to come takes tender crops in whatever was seen', () => {
    const squash = cropById('squash-butternut')
    const stand = standsOf([entry('2026-09-10', 'sign', 0.2, { crop: squash.id })], [], '2026-09-14')[0]!
    const { says, day } = verdictOf(squash, undefined, stand, '2026-09-14', sky('2026-09-14', [0, 0], [], 1))
    expect([says[0], day]).toEqual([expect.stringMatching(/Frost is likely tonight/), '2026-09-14'])
  })
  it('what was not ready when it was seen is looked at again, not lifted by the calendar', () => {
    const then = entry('2026-07-10', 'sign', 0.2)
    const later = judged([then], '2026-07-24')
    expect([later.state, later.next?.what]).toEqual(['unknown', 'look'])
    expect(later.says[0]).toBe('2 of 9 leaves brown on 10 July: it may be ready by now. Look before you lift it.')
    expect(judged([then, entry('2026-07-24', 'sign', 0.45)], '2026-07-24').state).toBe('lift')
    // and one that was cut too small is not lifted for having waited its week
    expect(judged([entry('2026-07-10', 'tried', 0)], '2026-07-19').state).toBe('unknown')
  })
  it('goes by the school the household chose', () => {
    const looks = [entry('2026-07-20', 'sign', 2 / 9)]
    const stand = standsOf(looks, [], '2026-07-20')[0]!
    const of = (choice: string) => standVerdict(garlic, choice, stand, '2026-07-20', []).state
    expect([of('wrappers'), of('half')]).toEqual(['lift', 'wait'])
  })
})
