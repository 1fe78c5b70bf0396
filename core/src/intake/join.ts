import type { Form, Habits, HeapTemplate } from '../almanac'
import { daysBetween, type CivilDate } from '../households'

/** A lot that a heap could be put to. */
export interface EarlierLot {
  code: string
  crop: string
  heap: string
  bed: string | null
  broughtOn: CivilDate
  stage: string
  form: Form
  /** counted in nets and crates, not piece by piece */
  unit?: string | null
}

type Joining = Pick<Habits, 'joinHangingDays' | 'joinStoredDays'>

/** Whether what is brought in may be put to an earlier lot: still where such a heap goes, not dried, not gone. */
export const standsToJoin = (stage: string, hangs: boolean): boolean =>
  hangs ? stage === 'drying' : stage === 'fresh' || stage === 'stored'

/** Whether a lot on the line has hung too long to be joined: what comes later would hold it back. */
export const hungTooLong = (broughtOn: CivilDate, on: CivilDate, { joinHangingDays }: Joining): boolean =>
  daysBetween(broughtOn, on) > joinHangingDays

/** Codes of earlier lots of the same crop, heap and bed that are not so much older that they dry or age apart. */
export function joinsOf(
  heap: HeapTemplate,
  harvest: { crop: string; bed: string; on: CivilDate },
  known: readonly EarlierLot[],
  { joinHangingDays, joinStoredDays }: Joining,
): string[] {
  const bed = harvest.bed.trim().toLowerCase()
  return known
    .filter((lot) => {
      const age = daysBetween(lot.broughtOn, harvest.on)
      const recent = age >= 0 && age <= (heap.hangs ? joinHangingDays : joinStoredDays)
      const sameBed = !bed || !lot.bed || lot.bed.toLowerCase() === bed
      return (
        lot.crop === harvest.crop &&
        lot.heap === heap.id &&
        standsToJoin(lot.stage, heap.hangs) &&
        recent &&
        sameBed &&
        lot.form === 'fresh' &&
        !lot.unit
      )
    })
    .map((lot) => lot.code)
}
