import type { Crop, CropData, Range } from './crop'
import { inForm, type Form } from './form'
import { ageingOnly, frozenDishDays, halfAfter, halfAfterSaid } from './put-by'
import { resolveCrop } from './resolve'

/** What things on a shelf are counted in, one and many of them. */
export const units = {
  jar: 'jars',
  bag: 'bags',
  box: 'boxes',
  portion: 'portions',
  bottle: 'bottles',
  tin: 'tins',
  block: 'blocks',
  roll: 'rolls',
  net: 'nets',
  sack: 'sacks',
  crate: 'crates',
  plait: 'plaits',
  bunch: 'bunches',
  head: 'heads',
  piece: 'pieces',
} as const
export type Unit = keyof typeof units
export const unitNames = Object.keys(units) as Unit[]

/** How a thing came into the house. */
export const origins = ['grown', 'bought', 'given', 'caught', 'cooked'] as const
export type Origin = (typeof origins)[number]

/** Grams in one of a unit, where nobody says. Judgement. */
export const unitG: Record<Unit, number> = {
  jar: 500,
  bag: 400,
  box: 500,
  portion: 350,
  bottle: 750,
  tin: 400,
  block: 250,
  roll: 200,
  net: 2000,
  sack: 10_000,
  crate: 10_000,
  plait: 800,
  bunch: 300,
  head: 800,
  piece: 200,
}

/** What is known of a thing by its own entry, besides its crop and form. */
export interface Goods {
  /** what it is called: “Braised red cabbage”; its crop's name where it has none */
  name: string | null
  unit: Unit | null
  /** good for so many days where its form is kept best; the form's own life where nobody says */
  lifeDays: number | null
  /** a dish of several things, not a crop by itself */
  dish: boolean
}

/**
 * What is in the larder and is no crop of the almanac: bought, caught, cooked of bought things. It has a name of its own;
 * everything the almanac would know of it is what a dry packet in a cupboard needs.
 */
const pantryData: CropData = {
  id: 'pantry',
  name: 'Stores',
  plural: 'stores',
  synonyms: [],
  looksLike: [],
  group: 'goods',
  letter: 'V',
  botanical: '',
  family: '',
  piece: { one: 'piece', many: 'pieces' },
  pieceG: { value: 500, source: 'judgement' },
  waterPct: { value: 50, source: 'judgement' },
  ways: [],
  handling: '',
  trimming: '',
  grading: '',
  heaps: ['sound-store'],
  // closed, as it was bought
  packs: ['jar'],
  needs: [],
  keeping: ageingOnly({
    days: [300, 420],
    atC: 18,
    q10: 2,
    best: [5, 21],
    source: 'practice',
    atHome: 'a cool, dry cupboard; the date on the packet goes first',
  }),
  freezing: {
    prepare: 'Cold, in portions, the air pressed out.',
    blanch: [],
    lifeMonths: { value: [2, 3], source: 'fsis' },
    warmShare: { value: 0.4, source: 'iir' },
  },
  schools: [],
  faults: ['rancid', 'weevil'],
  cautions: ['mould-soft', 'thaw'],
}
export const pantry: Crop = resolveCrop(pantryData)

const known = new WeakMap<Crop, Map<string, Crop>>()

/** A crop in a form, as one thing of it is called, counted and kept; the same object every time. */
export function asGoods(crop: Crop, form: Form, goods: Goods): Crop {
  const base = inForm(crop, form)
  if (!goods.name && !goods.unit && !goods.lifeDays && !goods.dish) return base
  const own = known.get(base) ?? new Map<string, Crop>()
  known.set(base, own)
  const key = JSON.stringify([goods.name, goods.unit, goods.lifeDays, goods.dish])
  const made = own.get(key) ?? named(base, form, goods)
  own.set(key, made)
  return made
}

function named(base: Crop, form: Form, { name, unit, lifeDays, dish }: Goods): Crop {
  const life = lifeOf(base, form, lifeDays, dish)
  const { keeping } = base
  return {
    ...base,
    ...(name ? { name, plural: name.toLowerCase() } : {}),
    ...(unit ? { piece: { one: unit, many: units[unit] } } : {}),
    // a net of onions is looked over onion by onion
    ...(unit && (form !== 'fresh' || base.id === pantryData.id)
      ? { pieceG: { value: unitG[unit], source: 'judgement' as const } }
      : {}),
    ...(life
      ? {
          keeping: {
            ...ageingOnly({
              days: life,
              atC: keeping.ageingAtC.value,
              // the date on a packet holds in any cupboard
              q10: form === 'fresh' ? 1 : (keeping.ageingQ10?.value ?? 2),
              best: keeping.bestTemperatureC.value,
              source: 'household',
              half: lifeDays !== null && lifeDays * 1.05 >= life[1] ? halfAfterSaid : halfAfter,
              atHome: keeping.atHome.value,
            }),
            ...(keeping.freezesAtC ? { freezesAtC: keeping.freezesAtC } : {}),
          },
        }
      : {}),
  }
}

/** around what somebody says it keeps */
const about = (days: number): Range => [days * 0.95, days * 1.05]

/** The shortest of what the method gives, what the main part gives, and what somebody said; undefined for the form's own. */
function lifeOf(base: Crop, form: Form, lifeDays: number | null, dish: boolean): Range | undefined {
  const said = lifeDays === null ? undefined : about(lifeDays)
  if (!dish || form !== 'frozen') return said
  const own = base.keeping.lifeDays.value
  return [said, frozenDishDays, own].reduce<Range>((least, one) => (one && one[0] < least[0] ? one : least), own)
}
