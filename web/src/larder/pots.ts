import type { LarderView } from '@vadose/contract/larder'
import { potWays } from '@vadose/core/larder'
import { cropOf } from '../almanac'

type Recipes = Parameters<typeof potWays>[1]

/**
 * The week's pots with a dish for each: the household's own first, none twice where there is another.
 * @param turn how often other dishes were asked for
 */
export function dishesFor({ week, lots }: Pick<LarderView, 'week' | 'lots'>, recipes: Recipes, turn: number) {
  const cooked = new Set<string>()
  return week.pots.flatMap((pot) => {
    const lot = lots.find(({ code }) => code === pot.code)
    if (!lot) return []
    // what was cooked already is eaten as it is
    const ways = lot.name ? [] : potWays(cropOf(lot.crop), recipes)
    const from = turn % Math.max(1, ways.length)
    const inTurn = [...ways.slice(from), ...ways.slice(0, from)]
    const dish = inTurn.find((way) => !cooked.has(way)) ?? inTurn[0]
    if (dish) cooked.add(dish)
    return [{ ...pot, lot, ways, dish }]
  })
}
