import type { Client } from '../database'

/** Lots that were made of others or of bought things, and the crops of what went in. */
export const madeLots = async (db: Client, householdId: string) =>
  (
    await db.query<{ id: string; broughtOn: string }>(
      `select l.id, l.brought_on as "broughtOn" from lots l
       where l.household_id = $1 and exists
         (select from lot_events e where e.household_id = l.household_id and e.lot_id = l.id and e.kind = 'made')
       order by l.brought_on desc limit 400`,
      [householdId],
    )
  ).rows

export const cropsOfCodes = async (db: Client, householdId: string, codes: readonly string[]) =>
  new Map(
    (
      await db.query<{ code: string; crop: string }>(
        'select code, crop from lots where household_id = $1 and code = any ($2)',
        [householdId, codes],
      )
    ).rows.map(({ code, crop }) => [code, crop]),
  )

export interface PartRow {
  id: string
  code: string
  crop: string
  variety: string | null
  bed: string | null
  broughtOn: string
  name: string | null
  form: string
  splitFrom: string | null
}

export const lotsByCodes = async (db: Client, householdId: string, codes: readonly string[]) =>
  (
    await db.query<PartRow>(
      `select l.id, l.code, l.crop, l.variety, l.bed, l.brought_on as "broughtOn", n.name, n.form,
         l.split_from as "splitFrom"
       from lots l join lot_now n on n.household_id = l.household_id and n.lot_id = l.id
       where l.household_id = $1 and l.code = any ($2)`,
      [householdId, codes],
    )
  ).rows
