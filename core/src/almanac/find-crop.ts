import type { Crop } from './crop'

export interface CropMatch {
  crop: Crop
  /** the word that matched, where it is not the name itself */
  by?: string
}

const plain = (text: string) =>
  text
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '')
    .replace(/[^a-z0-9]+/g, ' ')
    .trim()

const singular = (word: string) =>
  word
    .replace(/ies$/, 'y')
    .replace(/(ch|sh|x|o)es$/, '$1')
    .replace(/(?<!s)s$/, '')

/** How well a query fits one phrase: 0 not at all, 4 the same. */
function fit(query: string, phrase: string): number {
  const [q, p] = [plain(query), plain(phrase)]
  if (!q || !p) return 0
  if (q === p || singular(q) === singular(p)) return 4
  if (p.startsWith(q)) return 3
  const words = q.split(' ').map(singular)
  const own = p.split(' ').map(singular)
  if (words.every((w) => own.some((o) => o.startsWith(w)))) return 2
  // written as one word or as two: black currant, blackcurrant
  if (q.length >= 4 && p.replaceAll(' ', '').startsWith(q.replaceAll(' ', ''))) return 2
  return q.length >= 3 && p.includes(q) ? 1 : 0
}

/** Where all words together fit nothing (“red potato”, “early carrots”), the last that fits names the crop. */
function byOneWord(crops: readonly Crop[], query: string): CropMatch[] {
  const words = plain(query).split(' ')
  if (words.length < 2) return []
  for (const word of words.filter((w) => w.length >= 3).reverse()) {
    // inside a word is no name
    const found = scoredBy(crops, word).filter(({ score }) => score >= wholeWord)
    if (found.length > 0) return inOrder(found)
  }
  return []
}

/**
 * Crops by name, other name, family, or what is in the hand (“soft neck”), best first.
 * @example findCrops(crops, 'zucchini')[0].crop.id // 'courgette'
 */
export function findCrops(crops: readonly Crop[], query: string): CropMatch[] {
  if (!plain(query)) return crops.map((crop) => ({ crop }))
  const scored = scoredBy(crops, query)
  return scored.length === 0 ? byOneWord(crops, query) : inOrder(scored)
}

type Scored = CropMatch & { score: number }
/** least score of a query that begins a word of a name */
const wholeWord = 14

const inOrder = (scored: Scored[]): CropMatch[] =>
  scored.sort((a, b) => b.score - a.score).map(({ crop, by }) => (by === undefined ? { crop } : { crop, by }))

const scoredBy = (crops: readonly Crop[], query: string): Scored[] =>
  crops.flatMap((crop) => {
    const name = Math.max(fit(query, crop.name), fit(query, crop.id))
    let best: { score: number; by?: string } = { score: name * 10 }
    const others: [string[], number][] = [
      [crop.synonyms, 9],
      [crop.looksLike, 7],
      [[crop.botanical, crop.family, crop.plural], 3],
    ]
    for (const [phrases, weight] of others) {
      for (const by of phrases) {
        const score = fit(query, by) * weight
        if (score > best.score) best = { score, by }
      }
    }
    return best.score > 0 ? [{ crop, ...best }] : []
  })
