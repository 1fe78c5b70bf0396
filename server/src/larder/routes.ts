import type { LarderLot, LarderView } from '@vadose/contract/larder'
import { addDays, daysBetween } from '@vadose/core/households'
import { meanSoundShare } from '@vadose/core/stores'
import { eatFirst, runOut, useWithinShare, type Eatable } from '@vadose/core/larder'
import { Router } from 'express'
import { asHousehold, type Pool } from '../database'
import { currentState, type HouseholdState, type LotState } from '../households'
import { keepsUntil, lotRow } from '../lots'
import { usesByDay } from './queries'

const fortnight = 14

/** Lots to eat from, soonest lost first; planting stock is not food. */
export function larderLots(state: HouseholdState): LarderLot[] {
  const eatable = state.lots
    .filter((lot) => !['drying', 'dryer', 'conditioning'].includes(lot.stage) && lot.fate !== 'plant')
    .map((lot) => ({ ...soundness(state, lot), lot }))
  return eatFirst(eatable).map(({ lot, lossAvoidedPerKg, keepsUntil: until, beyond, why }) => ({
    ...lotRow(lot),
    weightAtFirstG: lot.history.weightAtFirstG,
    piecesAtFirst: lot.history.piecesAtFirst,
    lossAvoidedPerKg,
    keepsUntil: until,
    beyond,
    why,
  }))
}

function soundness(
  state: HouseholdState,
  lot: LotState,
): Eatable & { keepsUntil: string; beyond: boolean; why: string } {
  const { code, weightG } = lot
  const heap = lot.cropData.heaps.find((h) => h.id === lot.heap)
  if (lot.stage === 'fresh' && heap?.useWithinDays) {
    const days = heap.useWithinDays.value
    const age = daysBetween(lot.broughtOn, state.today)
    const left = days - age
    return {
      code,
      weightG,
      soundNow: useWithinShare(age, days),
      soundInFortnight: useWithinShare(age + fortnight, days),
      keepsUntil: addDays(lot.broughtOn, days),
      beyond: false,
      why:
        left > 0
          ? `${heap.label.toLowerCase()}: ${left} ${left === 1 ? 'day' : 'days'} left`
          : `${heap.label.toLowerCase()}: overdue`,
    }
  }
  const keeping = state.keeping(lot)
  const { nineInTenUntil, beyond, endedBy } = keepsUntil(state, lot)
  const share = (day: number) => meanSoundShare(keeping.model, keeping.belief.weights, day)
  return {
    code,
    weightG,
    soundNow: share(keeping.nowDay),
    soundInFortnight: share(keeping.nowDay + fortnight),
    keepsUntil: nineInTenUntil.p50,
    beyond,
    why: `${endedBy} ends it first`,
  }
}

export function larderRoutes(pool: Pool): Router {
  const router = Router()

  router.get('/larder', async (request, response) => {
    const state = await currentState(pool, request)
    const { household, today } = state
    const lots = larderLots(state)
    const uses = await asHousehold(pool, household.id, (db) =>
      usesByDay(db, household.id, household.timeZone, addDays(today, -120)),
    )
    const cropIds = [...new Set(lots.map((lot) => lot.crop))]
    const of = (crop: string) => lots.filter((lot) => lot.crop === crop)
    const weightOf = (crop: string) => of(crop).reduce((sum, lot) => sum + lot.weightG, 0)
    response.json({
      lots,
      totals: cropIds.map((crop) => ({
        crop,
        weightG: weightOf(crop),
        pieces: of(crop).reduce((sum, lot) => sum + (lot.pieces ?? 0), 0),
      })),
      runOut: cropIds.map((crop) => {
        const own = uses.filter((use) => use.crop === crop)
        const pace = own.length > 0 ? runOut(weightOf(crop), own, today) : null
        return {
          crop,
          perWeekG: pace?.perWeek ?? null,
          runsOutOn: pace?.runsOutOn ?? null,
          keepsUntil:
            of(crop)
              .map((lot) => lot.keepsUntil)
              .sort()
              .at(-1) ?? null,
        }
      }),
      weightG: lots.reduce((sum, lot) => sum + lot.weightG, 0),
    } satisfies LarderView)
  })

  return router
}
