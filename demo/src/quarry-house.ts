import { addDays, type CivilDate } from '@vadose/core/households'
import type { LotAct } from '@vadose/core/lots'
import type { PlaceKind } from '@vadose/core/places'

/** Quarry House: an invented smallholding, four people, eight places, two seasons. All of it is made up. */
export const quarryHouse = {
  name: 'Quarry House',
  timeZone: 'Europe/Vienna',
  latitudeDeg: 47,
  altitudeM: 430,
  seasonStart: '05-01',
  firstReadingOn: '2025-06-20',
  today: '2026-10-02',
  places: [
    ['Garden', 'outdoors'],
    ['Veranda', 'veranda'],
    ['Shed', 'shed'],
    ['Kitchen', 'room'],
    ['North room', 'cool-room'],
    ['Loft', 'loft'],
    ['Cellar', 'cellar'],
    ['Chest freezer', 'freezer'],
  ] as [string, PlaceKind][],
}

/** A place is named in steps; the loader knows its id. */
type Named<T> = T extends { placeId: string } ? Omit<T, 'placeId'> & { place: string } : T

export type Step = { on: CivilDate; hour: number } & (
  | {
      do: 'harvest'
      crop: string
      variety: string
      bed: string
      signShare: number
      heaps: { heap: string; weightG: number; pieces?: number; place: string }[]
    }
  /** the scale shows what the air has done to it, with this lot's own budget and dry weight */
  | { do: 'weigh'; code: string; firstG: number; budgetFactor: number; finalRatio: number }
  | { do: 'act'; code: string; act: Named<LotAct> }
)

const weighings = (code: string, firstG: number, budgetFactor: number, finalRatio: number, days: CivilDate[]): Step[] =>
  days.map((on) => ({ on, hour: 8, do: 'weigh', code, firstG, budgetFactor, finalRatio }))

/** So many pieces used every few days, in a household's uneven way. */
function uses(code: string, from: CivilDate, times: number, everyDays: number, pieces: number[]): Step[] {
  return Array.from({ length: times }, (_, i): Step => ({
    on: addDays(from, Math.round(i * everyDays + Math.sin(i * 2.4) * 1.2)),
    hour: 18,
    do: 'act',
    code,
    act: { act: 'use', pieces: pieces[i % pieces.length]! },
  }))
}

const check = (
  on: CivilDate,
  code: string,
  lookedAt: number,
  faults: { fault: string; pieces: number; action: string }[] = [],
): Step => ({
  on,
  hour: 17,
  do: 'act',
  code,
  act: { act: 'check', lookedAt, faults },
})

const passAll: LotAct = {
  act: 'test',
  results: [
    { test: 'skins', passed: true },
    { test: 'roots', passed: true },
    { test: 'neck', passed: true },
  ],
}

const season2025: Step[] = [
  {
    on: '2025-07-10',
    hour: 11,
    do: 'harvest',
    crop: 'garlic-hardneck',
    variety: 'Quarry Stiff',
    bed: 'Bed 5',
    signShare: 0.45,
    heaps: [
      { heap: 'sound', weightG: 4300, place: 'Veranda' },
      { heap: 'nicked', weightG: 520, pieces: 9, place: 'Kitchen' },
    ],
  },
  ...uses('G25-2', '2025-07-14', 4, 5, [2, 3, 2, 2]),
  {
    on: '2025-08-04',
    hour: 10,
    do: 'act',
    code: 'G25-1',
    act: { act: 'finish', neck: 'short', pack: 'net', place: 'North room', weightG: 2980, pieces: 72 },
  },
  ...uses('G25-1', '2025-08-12', 20, 8.5, [2, 3, 2, 4]),
  check('2025-10-12', 'G25-1', 20),
  check('2025-12-20', 'G25-1', 18, [{ fault: 'sprouting', pieces: 2, action: 'eat' }]),
  ...uses('G25-3', '2025-12-23', 2, 4, [1]),
  {
    on: '2026-02-14',
    hour: 12,
    do: 'act',
    code: 'G25-1',
    act: { act: 'lose', pieces: 15, cause: 'sprouted and hollow' },
  },
  {
    on: '2025-08-16',
    hour: 11,
    do: 'harvest',
    crop: 'onion-storing',
    variety: 'Amber Globe',
    bed: 'Bed 2',
    signShare: 0.8,
    heaps: [{ heap: 'sound', weightG: 21500, place: 'Veranda' }],
  },
  {
    on: '2025-09-06',
    hour: 10,
    do: 'act',
    code: 'N25-1',
    act: { act: 'finish', neck: 'short', pack: 'sack', place: 'North room', weightG: 17900, pieces: 148 },
  },
  ...uses('N25-1', '2025-09-12', 30, 6.2, [4, 5, 3, 4]),
  check('2025-11-02', 'N25-1', 24, [{ fault: 'neck-rot', pieces: 2, action: 'bin' }]),
  check('2026-01-18', 'N25-1', 22, [{ fault: 'sprouting', pieces: 4, action: 'eat' }]),
  ...uses('N25-2', '2026-01-20', 2, 5, [2]),
  { on: '2026-03-21', hour: 12, do: 'act', code: 'N25-1', act: { act: 'lose', pieces: 21, cause: 'sprouted, soft' } },
]

