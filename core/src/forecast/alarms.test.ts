import { describe, expect, it } from 'vitest'
import { inPlainWords } from '@vadose/words'
import { hourMs } from '../air'
import { draft } from '../lots'
import { notDescribed, type PlaceKind } from '../places'
import { recordOf } from '../readings'
import { alarmsOf, comingHour, House, placeState, type LotState } from './index'
import { almanac, at, climate, household, lot, stored } from './made-up-house'

const today = '2026-11-20'
const nowMs = at(today)
const hours = 24 * 20

/** A place with a logger: what it wrote for so many hours up to some hours ago. */
function logged(kind: PlaceKind, temperatureC: (hour: number) => number, humidity: number, silentFor = 0) {
  const startMs = comingHour(nowMs) - hours * hourMs
  const wrote = hours - silentFor
  const record = recordOf([
    {
      startMs,
      temperatureC: Float32Array.from({ length: hours }, (_, i) => (i < wrote ? temperatureC(i) : NaN)),
      relativeHumidityPct: Float32Array.from({ length: hours }, (_, i) => (i < wrote ? humidity : NaN)),
    },
  ])!
  return placeState(
    { id: kind, name: kind, kind, walk: 1, within: null, retiredOn: null, ...notDescribed },
    record,
    startMs + (wrote - 1) * hourMs,
    { climate, nowMs: comingHour(nowMs) },
  )
}
const rings = (place: ReturnType<typeof logged>, lots: LotState[] = []) =>
  alarmsOf(new House({ household, places: [place], lots, almanac, nowMs, rainMm: new Map(), stands: [], lessons: [] }))
const kinds = (...asked: Parameters<typeof rings>) => rings(...asked).map(({ kind }) => kind)

describe('damp', () => {
  const garlic = (place: string) => stored('G26-1', 'garlic-hardneck', '2026-10-01', place, 3000, 60)
  it('rings where what is kept dry has lain damp for days, and says what to do', () => {
    const [damp] = rings(
      logged('cool-room', () => 14, 94),
      [garlic('cool-room')],
    )
    expect(damp).toMatchObject({ kind: 'damp', codes: ['G26-1'] })
    expect(inPlainWords(damp!.todo)).toMatch(/fan|drier/)
  })
  it('not in dry air, not for roots, not over an empty floor', () => {
    expect(
      kinds(
        logged('cool-room', () => 14, 60),
        [garlic('cool-room')],
      ),
    ).toEqual([])
    expect(
      kinds(
        logged('cellar', () => 9, 94),
        [stored('C26-1', 'carrot', '2026-10-01', 'cellar')],
      ),
    ).toEqual([])
    expect(kinds(logged('cool-room', () => 14, 94))).toEqual([])
  })
  it('not for what stands there in closed jars', () => {
    const jam = lot('F26-1', 'plum', [
      [
        '2026-10-01',
        draft('added', { weightG: 3000, pieces: 6, placeId: 'cellar', details: { source: 'grown', unit: 'jar' } }),
      ],
      ['2026-10-01', draft('made', { placeId: 'cellar', details: { form: 'jarred', unit: 'jar', counted: 6 } })],
    ])
    const beans = lot('B26-1', 'bean-drying', [
      ['2026-10-01', draft('brought-in', { weightG: 1000 })],
      ['2026-10-01', draft('finished', { placeId: 'cellar', details: { pack: 'jar' } })],
    ])
    expect(
      kinds(
        logged('cellar', () => 12, 95),
        [jam, beans],
      ),
    ).toEqual([])
  })
})

describe('a silent sensor', () => {
  it('rings once it has been still for more than a day, named by its last day', () => {
    const [silent] = rings(logged('cellar', () => 9, 85, 40))
    expect(silent).toMatchObject({ kind: 'silent', codes: [] })
    expect(inPlainWords(silent!.says)).toMatch(/silent for 41 hours/)
    expect(silent!.key).toMatch(/2026-11-1[89]/)
  })
  it('not after a night, and not where somebody reads by hand now and then', () => {
    expect(kinds(logged('cellar', () => 9, 85, 12))).toEqual([])
    const byHand = logged('cellar', (i) => (i % 48 === 9 ? 9 : NaN), 85, 40)
    expect(kinds(byHand)).toEqual([])
  })
})

describe('a warm freezer', () => {
  const last = (n: number, warm: number) => (i: number) => (i >= hours - n ? warm : -18.5)
  it('rings when it has been warm for an evening, with the bags in it', () => {
    const peas = lot('E26-1', 'pea', [
      ['2026-07-01', draft('brought-in', { weightG: 2000 })],
      ['2026-07-01', draft('frozen', { pieces: 5, placeId: 'freezer', details: { prepared: 'blanched', counted: 5 } })],
    ])
    const [warm] = rings(logged('freezer', last(8, -7), 60), [peas])
    expect(warm).toMatchObject({ kind: 'freezer-warm', codes: ['E26-1'] })
    expect(inPlainWords(warm!.says)).toMatch(/for 8 of the last 12 hours, up to −7.0 °C/)
    expect(inPlainWords(warm!.todo)).toMatch(/bag by bag/)
  })
  it('not for two hours with the lid open, and not for a compressor’s round', () => {
    expect(kinds(logged('freezer', last(2, -8), 60))).toEqual([])
    expect(kinds(logged('freezer', (i) => -18 + 2 * Math.sin(i), 60))).toEqual([])
  })
})

describe('frost', () => {
  const cold = logged('shed', () => -0.5, 80)
  const squash = (place: string) => stored('Q26-1', 'squash-butternut', '2026-11-18', place, 12_000, 6)
  it('rings for tonight where it is freezing already', () => {
    const [frost] = rings(cold, [squash('shed')])
    expect(frost).toMatchObject({ kind: 'frost', on: today, codes: ['Q26-1'] })
    expect(inPlainWords(frost!.says)).toMatch(/tonight, and it may be colder: .*squash/i)
  })
  it('not for what is dry or in jars, and not where the household says it is frost-safe', () => {
    const beans = lot('B26-1', 'bean-drying', [
      ['2026-10-01', draft('brought-in', { weightG: 1000 })],
      ['2026-10-01', draft('finished', { placeId: 'shed', details: { pack: 'jar' } })],
    ])
    expect(kinds(cold, [beans])).toEqual([])
    expect(kinds({ ...cold, frostSafe: true }, [squash('shed')])).toEqual([])
  })
  it('keeps its key while the same lots lie there, and another lot rings anew', () => {
    const key = (...lots: LotState[]) => rings(cold, lots)[0]!.key
    const other = stored('Q26-2', 'squash-butternut', '2026-11-18', 'shed', 4000, 2)
    expect(key(squash('shed'))).toBe(key(squash('shed')))
    expect(key(squash('shed'), other)).not.toBe(key(squash('shed')))
  })
})
