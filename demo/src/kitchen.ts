import type { Step, StockOf } from './steps'
import { lift, uses } from './steps'

const stock = (on: string, place: string, lines: StockOf[]): Step => ({
  on,
  hour: 20,
  do: 'stock',
  lines: lines.map((line) => ({ place, ...line })),
})
/** sweet things stand on top */
const fruit = ['pear', 'plum', 'quince', 'apple-early']
const jars = (
  crop: string,
  name: string | undefined,
  pieces: number,
  on: string,
  over: Partial<StockOf> = {},
): StockOf => ({
  crop,
  ...(name ? { name } : {}),
  form: 'jarred',
  source: 'grown',
  unit: 'jar',
  pieces,
  on,
  place: fruit.includes(crop) ? 'Pantry, top' : 'Pantry, middle',
  ...over,
})
const bags = (crop: string, pieces: number, weightG: number, on: string, prepared: string): StockOf => ({
  crop,
  form: 'frozen',
  source: 'grown',
  unit: 'bag',
  pieces,
  weightG,
  on,
  prepared,
})
const bought = (name: string, unit: StockOf['unit'], pieces: number, over: Partial<StockOf> = {}): StockOf => ({
  crop: 'pantry',
  name,
  form: 'fresh',
  source: 'bought',
  ...(unit ? { unit } : {}),
  pieces,
  ...over,
})

const tested = { recipe: 'Tested recipe, course book p. 31', processed: 'as it says, for 430 m' }

/** What stands on the shelves and lies in the freezers besides the year’s harvest. */
export const kitchen: Step[] = [
  stock('2025-10-05', 'Pantry, floor', [
    jars('pear', 'Pear halves', 7, '2025-09-20', { size: '0.5 L', ...tested }),
    jars('plum', 'Damson jam', 9, '2025-09-12', { size: '0.25 L' }),
    jars('plum', 'Spiced plums', 5, '2025-09-14', { size: '0.5 L', ...tested }),
    jars('tomato', 'Tomato sauce', 14, '2025-08-30', { size: '0.5 L', ...tested }),
    jars('cucumber', 'Pickled cucumbers', 16, '2025-07-28', { size: '0.5 L' }),
    jars('courgette', 'Green relish', 6, '2025-08-18', { size: '0.25 L' }),
    jars('quince', 'Quince jelly', 5, '2025-10-02', { size: '0.25 L', note: 'the good ones: birthday, the 14th' }),
    bought('Sunflower oil', 'bottle', 4, { bestBefore: '2027-03-01', note: 'dressing, not frying' }),
    bought('Tomatoes in tins', 'tin', 8, { bestBefore: '2028-06-01' }),
    bought('Peaches in tins', 'tin', 4, { bestBefore: '2028-04-01' }),
    bought('Pearl barley', 'box', 3, { weightG: 1500, bestBefore: '2027-06-01' }),
    bought('Honey', 'jar', 3, { source: 'given', weightG: 1500, lifeDays: 1460 }),
  ]),
  stock('2025-10-06', 'Chest freezer', [
    bags('pea-whole-pod', 6, 1800, '2025-06-22', 'blanched, whole pods'),
    { ...bags('kale', 5, 1500, '2025-09-28', 'blanched, cut'), place: 'Chest freezer, basket 2' },
    { ...bags('raspberry', 5, 2000, '2025-09-02', 'raw'), place: 'Chest freezer, basket 1' },
  ]),
  ...uses('T25-1', '2025-10-20', 10, 24, [1]),
  ...uses('K25-1', '2025-10-12', 13, 26, [1]),
  ...uses('A25-1', '2025-11-23', 4, 31, [1]),
  ...uses('F25-1', '2025-10-25', 6, 45, [1]),
  ...uses('V25-1', '2025-12-01', 2, 120, [1]),
  ...uses('V25-2', '2025-12-10', 5, 40, [1]),
  ...uses('Y25-1', '2025-11-09', 5, 21, [1]),
  ...uses('B25-1', '2025-10-30', 5, 17, [1]),
  { on: '2025-11-30', hour: 15, do: 'count', off: { 'K25-1': -1, 'A25-1': -1 } },
  { on: '2026-03-22', hour: 15, do: 'count', off: { 'T25-1': -1, 'Q25-1': -2 } },
  stock('2026-10-01', 'Pantry, floor', [
    jars('tomato', 'Tomato sauce', 11, '2026-08-29', { size: '0.5 L', ...tested }),
    jars('cucumber', 'Pickled cucumbers', 9, '2026-07-30', { size: '0.5 L' }),
    jars('apple-early', 'Apple juice', 6, '2026-09-10', { unit: 'bottle', size: '0.75 L', ...tested }),
    jars('plum', undefined, 8, '2026-09-03', { size: '0.5 L', ...tested }),
  ]),
  stock('2026-10-01', 'Chest freezer', [
    { ...bags('raspberry', 7, 2800, '2026-08-26', 'raw, from the tray'), place: 'Chest freezer, basket 1' },
    { ...bags('sweetcorn', 6, 1500, '2026-08-24', 'blanched, cut off the cob'), place: 'Chest freezer, basket 2' },
    { ...bags('courgette', 4, 1200, '2026-08-02', 'grated, pressed'), place: 'Chest freezer, basket 2' },
    { ...bags('herb-soft', 2, 500, '2026-07-10', 'chopped with oil, in blocks'), unit: 'block' },
  ]),
  stock('2026-10-01', 'Upright freezer', [
    { ...bags('courgette', 6, 2100, '2026-08-12', 'soup, puréed'), name: 'Courgette soup', unit: 'portion' },
    { ...bags('cabbage-red', 8, 2900, '2025-11-16', 'braised'), name: 'Braised red cabbage', unit: 'portion' },
    { ...bags('pantry', 4, 1600, '2026-08-30', 'cooked'), name: 'Lamb stew', source: 'cooked', unit: 'portion' },
  ]),
  stock('2026-10-01', 'Fridge', [
    {
      place: 'North room',
      crop: 'cabbage-white',
      name: 'Kraut',
      form: 'brined',
      source: 'grown',
      unit: 'jar',
      pieces: 2,
      weightG: 1900,
      on: '2026-09-22',
      prepared: 'shredded, dry salted at 2 %',
      tasteAfterDays: 7,
    },
    {
      crop: 'cucumber',
      name: 'Half-sours',
      form: 'brined',
      source: 'grown',
      unit: 'jar',
      pieces: 1,
      weightG: 850,
      on: '2026-09-26',
    },
  ]),
  {
    on: '2026-10-01',
    hour: 20,
    do: 'dish',
    dish: {
      name: 'Potato and onion soup',
      form: 'frozen',
      takes: [
        { code: 'P26-3', weightG: 1200 },
        { code: 'N26-10', pieces: 3 },
      ],
      adds: [{ name: 'water', weightG: 1600 }],
      weightG: 2750,
      wasteG: 260,
      pieces: 8,
      unit: 'portion',
      prepared: 'cooked',
      place: 'Upright freezer',
    },
  },
  // what came in last evening and waits for the pan
  lift('2026-10-01', 17, 'bean-runner', 'Scarlet Row', 'Bed 8', 0.4, [
    { heap: 'sound', weightG: 2600, place: 'Fridge' },
  ]),
  lift('2026-10-01', 17, 'raspberry', 'Autumn Row', 'Hedge', 0.6, [{ heap: 'sound', weightG: 900, place: 'Fridge' }]),
  lift('2026-10-01', 17, 'kale', 'Curled', 'Bed 12', 0.6, [{ heap: 'sound', weightG: 1600, place: 'Fridge' }]),
]
