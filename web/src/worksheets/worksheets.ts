import type { CalculatorName } from '@vadose/core/worksheets'
import { grains } from '@vadose/core/line'
import { seedSpecies } from '@vadose/core/stores'
import { packings } from '@vadose/core/almanac'

export type Unit = 'temperature' | 'g' | 'kg' | 'litres' | 'mm' | 'metres' | ''

export interface Field {
  id: string
  label: string
  kind: 'number' | 'choice' | 'crop' | 'yes-no' | 'date' | 'lines' | 'instant'
  /** converted where the household reads other units */
  unit?: Unit
  /** shown as it is */
  suffix?: string
  value: string | number | boolean
  choices?: readonly string[]
  optional?: boolean
  /** for lines: what each stands for, one row a line */
  columns?: { id: string; label: string; kind: 'number' | 'text' | 'yes-no'; unit?: Unit; optional?: boolean }[]
  help?: string
}

export interface Worksheet {
  name: CalculatorName
  group: string
  title: string
  asks: string
  equation: string
  source: string
  range: string
  fields: Field[]
  /** the answer's lines: path, words, unit */
  says: { path: string; label: string; unit?: Unit; suffix?: string; digits?: number; spread?: boolean }[]
}

const t = (id: string, label: string, value: number): Field => ({
  id,
  label,
  kind: 'number',
  unit: 'temperature',
  value,
})
const pct = (id: string, label: string, value: number): Field => ({ id, label, kind: 'number', suffix: '%', value })
const n = (id: string, label: string, value: number, unit: Unit = '', suffix = ''): Field => ({
  id,
  label,
  kind: 'number',
  value,
  ...(unit ? { unit } : {}),
  ...(suffix ? { suffix } : {}),
})
const crop = (value: string): Field => ({ id: 'crop', label: 'Crop', kind: 'crop', value })
const optional = (field: Field): Field => ({ ...field, optional: true })

