import { openDays } from '../assumptions'
import type { Form } from '../almanac'
import { told } from '../message'
import { Refusal } from '../refusal'
import type { ActContext, ActOutcome, LotAct } from './act'
import { draft } from './event'
import { gramsOfPieces } from './quantity'

/** Names of what sugar, vinegar or salt keeps for weeks once it is open. Common practice, no source. */
const sweetOrSour =
  /\b(jam|jelly|marmalade|curd|chutney|relish|pickled?|pickles|vinegar|syrup|cordial|mustard|ketchup|honey|oil)\b/i

/** Days that something has once it is open. */
export const openFor = (form: Form, name: string | null): number =>
  name && (form === 'jarred' || form === 'fresh') && sweetOrSour.test(name) ? openDays.sweetOrSour : openDays[form]

/** One jar, bag or tin opened: a lot of its own, in the fridge, to be finished within days. */
export function opened({ placeId }: Extract<LotAct, { act: 'open' }>, { lot }: ActContext): ActOutcome {
  const { quantity, frozen, made, named, loads } = lot
  const form: Form = frozen ? 'frozen' : (made?.form ?? (loads.length > 0 ? 'dried' : 'fresh'))
  if (lot.stage !== 'stored' || quantity.pieces === null || (form === 'fresh' && !lot.unit)) {
    throw new Refusal('invalid', told('lots.nothingClosed'))
  }
  const weightG = gramsOfPieces(quantity, 1)
  const aside = { why: 'opened', days: openFor(form, named) } as const
  return {
    events: [draft('split-out', { weightG: 0 - weightG, pieces: -1, details: { by: 'pieces', aside } })],
    splitsOff: [
      {
        heap: null,
        fate: 'eat-first',
        events: [
          draft('split-in', {
            weightG,
            pieces: 1,
            placeId: placeId ?? lot.placeId,
            details: { stage: 'fresh', aside, guessed: 'weight' },
          }),
        ],
      },
    ],
  }
}