const season2026: Step[] = [
  {
    on: '2026-07-12',
    hour: 10,
    do: 'harvest',
    crop: 'garlic-hardneck',
    variety: 'Quarry Stiff',
    bed: 'Bed 3',
    signShare: 0.5,
    heaps: [
      { heap: 'sound', weightG: 4900, place: 'Veranda' },
      { heap: 'nicked', weightG: 700, pieces: 12, place: 'Kitchen' },
      { heap: 'planting', weightG: 1650, place: 'Loft' },
    ],
  },
  ...weighings('G26-1', 4900, 1.05, 0.73, ['2026-07-13', '2026-07-17', '2026-07-21', '2026-07-27']),
  ...uses('G26-2', '2026-07-15', 5, 4, [2, 3, 2]),
  { on: '2026-08-03', hour: 9, do: 'act', code: 'G26-1', act: passAll },
  {
    on: '2026-08-04',
    hour: 10,
    do: 'act',
    code: 'G26-1',
    act: { act: 'finish', neck: 'long', pack: 'net', place: 'North room', weightG: 3620, pieces: 96 },
  },
  {
    on: '2026-08-06',
    hour: 10,
    do: 'act',
    code: 'G26-3',
    act: { act: 'finish', neck: 'long', pack: 'net', place: 'North room', weightG: 1180, pieces: 22 },
  },
  ...uses('G26-1', '2026-08-14', 7, 7, [3, 3, 4, 2]),
  check('2026-08-30', 'G26-1', 20, [{ fault: 'dry-rot', pieces: 1, action: 'bin' }]),
  check('2026-09-13', 'G26-1', 20),
  check('2026-09-13', 'G26-3', 22),
  {
    on: '2026-08-02',
    hour: 11,
    do: 'harvest',
    crop: 'onion-storing',
    variety: 'Amber Globe',
    bed: 'Bed 4',
    signShare: 0.85,
    heaps: [
      { heap: 'sound', weightG: 26400, place: 'Veranda' },
      { heap: 'thick-neck', weightG: 2900, pieces: 22, place: 'Kitchen' },
      { heap: 'diseased', weightG: 600, place: 'Kitchen' },
    ],
  },
  ...weighings('N26-1', 2480, 0.95, 0.87, ['2026-08-03', '2026-08-08', '2026-08-13']),
  ...uses('N26-2', '2026-08-05', 8, 3.5, [3, 3, 2]),
  { on: '2026-08-21', hour: 9, do: 'act', code: 'N26-1', act: passAll },
  {
    on: '2026-08-22',
    hour: 10,
    do: 'act',
    code: 'N26-1',
    act: {
      act: 'finish',
      neck: 'long',
      pack: 'sack',
      place: 'North room',
      weightG: 21900,
      pieces: 182,
      grades: [{ grade: 'small', weightG: 2300, pieces: 38 }],
    },
  },
  { on: '2026-08-23', hour: 10, do: 'act', code: 'N26-4', act: { act: 'move', place: 'Cellar' } },
  ...uses('N26-1', '2026-08-29', 8, 4, [4, 5, 3]),
  check('2026-09-12', 'N26-1', 22, [{ fault: 'neck-rot', pieces: 1, action: 'bin' }]),
  check('2026-09-24', 'N26-1', 30),
  check('2026-09-28', 'N26-4', 20, [{ fault: 'rooting', pieces: 1, action: 'eat' }]),
  // what hangs or waits on 2 October
  {
    on: '2026-09-08',
    hour: 11,
    do: 'harvest',
    crop: 'onion-storing',
    variety: 'Winter Keeper',
    bed: 'Bed 6',
    signShare: 0.9,
    heaps: [{ heap: 'sound', weightG: 9800, place: 'Loft' }],
  },
  ...weighings('N26-5', 2210, 1.0, 0.86, ['2026-09-09', '2026-09-14', '2026-09-20', '2026-09-27']),
  {
    on: '2026-09-19',
    hour: 11,
    do: 'harvest',
    crop: 'onion-storing',
    variety: 'Winter Keeper',
    bed: 'Bed 4',
    signShare: 0.8,
    heaps: [
      { heap: 'sound', weightG: 14200, place: 'Veranda' },
      { heap: 'small', weightG: 3100, place: 'Veranda' },
      { heap: 'nicked', weightG: 1800, pieces: 15, place: 'Kitchen' },
    ],
  },
  ...weighings('N26-6', 2640, 1.1, 0.85, ['2026-09-20', '2026-09-24', '2026-09-29']),
  ...weighings('N26-7', 1480, 0.9, 0.84, ['2026-09-20', '2026-09-26']),
  {
    on: '2026-09-27',
    hour: 11,
    do: 'harvest',
    crop: 'onion-storing',
    variety: 'Amber Globe',
    bed: 'Bed 1',
    signShare: 0.7,
    heaps: [
      { heap: 'sound', weightG: 7600, place: 'Shed' },
      { heap: 'thick-neck', weightG: 1300, pieces: 11, place: 'Kitchen' },
    ],
  },
  ...weighings('N26-9', 2390, 1.0, 0.86, ['2026-09-28']),
]

