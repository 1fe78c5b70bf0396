import type { NewDish, RecipeView } from '@vadose/contract/kitchen'
import type { LotRow } from '@vadose/contract/lots'
import { unitNames, units, type Unit } from '@vadose/core/almanac'
import { say } from './say'
import { sayWord } from '../voice'

export type DishForm = NewDish['form']

/** A lot that goes in, with as much of it as was said. */
export interface Ingredient {
  lot: LotRow
  pieces?: number
  weightG?: number
  all?: boolean
}

/** What something can become, with what it is usually counted in. */
export const dishForms: { id: DishForm; label: string; detail: string; unit: Unit; prepared: string }[] = [
  {
    id: 'frozen',
    get label() {
      return say('freezer')
    },
    get detail() {
      return say('portionsBlocksRolls')
    },
    unit: 'portion',
    prepared: 'cooked',
  },
  {
    id: 'cooked',
    get label() {
      return say('fridge')
    },
    get detail() {
      return say('cookedForTheseDays')
    },
    unit: 'portion',
    prepared: 'cooked',
  },
  {
    id: 'jarred',
    get label() {
      return say('jars')
    },
    get detail() {
      return say('byATestedRecipe')
    },
    unit: 'jar',
    prepared: 'sauce',
  },
  {
    id: 'brined',
    get label() {
      return say('saltOrBrine')
    },
    get detail() {
      return say('leftToSour')
    },
    unit: 'jar',
    get prepared() {
      return say('shreddedDrySalted')
    },
  },
  {
    id: 'dried',
    get label() {
      return say('dryJar')
    },
    get detail() {
      return say('roastedDriedInTheOven')
    },
    unit: 'jar',
    prepared: 'roasted',
  },
]

/** Units a dish can come in, the usual one of its form first. */
export const unitsFor = (form: DishForm): { id: Unit; label: string }[] => {
  const usual = dishForms.find(({ id }) => id === form)!.unit
  const all = unitNames.filter((unit) => ['portion', 'bag', 'box', 'block', 'roll', 'jar', 'bottle'].includes(unit))
  return [usual, ...all.filter((unit) => unit !== usual)].map((id) => ({ id, label: sayWord(units[id]) }))
}

/** Grams an ingredient gives, as the server will reckon them. */
export function gramsOf({ lot, pieces, weightG, all }: Ingredient): number {
  if (all) return lot.weightG
  if (pieces !== undefined) return lot.pieces ? Math.round((lot.weightG * pieces) / lot.pieces) : 0
  return weightG ?? 0
}

/** All that goes in, comes out, and goes as water and trimmings, g; `out` is undefined while nobody weighed it. */
export function balanceOf(
  takes: readonly Ingredient[],
  adds: readonly { weightG: number }[],
  out: number | undefined,
  wasteG: number,
) {
  const inG = [...takes.map(gramsOf), ...adds.map(({ weightG }) => weightG)].reduce((a, b) => a + b, 0)
  const outG = out ?? Math.max(0, inG - wasteG)
  return { inG, outG, wasteG, waterG: inG - outG - wasteG }
}

/**
 * A recipe's ingredients from the lots there are, oldest first, so many times over.
 * @returns what is taken, and what of it there is not enough of
 */
export function ingredientsFor(recipe: RecipeView, lots: readonly LotRow[], times: number) {
  const takes: Ingredient[] = []
  const short: string[] = []
  for (const { crop, weightG } of recipe.takes) {
    let left = Math.round(weightG * times)
    const own = lots
      .filter((lot) => lot.crop === crop && lot.form === 'fresh' && lot.fate !== 'plant' && cooksFrom(lot))
      .sort((a, b) => rank(a) - rank(b) || (a.broughtOn < b.broughtOn ? -1 : 1))
    for (const lot of own) {
      if (left <= 0) break
      const take = Math.min(left, lot.weightG)
      takes.push(take === lot.weightG ? { lot, all: true } : { lot, weightG: take })
      left -= take
    }
    if (left > 0) short.push(crop)
  }
  return { takes, short }
}

/** What wants using first goes first, what still hangs last. */
const rank = ({ aside, fate, stage }: LotRow): number => (aside ? 0 : fate !== 'store' ? 1 : stage === 'drying' ? 3 : 2)

/** What can go into the pot. */
export const cooksFrom = ({ stage, weightG }: LotRow): boolean =>
  weightG > 0 && ['fresh', 'stored', 'drying'].includes(stage)
