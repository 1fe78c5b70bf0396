import { dayMs } from '../households'
import { conditioningVerdict, dehydratingOf } from '../line'
import { grams, told, degrees, degreesBetween } from '../message'
import { Refusal } from '../refusal'
import { requireStage, type ActContext, type ActOutcome, type LotAct } from './act'
import { draft, type EventDraft } from './event'
import type { LotHistory } from './history-type'
import { piecesOfGrams } from './quantity'
import { leastPreparedShare, surpriseShare } from '../assumptions'

/** The whole lot or a part of it goes on the trays, peeled and cut; a part becomes a lot of its own. */
export function loaded(act: Extract<LotAct, { act: 'load' }>, { crop, lot }: ActContext): ActOutcome {
  const { airC } = dehydratingOf(crop)
  if (lot.stage === 'dryer') throw new Refusal('invalid', told('lots.inDryerAlready'))
  const { weightG: there, pieces } = lot.quantity
  const taken = act.takenG ?? there
  if (taken > there) throw new Refusal('not-enough', told('lots.onlyThere', { there: grams(there) }), 'takenG')
  if (act.weightG > taken) {
    throw new Refusal(
      'invalid',
      told('lots.moreOnTrays', { weight: grams(act.weightG), taken: grams(taken) }),
      'weightG',
    )
  }
  if (!act.sure && act.weightG < taken * leastPreparedShare) {
    throw new Refusal(
      'surprise',
      told('lots.restIsTrimmings', { weight: grams(act.weightG), taken: grams(taken) }),
      'weightG',
    )
  }
  const [lo, hi] = airC.value
  if (!act.sure && (act.airC < lo - 8 || act.airC > hi + 8)) {
    throw new Refusal(
      'surprise',
      told('lots.strangeDryerAir', { air: degrees(act.airC), usual: lo === hi ? degrees(lo) : degreesBetween(lo, hi) }),
      'airC',
    )
  }
  const load = (from: number, counted: number) =>
    draft('loaded', {
      weightG: act.weightG - from,
      pieces: counted ? -counted : 0,
      placeId: act.placeId,
      details: { trays: act.trays, airC: act.airC, scaleG: act.weightG },
    })
  if (taken === there) return { events: [load(there, pieces ?? 0)] }
  const part = taken === 0 ? 0 : piecesOfGrams(lot.quantity, taken)
  return {
    events: [draft('split-out', { weightG: -taken, pieces: part ? -part : 0, details: { why: 'to the dryer' } })],
    splitsOff: [
      {
        heap: null,
        events: [
          draft('split-in', { weightG: taken, pieces: part, placeId: act.placeId, details: { stage: 'fresh' } }),
          load(taken, part),
        ],
      },
    ],
  }
}

export function jarred(act: Extract<LotAct, { act: 'jar' }>, lot: LotHistory): EventDraft {
  requireStage(lot, 'dryer', told('lots.notInDryer'))
  const { weightG } = lot.quantity
  if (!act.sure && act.weightG > weightG * surpriseShare) {
    throw new Refusal(
      'surprise',
      told('lots.moreThanWentIn', { weight: grams(act.weightG), weight2: grams(weightG) }),
      'weightG',
    )
  }
  return draft('jarred', { weightG: act.weightG - weightG, details: { scaleG: act.weightG } })
}

/** A look at the conditioning jar, and what follows from it. */
export function shaken(act: Extract<LotAct, { act: 'shake' }>, { lot, crop, nowMs }: ActContext): EventDraft[] {
  requireStage(lot, 'conditioning', told('lots.notInJar'))
  const { beads, mould, jarHumidityPct } = act
  const seen = { beads, mould, ...(jarHumidityPct === undefined ? {} : { jarHumidityPct }) }
  const { verdict } = conditioningVerdict({ day: jarDay(lot, nowMs), ...seen })
  const events = [draft('shaken', { details: seen })]
  const { weightG, pieces } = lot.quantity
  if (verdict === 'throw-out') {
    events.push(
      draft('lost', {
        weightG: -weightG,
        pieces: pieces ? -pieces : 0,
        details: { cause: 'Mould in the jar', by: 'all' },
      }),
    )
  } else if (verdict === 'back-to-dryer') {
    const last = lot.loads.at(-1)
    const details = { trays: last?.trays ?? 1, airC: last?.airC ?? dehydratingOf(crop).airC.value[0], scaleG: weightG }
    events.push(draft('loaded', { placeId: lot.placeId, details: { ...details, why: 'back from the jar' } }))
  } else if (verdict === 'done') {
    events.push(draft('finished', { placeId: lot.placeId, details: { pack: 'jar' } }))
  }
  return events
}

/** Day of conditioning, from 1. */
export const jarDay = (lot: Pick<LotHistory, 'jar'>, nowMs: number): number =>
  lot.jar ? Math.floor((nowMs - lot.jar.atMs) / dayMs + 0.5) + 1 : 1
