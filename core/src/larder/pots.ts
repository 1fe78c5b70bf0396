import type { Crop } from '../almanac'

/** What a pot of a crop is in most kitchens, the plainest first. Common practice, no source. */
const byGroup: Record<string, readonly string[]> = {
  allium: ['onion soup', 'onion tart', 'chutney'],
  cabbage: ['cabbage, braised', 'cabbage soup', 'slaw'],
  fruiting: ['sauce', 'vegetable stew'],
  herb: ['pesto', 'herb butter'],
  leaf: ['greens in the pan', 'green soup'],
  legume: ['bean stew', 'bean soup'],
  orchard: ['crumble', 'stewed fruit', 'purée'],
  root: ['broth', 'roast roots', 'mash'],
  seed: ['porridge', 'bread'],
  squash: ['squash curry', 'roast squash', 'soup'],
  stone: ['crumble', 'compote'],
  tuber: ['mash', 'gratin', 'soup'],
  berry: ['compote', 'crumble'],
}
const byCrop: Record<string, readonly string[]> = {
  'garlic-hardneck': ['garlic soup', 'garlic butter'],
  'garlic-softneck': ['garlic soup', 'garlic butter'],
  leek: ['leek and potato soup', 'leeks, braised'],
  'cabbage-red': ['red cabbage, braised', 'slaw'],
  broccoli: ['broccoli in the pan', 'soup'],
  cauliflower: ['cauliflower bake', 'curry'],
  tomato: ['tomato sauce', 'tomato soup'],
  'tomato-green': ['green tomato chutney', 'fried green tomatoes'],
  chilli: ['chilli paste', 'chilli sauce'],
  pepper: ['stewed peppers', 'stuffed peppers'],
  cucumber: ['cucumber salad', 'pickle'],
  mushroom: ['mushroom sauce', 'mushroom soup'],
  courgette: ['courgette and egg', 'courgette soup'],
  beetroot: ['beetroot soup', 'roast beetroot'],
  celeriac: ['celeriac mash', 'broth'],
  'pea-whole-pod': ['peas in the pan'],
  pea: ['pea soup', 'peas and rice'],
  sweetcorn: ['sweetcorn chowder', 'corn on the cob'],
  'sweet-potato': ['sweet potato curry', 'mash'],
}

/**
 * Dishes that use a crop up: the household's own that are made of it mostly, then partly, then what most kitchens make.
 * @param recipes the household's, the last made first
 * @returns names, none twice; none for what nobody cooks
 */
export function potWays(
  crop: Pick<Crop, 'id' | 'group'>,
  recipes: readonly { name: string; takes: readonly { crop: string; weightG: number }[] }[],
): string[] {
  const share = (takes: readonly { crop: string; weightG: number }[]) => {
    const own = takes.reduce((sum, take) => sum + (take.crop === crop.id ? take.weightG : 0), 0)
    return (
      own /
      Math.max(
        1,
        takes.reduce((sum, { weightG }) => sum + weightG, 0),
      )
    )
  }
  const own = recipes
    .map(({ name, takes }) => ({ name, share: share(takes) }))
    .filter((recipe) => recipe.share > 0)
    .sort((a, b) => b.share - a.share)
  return [...new Set([...own.map(({ name }) => name), ...(byCrop[crop.id] ?? byGroup[crop.group] ?? [])])]
}