/** The worksheets of the bench, in the order of the work. */
export const worksheets: readonly Worksheet[] = [
  {
    name: 'air',
    group: 'Air',
    title: 'What the air can do',
    asks: 'How hard does this air pull water, and where does dew form?',
    equation: 'The pull is what the air could hold at its temperature less what it holds: e_s(T) · (1 − RH).',
    source: 'ASHRAE Fundamentals ch. 1, Hyland–Wexler; agrees with psychrolib to 0.1 %',
    range: '−20 to 60 °C',
    fields: [
      t('temperatureC', 'Temperature', 20),
      pct('relativeHumidityPct', 'Humidity', 60),
      optional(n('pressureKPa', 'Air pressure', 101.325, '', 'kPa')),
      optional(t('thenTemperatureC', 'Warmed or cooled to', 12)),
      optional(t('cropTemperatureC', 'A crop carried in at', 5)),
    ],
    says: [
      { path: 'vapourPressureDeficitKPa', label: 'Pull on water', suffix: 'kPa', digits: 2 },
      { path: 'dewPointC', label: 'Dew forms at', unit: 'temperature', digits: 1 },
      { path: 'wetBulbC', label: 'Wet bulb', unit: 'temperature', digits: 1 },
      { path: 'absoluteHumidityGPerM3', label: 'Water in it', suffix: 'g/m³', digits: 1 },
      { path: 'relativeHumidityThenPct', label: 'Humidity then', suffix: '%' },
      { path: 'cropSweats', label: 'The cold crop sweats' },
    ],
  },
  {
    name: 'cure',
    group: 'Dry',
    title: 'How far has it cured?',
    asks: 'From logged air, weighings and end tests: when will it be ready?',
    equation:
      'Drying power adds up hour by hour, airflow · (pull − stall); weights follow m∞ + (m0 − m∞)·exp(−k·D). Skins that heal count hours at the best warmth instead.',
    source: 'Our fit to practice ranges; mould after Hukka & Viitanen 1999',
    range: 'crops that are cured or hung; at most 400 days',
    fields: [
      crop('garlic-hardneck'),
      { id: 'startedAt', label: 'Hung on', kind: 'instant', value: '2026-07-12T08:00:00Z' },
      { id: 'airflow', label: 'Air moves', kind: 'choice', choices: ['still', 'breezy', 'fan'], value: 'breezy' },
      {
        id: 'air',
        label: 'Readings of the air',
        kind: 'lines',
        columns: [
          { id: 'at', label: 'instant', kind: 'text' },
          { id: 'temperatureC', label: 'temperature', kind: 'number', unit: 'temperature' },
          { id: 'relativeHumidityPct', label: '%', kind: 'number' },
        ],
        value:
          '2026-07-12T08:00:00Z, 21, 62\n2026-07-15T08:00:00Z, 22, 58\n2026-07-19T08:00:00Z, 19, 66\n2026-07-24T08:00:00Z, 22, 57',
      },
      {
        id: 'weighings',
        label: 'Weighings',
        kind: 'lines',
        optional: true,
        columns: [
          { id: 'at', label: 'instant', kind: 'text' },
          { id: 'weightG', label: 'weight', kind: 'number', unit: 'g' },
        ],
        value: '2026-07-12T09:00:00Z, 600\n2026-07-17T09:00:00Z, 537\n2026-07-23T09:00:00Z, 489',
      },
    ],
    says: [
      { path: 'progress', label: 'Done', suffix: 'share' },
      { path: 'readyAt', label: 'Ready', spread: true },
      { path: 'stalledHours', label: 'Stalled', suffix: 'hours' },
      { path: 'mouldRiskHours', label: 'Damp enough for mould', suffix: 'hours' },
    ],
  },
  {
    name: 'dry-weight',
    group: 'Dry',
    title: 'What will it weigh dry?',
    asks: 'Fresh weight and water to the weight at which it is dry.',
    equation: 'Dry matter stays: dried = fresh · (1 − water fresh) ÷ (1 − water dried).',
    source: 'Mass balance',
    range: 'any produce; water 1–99 %',
    fields: [
      n('freshWeightG', 'Fresh weight', 2000, 'g'),
      pct('freshMoisturePct', 'Water, fresh', 85.6),
      pct('targetMoisturePct', 'Water, dried', 20),
    ],
    says: [
      { path: 'targetWeightG', label: 'Dry at', unit: 'g' },
      { path: 'waterToLoseG', label: 'Water to lose', unit: 'g' },
      { path: 'dryingRatio', label: 'Fresh to dry', suffix: 'to 1', digits: 2 },
    ],
  },
  {
    name: 'drying-fit',
    group: 'Dry',
    title: 'When is the dryer done?',
    asks: 'From a few weighings of a tray.',
    equation:
      'Moisture ratio exp(−k·tⁿ) and its kin, fitted by least squares; the best by AICc is named, the spread is over all.',
    source: 'Newton; Page 1949; Midilli, Kucuk & Yapar 2002',
    range: 'at least two weighings, up to 60 days',
    fields: [
      {
        id: 'weighings',
        label: 'Weighings',
        kind: 'lines',
        columns: [
          { id: 'hours', label: 'hours', kind: 'number' },
          { id: 'weightG', label: 'weight', kind: 'number', unit: 'g' },
        ],
        value: '0, 1000\n1.5, 742\n3, 548\n4.5, 417\n6, 326',
      },
      pct('freshMoisturePct', 'Water, fresh', 85.6),
      pct('targetMoisturePct', 'Water, dried', 20),
    ],
    says: [
      { path: 'targetWeightG', label: 'Done at', unit: 'g' },
      { path: 'readyAtHours', label: 'Done after', suffix: 'hours', digits: 1, spread: true },
      { path: 'model', label: 'Curve' },
    ],
  },
  {
    name: 'dried-life',
    group: 'Dry',
    title: 'How long do dried goods keep?',
    asks: 'Fruit or vegetables, at the pantry’s temperature.',
    equation: 'Life halves for every 11 °C (20 °F) warmer; vegetables keep half as long as fruit.',
    source: 'NCHFP',
    range: '0–40 °C, airtight and dark',
    fields: [
      { id: 'kind', label: 'What', kind: 'choice', choices: ['fruit', 'vegetable'], value: 'fruit' },
      t('temperatureC', 'Temperature', 18),
    ],
    says: [{ path: 'months', label: 'Good for', suffix: 'months', digits: 1 }],
  },
  {
    name: 'equilibrium-moisture',
    group: 'Dry',
    title: 'Will this room get it dry enough?',
    asks: 'Moisture that beans and grain settle at in this air.',
    equation: 'Modified Henderson: 1 − RH = exp(−A·(T + C)·Mᴮ).',
    source: 'ASABE D245.5',
    range: '0–50 °C, 10–90 %',
    fields: [
      { id: 'grain', label: 'Grain', kind: 'choice', choices: grains, value: 'bean' },
      t('temperatureC', 'Temperature', 20),
      pct('relativeHumidityPct', 'Humidity', 60),
    ],
    says: [
      { path: 'moistureWetBasisPct', label: 'Settles at', suffix: '% of fresh weight', digits: 1 },
      { path: 'moistureDryBasisPct', label: '… by dry matter', suffix: '%', digits: 1 },
      { path: 'equation', label: 'Equation' },
    ],
  },
  {
    name: 'seed-life',
    group: 'Dry',
    title: 'How long does seed live?',
    asks: 'Seed for sowing, by its moisture and the cold it is kept in.',
    equation: 'v = Kᵢ − p ÷ 10^(K_E − C_W·log m − C_H·t − C_Q·t²), in probits.',
    source: 'Ellis & Roberts 1980 and later constants',
    range: '−20 to 50 °C, moisture 4–16 % of fresh weight',
    fields: [
      { id: 'species', label: 'Seed', kind: 'choice', choices: Object.keys(seedSpecies), value: 'onion' },
      t('temperatureC', 'Kept at', 10),
      pct('moistureWetBasisPct', 'Moisture', 8),
      pct('initialViabilityPct', 'Alive at first', 95),
      optional(n('days', 'After', 1826, '', 'days')),
      optional(pct('targetViabilityPct', 'Until alive', 75)),
    ],
    says: [
      { path: 'viabilityPct', label: 'Alive then', suffix: '%', digits: 1 },
      { path: 'daysToTarget', label: 'Falls to the target after', suffix: 'days' },
    ],
  },
  {
    name: 'blanch',
    group: 'Freeze',
    title: 'How long to blanch?',
    asks: 'By crop, cut and height above the sea.',
    equation:
      'From the table; a minute more from 1,500 m (5,000 ft); steam one and a half times where no steam time is given.',
    source: 'NCHFP blanching times; some kitchen practice, marked',
    range: 'crops that are frozen',
    fields: [
      crop('bean-green'),
      optional({ id: 'cut', label: 'Cut', kind: 'choice', choices: [], value: '' }),
      n('altitudeM', 'Height above sea', 0, 'metres'),
    ],
    says: [
      { path: 'cut', label: 'Cut' },
      { path: 'waterMinutes', label: 'In boiling water', suffix: 'minutes', digits: 1 },
      { path: 'steamMinutes', label: 'In steam', suffix: 'minutes', digits: 1 },
      { path: 'note', label: 'Mind' },
    ],
  },
  {
    name: 'freeze-time',
    group: 'Freeze',
    title: 'How long to freeze through?',
    asks: 'A flat bag, a jar or a berry in your freezer.',
    equation:
      'Pham: cooling and freezing heat over the pull of the cold, times 1 + Bi/2. With all four properties: Plank.',
    source: 'Pham 1986; Plank 1913; Singh & Heldman',
    range: 'freezer −40 to −15 °C; ±10 %',
    fields: [
      { id: 'shape', label: 'Shape', kind: 'choice', choices: ['slab', 'cylinder', 'sphere'], value: 'slab' },
      n('thicknessMm', 'Thickness', 40, 'mm'),
      t('freezerTemperatureC', 'Freezer', -20),
      optional(t('initialTemperatureC', 'Goes in at', 15)),
      optional(pct('waterPct', 'Water in it', 85)),
      n('surfaceCoefficientWPerM2K', 'Cold taken away', 8, '', 'W/(m²·K)'),
      optional(n('densityKgPerM3', 'Density', NaN, '', 'kg/m³')),
      optional(n('frozenConductivityWPerMK', 'Conductivity frozen', NaN, '', 'W/(m·K)')),
      optional(n('latentHeatKJPerKg', 'Latent heat', NaN, '', 'kJ/kg')),
      optional({ ...t('initialFreezingPointC', 'Starts to freeze at', NaN) }),
    ],
    says: [
      { path: 'hours', label: 'Frozen after', suffix: 'hours', digits: 1 },
      { path: 'method', label: 'Method' },
    ],
  },
  {
    name: 'freezer-load',
    group: 'Freeze',
    title: 'How much at once?',
    asks: 'What the freezer freezes in a day without thawing its neighbours.',
    equation: 'At most 3 lb fresh food a cubic foot in 24 hours (48 g a litre); 2 lb is the careful end.',
    source: 'NCHFP',
    range: '5–5,000 litres',
    fields: [n('freezerLitres', 'Freezer', 200, 'litres'), n('produceKg', 'To freeze', 18, 'kg')],
    says: [
      { path: 'maxKgPerDay', label: 'At most a day', unit: 'kg', digits: 1 },
      { path: 'carefulKgPerDay', label: 'Better', unit: 'kg', digits: 1 },
      { path: 'days', label: 'Takes', suffix: 'days' },
    ],
  },
  {
    name: 'frozen-life',
    group: 'Freeze',
    title: 'What is left of a bag’s life?',
    asks: 'After the temperatures it has been through.',
    equation: 'Quality goes at a pace that grows exponentially with temperature, set by the lives at −18 and −12 °C.',
    source: 'IIR 1986; NCHFP where the table is silent',
    range: '−35 to −6 °C; quality, not safety',
    fields: [
      crop('bean-green'),
      {
        id: 'temperatures',
        label: 'It was at',
        kind: 'lines',
        columns: [
          { id: 'temperatureC', label: 'temperature', kind: 'number', unit: 'temperature' },
          { id: 'days', label: 'days', kind: 'number' },
        ],
        value: '-18, 120\n-12, 10',
      },
    ],
    says: [
      { path: 'spentMonths', label: 'Used up', suffix: 'months', digits: 1 },
      { path: 'monthsLeft', label: 'Left at −18 °C', suffix: 'months', digits: 1, spread: true },
    ],
  },
  {
    name: 'power-cut',
    group: 'Freeze',
    title: 'The power is off',
    asks: 'How long is it safe, and what to do with it then?',
    equation:
      'The rule decides: 48 hours full, 24 half full, fewer in a warm room; to half as long again bag by bag; then out, unless a temperature was read in the food.',
    source: 'USDA FSIS rule for pace and advice',
    range: 'door shut; room 0–50 °C',
    fields: [
      n('freezerLitres', 'Freezer', 200, 'litres'),
      n('fillFraction', 'How full', 0.7, '', 'of 1'),
      n('hoursOff', 'Hours off', 30, '', 'h'),
      t('roomTemperatureC', 'Room', 20),
      optional(t('startTemperatureC', 'Freezer stood at', -18)),
      optional(t('measuredC', 'Read in the food now', -3)),
    ],
    says: [
      { path: 'safeHours', label: 'The rule gives it', suffix: 'hours', digits: 0 },
      { path: 'outcome', label: 'So' },
      { path: 'advice', label: 'Do' },
    ],
  },
  {
    name: 'glut',
    group: 'Freeze',
    title: 'A glut and a few evenings',
    asks: 'Which batches to freeze when, so that little goes past its best.',
    equation:
      'The heap whose hour comes first, batch by batch: pan 0.5 kg to 4 litres, trays, freezer power, evenings.',
    source: 'NCHFP for pan and freezer; hours by crop are our judgement',
    range: 'crops that are blanched or frozen raw',
    fields: [
      {
        id: 'heaps',
        label: 'What came in',
        kind: 'lines',
        columns: [
          { id: 'crop', label: 'crop', kind: 'text' },
          { id: 'kg', label: 'weight', kind: 'number', unit: 'kg' },
          { id: 'hoursSincePicking', label: 'hours since picking', kind: 'number' },
        ],
        value: 'bean-green, 4, 3\nsweetcorn, 6, 1\nraspberry, 2, 5',
      },
      {
        id: 'evenings',
        label: 'Evenings free',
        kind: 'lines',
        columns: [
          { id: 'inHours', label: 'in so many hours', kind: 'number' },
          { id: 'hours', label: 'hours free', kind: 'number' },
        ],
        value: '2, 3\n26, 3',
      },
      n('panLitres', 'Pan', 8, 'litres'),
      n('trays', 'Trays', 4),
      n('kgPerTray', 'On a tray', 1.2, 'kg'),
      n('freezerLitres', 'Freezer', 250, 'litres'),
    ],
    says: [
      { path: 'kgFrozen', label: 'Frozen', unit: 'kg', digits: 1 },
      { path: 'kgLate', label: 'Past its best', unit: 'kg', digits: 1 },
      { path: 'leftOver', label: 'Does not fit' },
    ],
  },
  {
    name: 'keep',
    group: 'Keep',
    title: 'How long does it keep here?',
    asks: 'Life of one piece in steady air, and what ends it.',
    equation:
      'Ends race: ageing, sprouting, shrivel, roots, mould, frost, chill, light, gas; what is left is what none has taken.',
    source: 'HB 66, Becker & Fricke, Sastry, Robinson; see the almanac for each number',
    range: '−10 to 40 °C, 10–100 %',
    fields: [
      crop('onion-storing'),
      t('temperatureC', 'Temperature', 12),
      pct('relativeHumidityPct', 'Humidity', 62),
      { id: 'light', label: 'Daylight falls on it', kind: 'yes-no', value: false },
      optional({ id: 'packing', label: 'Lies in', kind: 'choice', choices: Object.keys(packings), value: '' }),
      {
        id: 'gas',
        label: 'Ripening fruit beside it',
        kind: 'choice',
        choices: ['none', 'little', 'some', 'much'],
        value: 'none',
      },
    ],
    says: [
      { path: 'lifeDays', label: 'Keeps', suffix: 'days', digits: 0, spread: true },
      { path: 'endedBy', label: 'Ends by' },
      { path: 'weightLossPctPerMonth', label: 'Loses a month', suffix: '% of its weight', digits: 1 },
      { path: 'respirationWPerKg', label: 'Gives off', suffix: 'W/kg', digits: 4 },
    ],
  },
  {
    name: 'check-size',
    group: 'Look over',
    title: 'How many to look at?',
    asks: 'To be so sure of catching a fault that so many have.',
    equation:
      'The chance that all looked at are sound, drawn without putting back (hypergeometric), is at most 1 − sure.',
    source: 'Exact; Cannon & Roe 1982 tables agree',
    range: 'lots up to a million',
    fields: [
      n('lotSize', 'In the lot', 180, '', 'pieces'),
      n('badFraction', 'Bad share worth finding', 0.1, '', 'of 1'),
      n('confidence', 'How sure', 0.9, '', 'of 1'),
    ],
    says: [{ path: 'lookAt', label: 'Look at', suffix: 'pieces' }],
  },
  {
    name: 'check-update',
    group: 'Look over',
    title: 'What did looking teach?',
    asks: 'Life before and after what you found.',
    equation: 'Belief over how long this lot lives, times the chance of each find (beta-binomial), made to sum to one.',
    source: 'Bayes; prior from the keeping model',
    range: 'a crop in steady air, or a life of your own',
    fields: [
      crop('garlic-hardneck'),
      optional(t('temperatureC', 'Kept at', 12)),
      optional(pct('relativeHumidityPct', 'Humidity', 62)),
      {
        id: 'checks',
        label: 'Looks',
        kind: 'lines',
        columns: [
          { id: 'day', label: 'day', kind: 'number' },
          { id: 'lookedAt', label: 'looked at', kind: 'number' },
          { id: 'bad', label: 'bad', kind: 'number' },
        ],
        value: '30, 20, 0\n75, 25, 2',
      },
    ],
    says: [
      { path: 'lifeDays', label: 'Lives', suffix: 'days', digits: 0, spread: true },
      { path: 'soundFractionNow', label: 'Sound now', suffix: 'share' },
      { path: 'nextCheckInDays', label: 'Look again in', suffix: 'days' },
    ],
  },
  {
    name: 'check-policy',
    group: 'Look over',
    title: 'Every so many weeks, or when it matters?',
    asks: '80 simulated stores, looked over both ways with as many looks.',
    equation:
      'Each piece fails in its own time; a bad one spoils a neighbour at the pace of its packing until a look takes it out.',
    source: 'Simulation, seeded',
    range: '10–500 pieces; takes some seconds',
    fields: [
      crop('onion-storing'),
      t('temperatureC', 'Temperature', 10),
      pct('relativeHumidityPct', 'Humidity', 66),
      n('pieces', 'Pieces', 120),
      n('everyWeeks', 'Every', 2, '', 'weeks'),
    ],
    says: [
      { path: 'fewerLostPct', label: 'Fewer spoilt by neighbours', suffix: '%', digits: 0 },
      { path: 'days', label: 'Followed for', suffix: 'days' },
    ],
  },
  {
    name: 'run-out',
    group: 'Use up',
    title: 'When does it run out?',
    asks: 'From what was used and when.',
    equation: 'Rate of use is gamma–Poisson: what was used over the weeks, with a little prior.',
    source: 'Bayes',
    range: 'at least one use',
    fields: [
      n('onHand', 'On hand', 6000, '', 'g or pieces'),
      {
        id: 'uses',
        label: 'Used',
        kind: 'lines',
        columns: [
          { id: 'date', label: 'day', kind: 'text' },
          { id: 'amount', label: 'amount', kind: 'number' },
        ],
        value: '2026-09-01, 300\n2026-09-09, 250\n2026-09-18, 400\n2026-09-27, 300',
      },
      { id: 'today', label: 'Today', kind: 'date', value: '2026-10-02' },
    ],
    says: [
      { path: 'perWeek', label: 'A week', digits: 0, spread: true },
      { path: 'runsOutOn', label: 'Runs out', spread: true },
    ],
  },
  {
    name: 'planting',
    group: 'Use up',
    title: 'How much to plant?',
    asks: 'Back from the table, with what is kept back and lost. A head of eight cloves gives eight heads.',
    equation: 'lift = wanted ÷ ((1 − kept back) · (1 − lost)); plant = lift ÷ pieces each gives.',
    source: 'Arithmetic',
    range: 'shares 0–0.95',
    fields: [
      crop('garlic-hardneck'),
      n('wantedUnits', 'Wanted at the table', 120, '', 'pieces'),
      n('unitsPerPlanted', 'Each planted gives', 8, '', 'pieces'),
      n('keepBackFraction', 'Kept back', 0.2, '', 'of 1'),
      n('lossFraction', 'Lost in store', 0.1, '', 'of 1'),
    ],
    says: [
      { path: 'toPlant', label: 'Plant', suffix: 'pieces' },
      { path: 'toLift', label: 'Lift', suffix: 'pieces' },
      { path: 'toKeepBack', label: 'Keep back', suffix: 'pieces' },
    ],
  },
  {
    name: 'brine',
    group: 'Use up',
    title: 'How much salt?',
    asks: 'By the water’s weight, or by all of it.',
    equation: 'salt = per cent × water, or per cent × (produce + water).',
    source: 'Arithmetic; strengths by NCHFP and practice',
    range: '0.5–26 %',
    fields: [
      { id: 'method', label: 'Per cent of', kind: 'choice', choices: ['of-water', 'of-total'], value: 'of-total' },
      n('waterG', 'Water', 400, 'g'),
      n('produceG', 'Produce', 600, 'g'),
      pct('saltPct', 'Salt', 2.5),
    ],
    says: [
      { path: 'saltG', label: 'Salt', unit: 'g', digits: 1 },
      { path: 'note', label: 'Mind' },
    ],
  },
]

export const worksheetNamed = (name: string): Worksheet | undefined => worksheets.find((w) => w.name === name)
