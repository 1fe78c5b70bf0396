import { grams, term, told } from '../message'
import { Refusal } from '../refusal'
import type { ActContext, ActOutcome, LotAct } from './act'
import { draft } from './event'
import { taken } from './taking'
import { leastPackedShare, mostPackedShare } from '../assumptions'

/** All of a lot, or a part of it, prepared, bagged and frozen; a part becomes a lot of its own. */
export function frozen(act: Extract<LotAct, { act: 'freeze' }>, { crop, lot }: ActContext): ActOutcome {
  if (lot.frozen) throw new Refusal('invalid', told('lots.frozenAlready'))
  if (!crop.freezing) throw new Refusal('not-frozen', told('lots.notFrozen', { crop: term(crop.name) }), 'act')
  if (lot.stage === 'dryer' || lot.stage === 'conditioning') {
    throw new Refusal('invalid', told('lots.inDryerOrJar'))
  }
  const { quantity } = lot
  const { pieces: count, takenG } = act
  const all = count === undefined && takenG === undefined
  const out = all
    ? undefined
    : taken('split-out', count === undefined ? { weightG: takenG! } : { pieces: count }, quantity)
  const outG = out ? 0 - out.weightG : quantity.weightG
  const share = act.weightG / outG
  if (!act.sure && (share < leastPackedShare || share > mostPackedShare)) {
    throw new Refusal(
      'surprise',
      told('lots.strangeBagged', { bagged: grams(act.weightG), from: grams(outG), more: share > 1 ? 'yes' : 'no' }),
      'weightG',
    )
  }
  const bagged = (pieces: number) =>
    draft('frozen', {
      weightG: act.weightG - outG,
      pieces: (act.bags ?? 0) - pieces,
      placeId: act.placeId,
      details: { prepared: act.prepared, scaleG: act.weightG, counted: act.bags ?? 0, pack: act.pack ?? 'bag' },
    })
  if (!out || outG === quantity.weightG) return { events: [bagged(quantity.pieces ?? 0)] }
  const pieces = 0 - out.pieces
  return {
    events: [{ ...out, details: { ...out.details, why: 'to freeze' } }],
    splitsOff: [
      {
        heap: null,
        events: [
          draft('split-in', { weightG: outG, pieces, placeId: lot.placeId, details: { stage: 'fresh' } }),
          bagged(pieces),
        ],
      },
    ],
  }
}