/** A part of a lot cut up and put in the dehydrator; it becomes a lot of its own. */
const dryer = (on: CivilDate, hour: number, code: string, takenG: number, weightG: number, trays: number): Step[] => [
  { on, hour, do: 'act', code, act: { act: 'load', takenG, weightG, trays, airC: 60, place: 'Kitchen' } },
]

const lift = (
  on: CivilDate,
  hour: number,
  crop: string,
  variety: string,
  bed: string,
  signShare: number,
  heaps: { heap: string; weightG: number; pieces?: number; place: string }[],
): Step => ({ on, hour, do: 'harvest', crop, variety, bed, signShare, heaps })

/** Picked week by week and eaten within days; the code is the one the next lot of its letter gets. */
const picks = (crop: string, variety: string, bed: string, letter: string, from: CivilDate, grams: number[]): Step[] =>
  grams.flatMap((weightG, i): Step[] => [
    lift(addDays(from, 7 * i), 18, crop, variety, bed, 0.6, [{ heap: 'sound', weightG, place: 'Kitchen' }]),
    { on: addDays(from, 7 * i + 1), hour: 19, do: 'act', code: `${letter}26-${i + 1}`, act: { act: 'use', weightG } },
  ])

/** The rest of the autumn: what dries, heals and is put by beside onions and garlic. */
const autumn2026: Step[] = [
  ...picks('raspberry', 'Autumn Row', 'Hedge', 'Y', '2026-08-04', [900, 1400, 2100, 2300, 1900, 1500, 1100, 600]),
  ...picks('kale', 'Curled', 'Bed 12', 'B', '2026-09-08', [500, 650, 700]),
  lift('2026-09-06', 10, 'chilli', 'Lantern', 'Glasshouse', 0.5, [{ heap: 'sound', weightG: 1450, place: 'Kitchen' }]),
  ...weighings('C26-1', 420, 1.05, 0.17, ['2026-09-07', '2026-09-13', '2026-09-21', '2026-09-29']),
  lift('2026-09-13', 15, 'coriander', 'Old Kitchen', 'Bed 8', 0.6, [{ heap: 'sound', weightG: 640, place: 'Loft' }]),
  ...weighings('S26-1', 640, 1.1, 0.7, ['2026-09-14', '2026-09-20']),
  lift('2026-09-17', 14, 'bean-drying', 'Speckled Pole', 'Bed 7', 0.7, [
    { heap: 'sound', weightG: 5200, place: 'Loft' },
    { heap: 'sowing', weightG: 600, place: 'Loft' },
  ]),
  ...weighings('E26-1', 1240, 1, 0.8, ['2026-09-18', '2026-09-24', '2026-09-30']),
  lift('2026-09-20', 11, 'maize', 'Polenta Gold', 'Bed 9', 0.7, [{ heap: 'sound', weightG: 9400, place: 'Veranda' }]),
  ...weighings('S26-2', 1900, 0.95, 0.74, ['2026-09-21', '2026-09-28']),
  lift('2026-09-21', 12, 'sunflower', 'Tall Sally', 'Hedge', 0.6, [{ heap: 'sound', weightG: 2600, place: 'Loft' }]),
  lift('2026-09-23', 11, 'squash-hubbard', 'Slate Blue', 'Bed 10', 0.75, [
    { heap: 'sound', weightG: 23400, pieces: 7, place: 'Kitchen' },
    { heap: 'nicked', weightG: 3100, pieces: 1, place: 'Kitchen' },
  ]),
  lift('2026-09-25', 12, 'squash-butternut', 'Tan Bell', 'Bed 10', 0.8, [
    { heap: 'sound', weightG: 11800, pieces: 10, place: 'Kitchen' },
  ]),
  lift('2026-09-26', 13, 'herb-woody', 'sage and thyme', 'Herb bed', 0.3, [
    { heap: 'sound', weightG: 780, place: 'Loft' },
  ]),
  ...weighings('H26-1', 130, 1, 0.4, ['2026-09-27', '2026-09-30']),
  lift('2026-09-27', 10, 'potato-maincrop', 'Quarry Blue', 'Bed 11', 0.95, [
    { heap: 'sound', weightG: 41000, place: 'Shed' },
    { heap: 'planting', weightG: 6500, place: 'Shed' },
    { heap: 'nicked', weightG: 4200, pieces: 34, place: 'Kitchen' },
    { heap: 'green', weightG: 700, place: 'Kitchen' },
  ]),
  lift('2026-09-28', 14, 'sweet-potato', 'Amber Vine', 'Glasshouse', 0.5, [
    { heap: 'sound', weightG: 7300, pieces: 26, place: 'Kitchen' },
  ]),
  lift('2026-09-29', 11, 'apple-late', 'Winter Russet', 'Orchard', 0.6, [
    { heap: 'sound', weightG: 26500, pieces: 178, place: 'Shed' },
    { heap: 'nicked', weightG: 5200, pieces: 37, place: 'Kitchen' },
  ]),
  ...dryer('2026-09-30', 14, 'A26-2', 3200, 2600, 5),
  { on: '2026-09-30', hour: 19, do: 'act', code: 'A26-3', act: { act: 'rotate' } },
  { on: '2026-10-01', hour: 7, do: 'act', code: 'A26-3', act: { act: 'jar', weightG: 470 } },
  ...dryer('2026-10-02', 5, 'A26-2', 1500, 1240, 3),
  lift('2026-09-30', 16, 'tomato-green', 'Late Cluster', 'Glasshouse', 0.2, [
    { heap: 'sound', weightG: 5400, pieces: 57, place: 'North room' },
  ]),
]

/** Every step of both seasons in the order it happened. */
export const steps: Step[] = [...season2025, ...season2026, ...autumn2026].sort((a, b) =>
  a.on === b.on ? a.hour - b.hour : a.on < b.on ? -1 : 1,
)
