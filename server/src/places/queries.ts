import type { PlaceFacts } from '@vadose/core/forecast'
import type { Described, PlaceKind } from '@vadose/core/places'
import type { Client } from '../database'

const like = `p.dark, p.heated, p.frost_safe as "frostSafe", p.mice, p.storey, p.litres, p.holds_kg as "holdsKg"`

export interface PlaceRow extends PlaceFacts {
  simulated: boolean
}

/** Every place there ever was, in walking order, the parts of one after it. */
export const placesOf = async (db: Client, householdId: string) =>
  (
    await db.query<PlaceRow>(
      `select p.id, p.name, p.kind, p.walk, p.simulated, p.within, p.retired_on as "retiredOn", ${like}
       from places p left join places whole on whole.household_id = p.household_id and whole.id = p.within
       where p.household_id = $1 order by coalesce(whole.walk, p.walk), p.within is not null, p.walk, p.name`,
      [householdId],
    )
  ).rows

/** The places something can be put in. */
export const placesInUse = async (db: Client, householdId: string) =>
  (await placesOf(db, householdId)).filter((place) => place.retiredOn === null)

export const setPlace = async (
  db: Client,
  householdId: string,
  id: string,
  { name, kind, ...said }: Pick<PlaceRow, 'name' | 'kind' | keyof Described>,
) =>
  db.query(
    `update places set name = $3, kind = $4, dark = $5, heated = $6, frost_safe = $7, mice = $8, storey = $9,
       litres = $10, holds_kg = $11
     where household_id = $1 and id = $2`,
    [
      householdId,
      id,
      name,
      kind,
      said.dark,
      said.heated,
      said.frostSafe,
      said.mice,
      said.storey,
      said.litres,
      said.holdsKg,
    ],
  )

export const setRetired = (db: Client, householdId: string, id: string, on: string | null) =>
  db.query(`update places set retired_on = $3 where household_id = $1 and id = $2`, [householdId, id, on])

/** Codes of the lots that lie or hang in a place. */
export const codesIn = async (db: Client, householdId: string, id: string) =>
  (
    await db.query<{ code: string }>(
      `select code from lot_rows where household_id = $1 and place_id = $2 and stage <> 'gone' order by code`,
      [householdId, id],
    )
  ).rows.map(({ code }) => code)

/** The new place's id. */
export const addPlace = async (
  db: Client,
  householdId: string,
  { name, kind, simulated, within }: { name: string; kind: PlaceKind; simulated: boolean; within: string | null },
) =>
  (
    await db.query<{ id: string }>(
      `insert into places (household_id, name, kind, simulated, within, walk)
       select $1, $2, $3, $4, $5, coalesce(max(walk), 0) + 1 from places where household_id = $1
       returning id`,
      [householdId, name, kind, simulated, within],
    )
  ).rows[0]!.id

/** Places in the order they are named; what is not named comes after, as it was. */
export const setWalk = (db: Client, householdId: string, ids: readonly string[]) =>
  db.query(
    `update places p set walk = o.walk
     from (select id, row_number() over (order by array_position($2::uuid[], id) nulls last, walk, name) as walk
           from places where household_id = $1) o
     where p.household_id = $1 and p.id = o.id and p.walk <> o.walk`,
    [householdId, ids],
  )
