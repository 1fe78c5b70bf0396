import type { EventDetails, LotEvent } from './event'

/** What of a lot's quantity nobody has weighed or counted yet. */
export interface Guessed {
  weight: boolean
  pieces: boolean
}
export const nothingGuessed: Guessed = { weight: false, pieces: false }

/** What is worked out when a part is taken by count or by weight: the other of the two. */
export const guessedBy = (by: EventDetails['by'], counted: boolean): Pick<EventDetails, 'guessed'> =>
  by === 'pieces' ? { guessed: 'weight' } : by === 'weight' && counted ? { guessed: 'pieces' } : {}

/**
 * What is still a guess after an event.
 * @param of the lot it was split from, for its first event
 */
export function guessedAfter(was: Guessed, { kind, details }: LotEvent, of: Guessed = nothingGuessed): Guessed {
  const { guessed, scaleG, basis, counted } = details
  const added = { weight: guessed === 'weight', pieces: guessed === 'pieces' }
  switch (kind) {
    case 'brought-in':
    case 'added':
      return { weight: was.weight || added.weight, pieces: was.pieces || added.pieces }
    case 'split-in':
      // several go into a dish
      return { weight: was.weight || of.weight || added.weight, pieces: of.pieces || added.pieces }
    case 'weighed':
      return basis === 'bunch' || !scaleG ? was : { ...was, weight: false }
    case 'finished':
    case 'corrected':
    case 'cleaned':
    case 'jarred':
    case 'loaded':
    case 'frozen':
    case 'made':
      return {
        weight: scaleG === undefined ? was.weight : added.weight,
        pieces: counted === undefined ? was.pieces : added.pieces,
      }
    default:
      return was
  }
}
