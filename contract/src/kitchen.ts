import { ofHousehold } from './endpoint'
import { lotViews } from './households'
import { form, lotRow, unit } from './lots'
import {
  between,
  bool,
  civilDate,
  closed,
  grams,
  listOf,
  nullable,
  number,
  oneOf,
  optional,
  pieces,
  requestId,
  saying,
  textUpTo,
  uuid,
  whole,
  words,
  type Static,
} from './shapes'

/** Several lots and bought things made into one. */
export const newDish = closed({
  requestId,
  name: saying(60),
  form: oneOf('dried', 'frozen', 'jarred', 'brined', 'cooked'),
  takes: listOf(
    closed({ code: textUpTo(10), pieces: optional(pieces), weightG: optional(grams), all: optional(bool) }),
    { maxItems: 30 },
  ),
  adds: listOf(closed({ name: saying(40), weightG: grams }), { maxItems: 30 }),
  /** all of it, ready; nobody weighed it where left out */
  weightG: optional(grams),
  pieces: whole(1, 2000),
  unit,
  size: optional(textUpTo(20)),
  placeId: uuid,
  wasteG: optional(grams),
  prepared: optional(textUpTo(60)),
  /** jars: the tested recipe, and how they were processed */
  recipe: optional(textUpTo(80)),
  processed: optional(textUpTo(80)),
  /** good for so many days, where the household or its recipe says so */
  lifeDays: optional(whole(1, 4000)),
  /** a ferment: first tasted after so many days */
  tasteAfterDays: optional(whole(1, 90)),
  /** the lot that is topped up */
  into: optional(textUpTo(10)),
})
export type NewDish = Static<typeof newDish>

export const dishAnswer = closed({
  lot: lotRow,
  /** what went in, and what of it went as water and trimmings, g */
  inG: number,
  goneG: number,
  entry: number,
  says: words,
})
export type DishAnswer = Static<typeof dishAnswer>

export const makeDish = ofHousehold('make-dish', {
  method: 'POST',
  path: '/kitchen/dishes',
  says: 'Cooks, freezes, jars or salts what several lots and bought things make together: one lot in its portions.',
  body: newDish,
  answer: dishAnswer,
  status: 201,
  stale: lotViews,
})

export const recipe = closed({
  name: words,
  form: oneOf('dried', 'frozen', 'jarred', 'brined', 'cooked'),
  unit,
  pieces: number,
  weightG: number,
  wasteG: number,
  takes: listOf(closed({ crop: words, weightG: number })),
  adds: listOf(closed({ name: words, weightG: number })),
  prepared: nullable(words),
  madeOn: civilDate,
  times: number,
  /** there is enough for so many times it, and what there is least of; null where nothing of ours goes in */
  enoughFor: number,
  short: nullable(words),
  makes: words,
})
export type RecipeView = Static<typeof recipe>

export const listRecipes = ofHousehold('recipes', {
  method: 'GET',
  path: '/kitchen/recipes',
  says: 'The household’s own dishes, each as it was made the last time, and how often there is enough for it.',
  answer: listOf(recipe),
})

/** Where what is in a lot came from: beds, varieties, harvests and evenings, down to what was bought. */
export const madeOf = closed({
  parts: listOf(
    closed({
      code: nullable(words),
      name: words,
      crop: nullable(words),
      form: nullable(form),
      variety: nullable(words),
      bed: nullable(words),
      broughtOn: nullable(civilDate),
      weightG: number,
      /** how far back: what went in itself, what that was made of … */
      depth: number,
    }),
  ),
})
export type MadeOf = Static<typeof madeOf>

export const readMadeOf = ofHousehold('made-of', {
  method: 'GET',
  path: '/lots/:code/made-of',
  says: 'What went into a lot, back to the beds it grew in.',
  answer: madeOf,
})

/** After a power cut: what was done with each lot of bags. */
export const bookPowerCut = ofHousehold('power-cut', {
  method: 'POST',
  path: '/kitchen/power-cuts',
  says: 'Books what became of the bags in a freezer whose power was off, lot by lot.',
  body: closed({
    requestId,
    hoursOff: between(0.1, 2000),
    bags: listOf(closed({ code: textUpTo(10), verdict: oneOf('keep', 'refreeze', 'cook', 'throw-out') }), {
      minItems: 1,
      maxItems: 500,
    }),
  }),
  answer: closed({ kept: number, thrownOut: number, entry: number, code: words }),
  status: 201,
  stale: lotViews,
})
