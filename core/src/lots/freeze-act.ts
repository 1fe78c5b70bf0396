import { Refusal } from '../refusal'
import type { ActContext, ActOutcome, LotAct } from './act'
import { draft } from './event'
import { taken } from './taking'

/** Peel, cores, stones and cooking seldom take more than this leaves. Judgement. */
const leastPackedShare = 0.25
/** Blanching adds a little water. Judgement. */
const mostPackedShare = 1.15

/** All of a lot, or a part of it, prepared, bagged and frozen; a part becomes a lot of its own. */
export function frozen(act: Extract<LotAct, { act: 'freeze' }>, { crop, lot }: ActContext): ActOutcome {
  if (lot.frozen) throw new Refusal('invalid', 'It is frozen already.')
  if (!crop.freezing) throw new Refusal('not-frozen', `${crop.name} is not frozen.`, 'act')
  if (lot.stage === 'dryer' || lot.stage === 'conditioning') {
    throw new Refusal('invalid', 'It is in the dryer or its jar; take it out first.')
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
      `${act.weightG} g in bags from ${outG} g: ${share > 1 ? 'more than was taken' : 'the rest counts as trimmings'}. Look at the scale once more, or keep it anyway.`,
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
