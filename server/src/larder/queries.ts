import type { Client } from '../database'

/** What was used of each crop day by day, g, since a day. */
export const usesByDay = async (db: Client, householdId: string, timeZone: string, since: string) =>
  (
    await db.query<{ crop: string; date: string; amount: number }>(
      `select l.crop, (e.at at time zone $2)::date as date, -sum(e.weight_g) as amount
       from lot_events e join lots l on l.household_id = e.household_id and l.id = e.lot_id
       where e.household_id = $1 and e.kind = 'used' and e.weight_g < 0 and (e.at at time zone $2)::date >= $3::date
       group by 1, 2 order by 1, 2`,
      [householdId, timeZone, since],
    )
  ).rows
