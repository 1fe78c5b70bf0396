import type { Client } from '../database'

/** The lot's one picture; a new one takes the place of the old. */
export const keepPhoto = (db: Client, householdId: string, lotId: string, jpeg: Buffer) =>
  db.query(
    `insert into lot_photos (household_id, lot_id, jpeg) values ($1, $2, $3)
     on conflict (household_id, lot_id) do update set jpeg = excluded.jpeg, taken_at = now()`,
    [householdId, lotId, jpeg],
  )

export const photoOf = async (db: Client, householdId: string, code: string): Promise<Buffer | undefined> =>
  (
    await db.query<{ jpeg: Buffer }>(
      `select p.jpeg from lot_photos p join lots l on l.household_id = p.household_id and l.id = p.lot_id
       where l.household_id = $1 and l.code = $2`,
      [householdId, code],
    )
  ).rows[0]?.jpeg
