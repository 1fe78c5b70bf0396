import { dryer, frozen, lift, picks, weighings, type Step } from './steps'

/** The rest of the autumn: what dries, heals and is put by beside onions and garlic. */
export const autumn2026: Step[] = [
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
  lift('2026-09-18', 12, 'bean-green', 'Late Pole', 'Bed 8', 0.4, [{ heap: 'sound', weightG: 2600, place: 'Kitchen' }]),
  frozen('2026-09-18', 20, 'E26-3', 2350, 6, 'blanched, whole or 2–5 cm lengths'),
  lift('2026-09-24', 12, 'bean-green', 'Late Pole', 'Bed 8', 0.4, [{ heap: 'sound', weightG: 1500, place: 'Kitchen' }]),
  frozen('2026-09-24', 20, 'E26-4', 1380, 4, 'blanched, whole or 2–5 cm lengths'),
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
