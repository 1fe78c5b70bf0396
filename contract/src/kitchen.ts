import { ofHousehold } from './endpoint'
import { lotViews } from './households'
import { form, lotFields, lotRow, unit } from './lots'
import {
  between,
  bool,
  civilDate,
  closed,
  grams,
  instant,
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
  told,
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
  says: told,
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

export const freezersView = closed({
  freezers: listOf(
    closed({
      id: uuid,
      name: words,
      /** inside; null until somebody says */
      litres: nullable(number),
      weightG: number,
      bags: number,
      /** share full, by weight; null where nobody said how much it holds */
      fill: nullable(number),
      /** put in since yesterday, and what may be added today before the bags beside it warm, g; null as above */
      putInG: number,
      mayFreezeG: nullable(number),
      parts: listOf(closed({ id: uuid, name: words })),
      /** its log of the last weeks, three hours a step; empty where nobody measures */
      log: listOf(closed({ at: instant, temperatureC: number })),
      usualC: nullable(number),
      /** how fast frozen life goes at what it usually stands at, against −18 °C */
      pace: nullable(number),
      spells: listOf(closed({ from: instant, hours: number, warmestC: number, costDays: number, thawed: bool })),
      lots: listOf(closed({ ...lotFields, keepsUntil: civilDate, monthsLeft: number })),
    }),
  ),
})
export type FreezersView = Static<typeof freezersView>

export const readFreezers = ofHousehold('freezers', {
  method: 'GET',
  path: '/kitchen/freezers',
  says: 'Each freezer: how full, how cold it has been and what that cost, what may go in today, how long each bag keeps.',
  answer: freezersView,
})
