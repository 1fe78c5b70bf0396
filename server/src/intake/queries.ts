import type { IntakeMemory } from '@vadose/contract/intake'
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
    [householdId, h.crop, h.variety, h.bed, h.harvestedOn, h.totalG, h.signShare, h.bedMarked],
  )
  return rows[0]!.id
}

/** The last variety and bed of each crop. */
export const lastHarvests = async (db: Client, householdId: string) =>
  (
    await db.query<IntakeMemory>(
      `select distinct on (crop) crop, variety, bed from harvests where household_id = $1
       order by crop, harvested_on desc, recorded_at desc`,
      [householdId],
    )
  ).rows
