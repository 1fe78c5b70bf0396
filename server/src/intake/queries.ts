import type { IntakeMemory, MarkedBed } from '@vadose/contract/intake'
import type { Client } from '../database'

export interface HarvestDraft {
  crop: string
  variety: string | null
  bed: string | null
  harvestedOn: string
  totalG: number
  signShare: number | null
  bedMarked: boolean
}

export async function addHarvest(db: Client, householdId: string, h: HarvestDraft): Promise<string> {
  const { rows } = await db.query<{ id: string }>(
    `insert into harvests (household_id, crop, variety, bed, harvested_on, total_g, sign_share, bed_marked)
     values ($1, $2, $3, $4, $5, $6, $7, $8) returning id`,
    [
      householdId,
      h.crop,
      h.variety,
      h.bed,
      h.harvestedOn,
      h.totalG,
      h.signShare === null ? null : Math.fround(h.signShare),
      h.bedMarked,
    ],
  )
  return rows[0]!.id
}

/** The last variety and bed of each crop, and every variety it came in. */
export const lastHarvests = async (db: Client, householdId: string) =>
  (
    await db.query<IntakeMemory>(
      `select crop, variety, bed, varieties from (
         select distinct on (crop) crop, variety, bed from harvests where household_id = $1
         order by crop, harvested_on desc, recorded_at desc
       ) latest
       cross join lateral (
         select coalesce(json_agg(variety order by last desc), '[]') as varieties from (
           select variety, max(harvested_on) as last from harvests
           where household_id = $1 and crop = latest.crop and variety is not null group by variety
           order by last desc limit 8
         ) own
       ) named`,
      [householdId],
    )
  ).rows

/** The last lot of a crop's heap brought in between two days, if there is one that has not gone on its way. */
export const pickLotSince = async (
  db: Client,
  householdId: string,
  crop: string,
  heap: string,
  from: string,
  to: string,
) =>
  (
    await db.query<{ code: string }>(
      `select code from lot_rows where household_id = $1 and crop = $2 and heap = $3 and stage in ('fresh', 'stored')
         and form = 'fresh' and unit is null and name is null and brought_on between $4 and $5
       order by brought_on desc, code desc limit 1`,
      [householdId, crop, heap, from, to],
    )
  ).rows[0]?.code

/** Beds that bore a disease in the last years. */
export const markedBeds = async (db: Client, householdId: string, since: string) =>
  (
    await db.query<MarkedBed>(
      `select distinct on (bed, crop) bed, crop, brought_on as on from lot_rows
       where household_id = $1 and bed_marked and bed is not null and not never and brought_on >= $2
       order by bed, crop, brought_on desc`,
      [householdId, since],
    )
  ).rows
