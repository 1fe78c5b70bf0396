import type { Almanac } from '@vadose/core/almanac'
import type { Lesson } from '@vadose/core/checks'
import { House, lessonOf, type LotState, type PlaceFacts } from '@vadose/core/forecast'
import { dayMs } from '@vadose/core/households'
import { recordOf } from '@vadose/core/readings'
import { asHousehold, inTransaction, type Client, type Pool } from '../database'
import { nowOf, type HouseholdRow } from '../households'
import { lastOf, lotsOf, placesNow, type Measured } from './known'
import { monthOf, monthsOfHours } from './place-hours'
import { keepLesson, lotsUntaught } from './lesson-queries'
import { monthsSpanning } from './air-queries'
import { identitiesOf } from './queries'

/** lots worked out between two breaths of the database: their places are fitted anew each time */
const atOnce = 200

/** A house as it was for some lots that are gone: what is measured of the days they lay there. */
async function houseOf(
  db: Client,
  household: HouseholdRow,
  almanac: Almanac,
  places: readonly PlaceFacts[],
  lots: readonly LotState[],
): Promise<House> {
  const from = Math.min(...lots.map(({ history }) => history.broughtAtMs))
  const to = Math.max(...lots.map(({ history }) => history.lastAtMs))
  const months = await monthsSpanning(db, household.id, monthOf(from - dayMs), monthOf(to + dayMs))
  const measured = new Map(
    places.map(({ id }): [string, Measured] => {
      const own = monthsOfHours(months.filter(({ placeId }) => placeId === id))
      return [id, { record: recordOf(own), lastAtMs: lastOf(own), epoch: 0 }]
    }),
  )
  const nowMs = nowOf(household)
  return new House({
    household,
    places: await placesNow(household, places, measured, undefined, nowMs),
    lots,
    almanac,
    nowMs,
    rainMm: new Map(),
    stands: [],
    lessons: [],
  })
}

function taughtBy(house: House, lot: LotState): Lesson | null {
  try {
    return lessonOf(house, lot)
  } catch {
    // what cannot be worked out teaches nothing
    return null
  }
}

/**
 * Works out what lots taught that are gone by now and were looked at, beside the requests.
 * @returns how many were worked out
 */
export async function takeLessons(
  pool: Pool,
  household: HouseholdRow,
  almanac: Almanac,
  places: readonly PlaceFacts[],
): Promise<number> {
  const { id } = household
  let count = 0
  for (;;) {
    const found = await asHousehold(pool, id, async (db) => {
      const rows = await lotsUntaught(db, id, atOnce)
      if (rows.length === 0) return undefined
      const ids = rows.map(({ lotId }) => lotId)
      const lots = await lotsOf(db, id, await identitiesOf(db, id, ids), almanac)
      return { rows, lots, house: await houseOf(db, household, almanac, places, [...lots.values()]) }
    })
    if (!found) return count
    const { rows, lots, house } = found
    const taught: (Lesson | null)[] = []
    for (const { lotId } of rows) {
      const lot = lots.get(lotId)
      taught.push(lot ? taughtBy(house, lot) : null)
      await new Promise((resolve) => setImmediate(resolve))
    }
    await inTransaction(pool, id, async (db) => {
      for (const [i, row] of rows.entries()) await keepLesson(db, id, row, taught[i]!)
    })
    count += rows.length
  }
}
