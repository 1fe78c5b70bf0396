import type { Lesson } from '@vadose/core/checks'
import type { Client } from '../database'

/** Lots that are gone and were looked at, of which nothing is known to have been learnt since their last entry; oldest first. */
export const lotsUntaught = async (db: Client, householdId: string, atMost: number) =>
  (
    await db.query<{ lotId: string; entry: number }>(
      `select l.id as "lotId", e.last as entry
       from lot_now n
       join lots l on l.household_id = n.household_id and l.id = n.lot_id
       left join lot_lessons t on t.household_id = n.household_id and t.lot_id = n.lot_id
       cross join lateral (select max(id) as last from lot_events
                           where household_id = n.household_id and lot_id = n.lot_id) e
       where n.household_id = $1 and n.stage = 'gone' and (t.entry is null or t.entry < e.last)
         and exists (select from lot_events c
                     where c.household_id = n.household_id and c.lot_id = n.lot_id and c.kind = 'checked')
       order by l.brought_on, l.id limit $2`,
      [householdId, atMost],
    )
  ).rows

export const keepLesson = (
  db: Client,
  householdId: string,
  { lotId, entry }: { lotId: string; entry: number },
  lesson: Lesson | null,
) =>
  db.query(
    `insert into lot_lessons (household_id, lot_id, entry, place_id, log_mean, log_sd) values ($1, $2, $3, $4, $5, $6)
     on conflict (household_id, lot_id) do update set entry = excluded.entry, place_id = excluded.place_id,
       log_mean = excluded.log_mean, log_sd = excluded.log_sd`,
    [householdId, lotId, entry, lesson?.placeId ?? null, lesson?.logMean ?? null, lesson?.logSd ?? null],
  )

/** What lots that are gone have taught, oldest first. */
export const lessonsOf = async (db: Client, householdId: string) =>
  (
    await db.query<Lesson>(
      `select l.crop, l.variety, t.place_id as "placeId", extract(year from l.brought_on)::int as year,
         t.log_mean as "logMean", t.log_sd as "logSd"
       from lot_lessons t join lots l on l.household_id = t.household_id and l.id = t.lot_id
       join lot_now n on n.household_id = t.household_id and n.lot_id = t.lot_id
       where t.household_id = $1 and t.log_mean is not null and n.stage = 'gone' order by l.brought_on, l.id`,
      [householdId],
    )
  ).rows
