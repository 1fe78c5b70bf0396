import { daysAside } from './aside'
import type { Crop } from '../almanac'
import { grams, told } from '../message'
import { Refusal } from '../refusal'
import { keptKinds, type ActContext, type ActOutcome, type LotAct } from './act'
import { draft } from './event'
import { taken } from './taking'
import { keptShare } from '../assumptions'

/** What each is kept for, and so how many days it has. */
const keptFor = { peelings: 'cook', seed: 'dry' } as const

/** Crops whose seed is worth keeping when they are eaten. */
const seedy: readonly Crop['group'][] = ['squash', 'fruiting', 'legume', 'seed']
export const keepsOf = (crop: Pick<Crop, 'group'>): (typeof keptKinds)[number][] =>
  seedy.includes(crop.group) ? ['seed', 'peelings'] : ['peelings']

/** Used in the kitchen. Peelings and seed that are not thrown away are lots of their own, to be dealt with in days. */
export function used(act: Extract<LotAct, { act: 'use' }>, { crop, lot, habits }: ActContext): ActOutcome {
  const event = taken('used', act, lot.quantity)
  if (!act.kept?.length) return { events: [event] }
  if (new Set(act.kept.map(({ what }) => what)).size < act.kept.length) {
    throw new Refusal('invalid', told('lots.keptInOneHeap'), 'kept')
  }
  const usedG = 0 - event.weightG
  const kept = act.kept.map(({ what, weightG }) => ({
    what,
    weightG: weightG ?? Math.max(1, Math.round(usedG * keptShare[what])),
    guessed: weightG === undefined,
  }))
  const keptG = kept.reduce((sum, one) => sum + one.weightG, 0)
  if (keptG >= usedG) {
    throw new Refusal(
      'invalid',
      told('lots.nothingEaten', { kept: grams(keptG), used: grams(usedG) }),
      'kept/0/weightG',
    )
  }
  return {
    events: [
      ...kept.map(({ what, weightG }) => draft('split-out', { weightG: 0 - weightG, details: { why: what } })),
      draft('used', { weightG: keptG - usedG, pieces: event.pieces }),
    ],
    splitsOff: kept.map(({ what, weightG, guessed }) => ({
      heap: what,
      fate: 'eat-first',
      events: [
        draft('split-in', {
          weightG,
          placeId: lot.placeId,
          details: {
            stage: 'fresh',
            aside: { why: keptFor[what], days: daysAside(crop, keptFor[what], habits) },
            ...(guessed ? { guessed: 'weight' as const } : {}),
          },
        }),
      ],
    })),
  }
}
