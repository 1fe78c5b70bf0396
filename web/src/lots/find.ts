import type { LotRow } from '@vadose/contract/lots'
import type { PlaceView } from '@vadose/contract/places'
import { cropOf, heapLabel, lotCrop, lotName } from '../almanac'
import { amount } from '../households'

export interface Found {
  key: string
  title: string
  detail: string
  to: string
}

const most = 9

/**
 * Lots and places in which every word typed stands: in a lot's code, crop, the crop's other names, heap, variety, bed or
 * place, or in a place's name. What begins with the words comes first, so that a code typed whole is on top.
 */
export function findAmong(lots: readonly LotRow[], places: readonly PlaceView[], typed: string): Found[] {
  const wanted = typed.trim().toLowerCase()
  const all: (Found & { words: string })[] = [
    ...lots.map((lot) => {
      const crop = lotCrop(lot)
      return {
        key: lot.code,
        title: `${lot.code} ${lotName(lot)}`,
        detail: [lot.place, amount(lot.pieces, lot.weightG, crop.piece, lot.guessed)].filter(Boolean).join(' · '),
        to: `/lots/${lot.code}`,
        words: [
          lot.code,
          crop.name,
          cropOf(lot.crop).name,
          ...cropOf(lot.crop).synonyms,
          heapLabel(cropOf(lot.crop), lot.heap),
          lot.variety,
          lot.bed,
          lot.place,
        ]
          .join(' ')
          .toLowerCase(),
      }
    }),
    ...places.map((place) => ({
      key: place.id,
      title: place.name,
      detail: 'place',
      to: `/stores?place=${place.id}`,
      words: place.name.toLowerCase(),
    })),
  ]
  const first = (one: { words: string }) => (one.words === wanted || one.words.startsWith(`${wanted} `) ? 0 : 1)
  return all
    .filter((one) => wanted.split(/\s+/).every((word) => one.words.includes(word)))
    .sort((a, b) => first(a) - first(b))
    .slice(0, most)
    .map(({ key, title, detail, to }) => ({ key, title, detail, to }))
}
