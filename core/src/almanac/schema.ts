import { cautions } from './cautions'
import { endTests } from './end-tests'
import { faults } from './faults'
import { heapTemplates } from './heaps'
import { necks } from './necks'
import { packings } from './packing'
import { sources } from './sources'

const source = { enum: Object.keys(sources) }
const sourced = (value: object) => ({
  type: 'object',
  required: ['value', 'source'],
  properties: { value, source },
  additionalProperties: false,
})
const num = (minimum: number, maximum: number) => ({ type: 'number', minimum, maximum })
/** A number with its source, within what the world allows. */
const n = (minimum: number, maximum: number) => sourced(num(minimum, maximum))
/** Two numbers, from–to, with their source. */
const range = (minimum: number, maximum: number) => sourced(pair(minimum, maximum))
const pair = (minimum: number, maximum: number) => ({
  type: 'array',
  items: num(minimum, maximum),
  minItems: 2,
  maxItems: 2,
})
/** A text, or a message where it names a quantity. */
const prose = (maxLength = 300) => ({
  anyOf: [
    text(maxLength),
    { type: 'object', required: ['says'], properties: { says: { type: 'string', pattern: '^[a-z]+\\.[A-Za-z]+$' } } },
  ],
})
const text = (maxLength = 300) => ({ type: 'string', minLength: 1, maxLength, pattern: '\\S' })
const maybe = (maxLength = 300) => ({ type: 'string', maxLength })
const list = (items: object, minItems = 0, maxItems = 20) => ({ type: 'array', items, minItems, maxItems })
const object = (required: string[], properties: Record<string, object>) => ({
  type: 'object',
  required,
  properties,
  additionalProperties: false,
})
const keys = (of: object) => ({ enum: Object.keys(of) })
const gas = sourced({ enum: ['none', 'little', 'some', 'much'] })
const minutes = sourced({ anyOf: [{ type: 'null' }, pair(0, 60)] })

const keeping = object(
  [
    'bestTemperatureC',
    'bestHumidityPct',
    'lifeDays',
    'atHome',
    'keptDry',
    'transpiration',
    'largestLossPct',
    'ageingDays',
    'ageingAtC',
    'ethyleneGiven',
    'ethyleneFelt',
  ],
  {
    bestTemperatureC: range(-5, 30),
    bestHumidityPct: range(10, 100),
    lifeDays: range(1, 4000),
    homeDays: range(1, 4000),
    atHome: sourced(prose()),
    keptDry: { type: 'boolean' },
    freezesAtC: n(-10, 0),
    transpiration: n(0, 20000),
    largestLossPct: n(1, 60),
    respiration: sourced(object(['f', 'g'], { f: num(1e-9, 1), g: num(0.5, 6) })),
    ageingQ10: n(1, 6),
    ageingDays: n(1, 8000),
    ageingAtC: n(-5, 30),
    sproutingDays: sourced({
      type: 'array',
      minItems: 2,
      maxItems: 20,
      items: { type: 'array', items: [num(-20, 45), num(5, 3000)], minItems: 2, maxItems: 2 },
    }),
    rootsAbovePct: n(50, 89),
    rootingDays: n(5, 400),
    chillsBelowC: n(0, 20),
    chillingDays: n(1, 400),
    greeningDays: n(1, 200),
    ethyleneGiven: gas,
    ethyleneFelt: gas,
    ethyleneShows: text(),
    smell: text(),
  },
)

const readiness = object(['question', 'schools', 'sharePerWeek', 'earlyCost', 'lateCost'], {
  question: text(),
  countOf: n(2, 20),
  stages: list(text(60), 2, 8),
  schools: list(
    object(['id', 'label', 'from', 'to'], { id: text(40), label: text(120), from: n(0, 1), to: n(0, 1) }),
    1,
    4,
  ),
  sharePerWeek: n(0.01, 3),
  earlyCost: text(),
  lateCost: prose(),
  usual: text(40),
  scapeDays: range(5, 60),
  tryOne: object(['what', 'outcomes'], {
    what: text(120),
    outcomes: list(object(['label', 'says'], { label: text(60), says: { enum: ['early', 'ready', 'late'] } }), 2, 5),
  }),
})

