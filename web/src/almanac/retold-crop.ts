import type { Crop } from '@vadose/core/almanac'
import { retell, type Language } from '@vadose/words/page'

/** What of a crop is told to people; the rest are names by which it is known to the program. */
const prose = new Set(
  `name plural one many label text detail why note question earlyCost lateCost handling trimming grading hint smell
  prepare doneness does signs cause passed failed what ethyleneShows stages looksLike family synonyms`.split(/\s+/),
)

function retold(part: unknown, told: boolean, language: Language): unknown {
  if (typeof part === 'string') return told ? retell(part, language) : part
  if (Array.isArray(part)) return part.map((one) => retold(one, told, language))
  if (typeof part !== 'object' || part === null) return part
  return Object.fromEntries(
    Object.entries(part).map(([name, value]) => [name, retold(value, prose.has(name), language)]),
  )
}

/** A crop as a language calls it and speaks of it; it is still found by its other names. */
export function retoldCrop(crop: Crop, language: Language): Crop {
  const told = retold(crop, false, language) as Crop
  if (language !== 'en-US') return told
  const names = [...told.synonyms, ...crop.synonyms, crop.name.toLowerCase()]
  return { ...told, synonyms: [...new Set(names)].filter((name) => name !== told.name.toLowerCase()) }
}
