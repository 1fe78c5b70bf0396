import { units, type Crop, type Form, type Unit } from '../almanac'
import { draft, gramsOfPieces, piecesOfGrams, type EventDraft, type LotHistory } from '../lots'
import { grams, told, term } from '../message'
import { Refusal } from '../refusal'

/** What one lot gives to the pot: pieces or grams, or all there is. */
export interface DishTaking {
  code: string
  pieces?: number
  weightG?: number
  all?: boolean
}

/** Several things made into one. */
export interface Dish {
  name: string
  /** in the freezer, in jars, in brine, dried, or cooked for the fridge */
  form: Exclude<Form, 'fresh'>
  takes: readonly DishTaking[]
  /** what has no lot: bought, or from the tap */
  adds: readonly { name: string; weightG: number }[]
  /** all of it, ready; nobody weighed it where left out */
  weightG?: number
  /** so many of the unit */
  pieces: number
  unit: Unit
  size?: string
  placeId: string
  /** peel, cores, stones, weighed */
  wasteG?: number
  prepared?: string
  recipe?: string
  processed?: string
  lifeDays?: number
  tasteAfterDays?: number
  /** a bag or jar like these that is topped up: it is as old as its oldest share */
  into?: string
}

/** A lot that something is taken from, as it stands. */
export interface DishLot {
  code: string
  crop: Crop
  lot: LotHistory
}

export interface DishOutcome {
  /** what leaves each lot, in the order of `takes` */
  taken: { code: string; event: EventDraft }[]
  /** the lot most of it comes from: what is made is a form of its crop; null where everything was bought */
  main: string | null
  /** first entries of what is made, or those that top up what there is */
  made: EventDraft[]
  /** what went in, and of that what is not in the jars: water and trimmings, g */
  inG: number
  goneG: number
}

function takenOf({ code, pieces, weightG, all }: DishTaking, { lot }: DishLot, field: string): EventDraft {
  const { quantity } = lot
  if (lot.stage === 'gone' || quantity.weightG <= 0) throw new Refusal('gone', told('lots.noneLeftOf', { code }), field)
  if (lot.stage === 'dryer' || lot.stage === 'conditioning') {
    throw new Refusal('invalid', told('kitchen.takeOutFirst', { code }), field)
  }
  const out = (grams: number, count: number, by: 'pieces' | 'weight' | 'all') =>
    draft('split-out', { weightG: 0 - grams, pieces: 0 - count, details: { by } })
  if (all) return out(quantity.weightG, quantity.pieces ?? 0, 'all')
  if ((pieces === undefined) === (weightG === undefined)) {
    throw new Refusal('invalid', told('kitchen.howMuchOf', { code }), field)
  }
  return pieces === undefined
    ? out(weightG!, piecesOfGrams(quantity, weightG!), 'weight')
    : out(gramsOfPieces(quantity, pieces), pieces, 'pieces')
}

/**
 * What several lots and bought things become together. What went in is what came out, what went as water, and trimmings, to
 * the gram.
 * @param lots the lots named in `takes`, in that order
 * @param into the lot that is topped up, where one is
 * @throws Refusal `not-enough`, `gone`, `invalid`, `out-of-range`
 */
export function dishOf(dish: Dish, lots: readonly DishLot[], into?: DishLot): DishOutcome {
  const name = dish.name.trim()
  if (name === '') throw new Refusal('invalid', told('kitchen.unnamed'), 'name')
  if (dish.takes.length + dish.adds.length === 0) throw new Refusal('invalid', told('kitchen.nothingGoesIn'), 'takes')
  if (new Set(dish.takes.map(({ code }) => code)).size < dish.takes.length) {
    throw new Refusal('invalid', told('kitchen.eachLotOnce'), 'takes')
  }
  const taken = dish.takes.map((taking, i) => ({
    code: taking.code,
    event: takenOf(taking, lots[i]!, `takes/${i}`),
  }))
  const inG = [...taken.map(({ event }) => 0 - event.weightG), ...dish.adds.map(({ weightG }) => weightG)].reduce(
    (sum, g) => sum + g,
    0,
  )
  const wasteG = dish.wasteG ?? 0
  const outG = dish.weightG ?? inG - wasteG
  if (outG + wasteG > inG) {
    throw new Refusal(
      'invalid',
      told('kitchen.moreThanWentIn', {
        out: grams(outG),
        wasted: wasteG ? 'yes' : 'no',
        waste: grams(wasteG ?? 0),
        in: grams(inG),
      }),
      'weightG',
    )
  }
  if (outG < 1) throw new Refusal('invalid', told('kitchen.nothingWouldBeLeft'), 'wasteG')
  if (into) requireSame(dish, into)
  // the part that most of it is, by weight
  const heaviest = [...taken].sort((a, b) => a.event.weightG - b.event.weightG)[0]
  const main = heaviest?.code ?? null
  // most of it is told first: it is the lot this one is split from
  const order = [...taken].sort((a, b) => Number(b.code === main) - Number(a.code === main))
  const shares = order.map(({ code, event }) =>
    draft('split-in', {
      weightG: 0 - event.weightG,
      details: { code, ...(into ? {} : { stage: 'fresh' as const }) },
    }),
  )
  const bought = dish.adds.map((one) => draft('added', { weightG: one.weightG, details: { text: one.name.trim() } }))
  const { form, unit, pieces, placeId } = dish
  const details = {
    form,
    name,
    unit,
    counted: pieces,
    scaleG: outG,
    dish: taken.length + dish.adds.length > 1,
    ...(dish.weightG === undefined ? { guessed: 'weight' as const } : {}),
    ...(wasteG ? { wasteG } : {}),
    ...pickSaid(dish),
  }
  const made = into
    ? [...shares, ...bought, draft('weighed', { weightG: outG - inG, pieces, details: { why: 'topped up' } })]
    : [...shares, ...bought, draft('made', { weightG: outG - inG, pieces, placeId, details })]
  return {
    taken: taken.map(({ code, event }) => ({
      code,
      event: { ...event, details: { ...event.details, why: `into ${name}` } },
    })),
    main,
    made,
    inG,
    goneG: inG - outG,
  }
}

const said = ['size', 'prepared', 'recipe', 'processed', 'lifeDays', 'tasteAfterDays'] as const
const pickSaid = (dish: Dish) =>
  Object.fromEntries(said.flatMap((key) => (dish[key] === undefined || dish[key] === '' ? [] : [[key, dish[key]]])))

/** @throws Refusal for what is not like what it is put to */
function requireSame({ form, unit }: Dish, { code, lot }: DishLot): void {
  const is = lot.frozen ? 'frozen' : lot.made?.form
  if (lot.quantity.weightG <= 0) throw new Refusal('gone', told('kitchen.noneToTopUp', { code }), 'into')
  if (is !== form) throw new Refusal('invalid', told('kitchen.notOfThisForm', { code, form }), 'into')
  if (lot.unit && lot.unit !== unit) {
    throw new Refusal('invalid', told('kitchen.countedIn', { code, units: term(units[lot.unit]) }), 'unit')
  }
}