const curing = object(
  [
    'clock',
    'budget',
    'budgetLogSd',
    'finalWeightRatio',
    'finalWeightRatioSd',
    'usualDays',
    'hangs',
    'endTests',
    'conditions',
  ],
  {
    clock: { enum: ['drying-power', 'healing'] },
    budget: n(5, 3000),
    budgetLogSd: n(0.02, 1),
    stillAbovePct: n(40, 97),
    healsAtC: range(0, 40),
    healsAtPct: range(0, 100),
    finalWeightRatio: n(0.05, 0.99),
    finalWeightRatioSd: n(0.001, 0.3),
    bunch: range(1, 200),
    usualDays: range(1, 120),
    hangs: list({ enum: ['bunch', 'plait', 'rack', 'bag', 'sheet', 'box'] }, 1, 6),
    turnEveryDays: n(1, 30),
    dryOffHours: range(0.5, 48),
    endTests: list(keys(endTests), 1, 6),
    conditions: sourced(prose()),
  },
)

const blanch = object(['cut', 'waterMinutes', 'steamMinutes', 'note'], {
  cut: text(80),
  waterMinutes: minutes,
  steamMinutes: minutes,
  note: maybe(),
})

/**
 * What a crop's file must hold: every number in {value, source}, the source one that is listed, within what the world
 * allows. Plain JSON Schema, so that tests and the server check with the same library the wire is checked with.
 */
export const cropSchema = object(
  [
    'id',
    'name',
    'plural',
    'synonyms',
    'looksLike',
    'group',
    'letter',
    'botanical',
    'family',
    'piece',
    'pieceG',
    'waterPct',
    'ways',
    'handling',
    'trimming',
    'grading',
    'heaps',
    'packs',
    'needs',
    'keeping',
    'schools',
    'faults',
    'cautions',
  ],
  {
    id: { type: 'string', pattern: '^[a-z][a-z0-9]*(-[a-z0-9]+)*$', maxLength: 60 },
    name: text(60),
    plural: text(60),
    synonyms: list(text(60), 0, 30),
    looksLike: list(text(60), 0, 12),
    group: {
      enum: [
        'allium',
        'tuber',
        'squash',
        'root',
        'cabbage',
        'leaf',
        'fruiting',
        'legume',
        'orchard',
        'stone',
        'berry',
        'herb',
        'seed',
        'brining',
      ],
    },
    letter: { type: 'string', pattern: '^[A-Z]$' },
    botanical: text(80),
    family: text(60),
    piece: object(['one', 'many'], { one: text(30), many: text(30) }),
    pieceG: n(0.01, 30000),
    waterPct: n(1, 99),
    ways: list(
      object(['way', 'note'], {
        way: { enum: ['store', 'in-ground', 'freeze', 'dry', 'brine', 'jar', 'seed', 'fresh'] },
        note: prose(),
      }),
      1,
      8,
    ),
    readiness,
    handling: text(),
    trimming: text(),
    grading: text(),
    heaps: list(keys(heapTemplates), 1, 8),
    curing,
    necks: list(keys(necks), 0, 4),
    packs: list(keys(packings), 1, 8),
    needs: list({ enum: ['dark', 'apart', 'airy'] }, 0, 3),
    keeping,
    freezing: object(['prepare', 'blanch', 'lifeMonths', 'warmShare'], {
      prepare: text(),
      blanch: list(blanch, 0, 8),
      lifeMonths: range(1, 36),
      warmShare: n(0.05, 1),
    }),
    dehydrating: object(['cut', 'pretreat', 'airC', 'hours', 'finalMoisturePct', 'doneness', 'conditions'], {
      cut: text(80),
      pretreat: text(80),
      airC: range(20, 80),
      hours: range(0.5, 96),
      startMoisturePct: n(5, 98),
      finalMoisturePct: n(2, 35),
      doneness: text(80),
      conditions: { type: 'boolean' },
    }),
    givesPerPiece: n(0.5, 100),
    growing: object(['months', 'days'], { months: range(1, 12), days: range(20, 700) }),
    cleaning: list({ enum: ['thresh', 'sieve', 'winnow'] }, 1, 3),
    schools: list(
      object(['topic', 'question', 'choices', 'usual'], {
        topic: text(40),
        question: text(120),
        choices: list(object(['id', 'label', 'does'], { id: text(40), label: prose(80), does: text(200) }), 1, 5),
        usual: text(40),
      }),
      0,
      6,
    ),
    faults: list(keys(faults), 1, 12),
    cautions: list(keys(cautions), 0, 8),
  },
)
