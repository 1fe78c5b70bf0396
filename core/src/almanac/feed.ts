import type { Crop } from './crop'

/** Whether a crop can go to hens and other animals, and how. */
export interface Feeding {
  safe: boolean
  says: string
}

/** Common practice, no source: what keepers of small animals hold to. */
const byCrop: Record<string, Feeding> = {
  potato: { safe: true, says: 'Boiled only; never green, sprouted or blighted ones.' },
  'sweet-potato': { safe: true, says: 'Cooked; never black or bitter ones: their poison stays.' },
  rhubarb: { safe: false, says: 'Rhubarb is not fed to animals: oxalic acid.' },
  cassava: { safe: false, says: 'Not fed raw to animals.' },
}

/** Whether and how a crop is fed. */
export function feeding(crop: Pick<Crop, 'id' | 'group'>): Feeding {
  const own = Object.entries(byCrop).find(([id]) => crop.id === id || crop.id.startsWith(`${id}-`))?.[1]
  if (own) return own
  switch (crop.group) {
    case 'allium':
      return {
        safe: false,
        says: 'Onions, garlic and leeks are not fed: they harm hens, dogs, cats, sheep and cattle.',
      }
    case 'legume':
      return { safe: true, says: 'Dry beans cooked only, never raw.' }
    case 'stone':
      return { safe: true, says: 'Without the stones.' }
    default:
      return { safe: true, says: 'Nothing mouldy, nothing salted.' }
  }
}
