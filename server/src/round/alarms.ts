import type { AlarmView } from '@vadose/contract/round'
import { alarmsOf, type Alarm, type House } from '@vadose/core/forecast'
import type { Client } from '../database'

export const mutedKeys = async (db: Client, householdId: string): Promise<Set<string>> =>
  new Set(
    (await db.query<{ key: string }>('select key from muted_alarms where household_id = $1', [householdId])).rows.map(
      ({ key }) => key,
    ),
  )

export async function setMuted(db: Client, householdId: string, key: string, at: Date | null): Promise<void> {
  if (at === null) {
    await db.query('delete from muted_alarms where household_id = $1 and key = $2', [householdId, key])
    return
  }
  await db.query(
    `insert into muted_alarms (household_id, key, muted_at) values ($1, $2, $3)
     on conflict (household_id, key) do nothing`,
    [householdId, key, at],
  )
}

const alarmView = ({ place, ...alarm }: Alarm): AlarmView => ({
  ...alarm,
  placeId: place?.id ?? null,
  place: place?.name ?? null,
})

/** What rings, and what somebody muted that would ring otherwise. */
export function alarmsView(house: House, muted: ReadonlySet<string>): { ringing: AlarmView[]; muted: AlarmView[] } {
  const all = house.shown('alarms', [], () => alarmsOf(house).map(alarmView))
  return { ringing: all.filter(({ key }) => !muted.has(key)), muted: all.filter(({ key }) => muted.has(key)) }
}
