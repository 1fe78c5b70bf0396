import { term, told } from '../message'
import { Refusal } from '../refusal'
import { requireStage, type ActContext, type ActOutcome, type LotAct, type Taking } from './act'
import { draft, type EventDetails, type EventDraft } from './event'
import { guessedBy } from './guessed'
import type { LotHistory } from './history-type'
import type { Quantity } from './quantity'
import { taken } from './taking'

/** All of a lot, or a part of it, carried elsewhere. */
export function moved(act: Extract<LotAct, { act: 'move' }>, context: ActContext): ActOutcome {
  const { lot, airflowOf } = context
  const { placeId } = act
  const part = partOf(act, lot.quantity)
  if (!part && placeId === lot.placeId) throw new Refusal('invalid', told('lots.thereAlready'), 'placeId')
  const airflow = { airflow: airflowOf(placeId) }
  if (!part) return { events: [draft('moved', { placeId, details: airflow })] }
  return splitOff(part, lot, { placeId, why: placeId === lot.placeId ? 'kept apart' : 'moved', airflow })
}

/** The part of a lot an act is about; undefined for all of it. */
function partOf({ pieces, weightG }: Taking, quantity: Quantity): EventDraft | undefined {
  if (pieces === undefined && weightG === undefined) return undefined
  const out = taken('split-out', { ...(pieces ? { pieces } : { weightG: weightG! }) }, quantity)
  return 0 - out.weightG === quantity.weightG ? undefined : out
}

/** A part becomes a lot of its own that goes on as it was. */
function splitOff(
  out: EventDraft,
  lot: LotHistory,
  { placeId, why, airflow }: { placeId: string | null; why: string; airflow: EventDetails },
): ActOutcome {
  const { stage, pack } = lot
  if (stage === 'dryer' || stage === 'conditioning') {
    throw new Refusal('invalid', told('lots.staysTogether'))
  }
  return {
    events: [{ ...out, details: { ...out.details, why } }],
    splitsOff: [
      {
        heap: null,
        events: [
          draft('split-in', {
            weightG: 0 - out.weightG,
            pieces: 0 - out.pieces,
            placeId,
            details: {
              ...(stage === 'fresh' || stage === 'drying' ? { stage } : {}),
              ...(pack ? { pack } : {}),
              ...guessedBy(out.details.by, lot.quantity.pieces !== null),
              ...airflow,
            },
          }),
        ],
      },
    ],
  }
}

/** What was taken down too early goes on with its clock. */
export function hungAgain(act: Extract<LotAct, { act: 'hang' }>, { crop, lot, airflowOf }: ActContext): EventDraft {
  requireStage(lot, 'stored', told('lots.notTakenDown'))
  if (!crop.curing || lot.hungAtMs === null) {
    throw new Refusal('not-cured', told('lots.neverHung', { crop: term(crop.name) }))
  }
  const hungIn = act.hungIn ?? lot.hungIn
  return draft('hung', {
    placeId: act.placeId,
    details: { airflow: airflowOf(act.placeId), ...(hungIn ? { hungIn } : {}), why: 'hung again' },
  })
}
