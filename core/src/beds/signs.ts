import type { Crop, ReadinessSchool } from '../almanac'
import { addDays, daysBetween, type CivilDate } from '../households'
import { onDay, term, told, type Message, type Part } from '../message'
import type { BedEntry, Stand } from './entry'
import { signSays } from './says'
import { bedReadyDays, bentDays, freshSignDays, tryAgainDays, yearsDiffer } from '../assumptions'

/** One sign, and when it says to lift. */
export interface SignSays {
  by: 'tried' | 'sign' | 'scapes' | 'tops-bent' | 'planted' | 'last-year'
  on: CivilDate
  from: CivilDate
  to: CivilDate
  /** what was seen, in a few words */
  seen: Part
}

export interface StandVerdict {
  state: 'wait' | 'lift' | 'late' | 'unknown'
  /** when to lift; null where nothing says */
  window: { from: CivilDate; to: CivilDate } | null
  /** the day the weather leaves for it, where it is time */
  day: CivilDate | null
  /** every sign, the one that is gone by first */
  signs: SignSays[]
  /** the verdict and what goes before it, in sentences */
  says: Message[]
  /** what is to be done next at the bed, and when */
  next: { what: 'look' | 'cut-scapes' | 'lift'; on: CivilDate; why: Message } | null
}

/** The school a household lifts by, or the almanac's usual one. */
export function liftingSchool(crop: Crop, choice: string | undefined): ReadinessSchool | undefined {
  const { schools = [], usual } = crop.readiness ?? {}
  return schools.find((s) => s.id === (choice ?? usual)) ?? schools[0]
}

export const newest = (entries: readonly BedEntry[], ...what: BedEntry['what'][]) =>
  entries.findLast((entry) => what.includes(entry.what))

/** How fast the sign goes on, share a week: the almanac's, and more and more the bed's own the longer it was watched. */
export function signPace(crop: Crop, entries: readonly BedEntry[]): number {
  const usual = crop.readiness!.sharePerWeek.value
  const looks = entries.filter((entry) => entry.what === 'sign' && entry.value !== null)
  const [first, last] = [looks[0], looks.at(-1)]
  if (!first || !last) return usual
  const days = daysBetween(first.on, last.on)
  const seen = last.value! - first.value!
  // what stood at its first or last stage all the while says nothing of the pace
  if (days < 3 || seen <= 0) return usual
  const weight = days / (days + 7)
  return Math.min(4 * usual, Math.max(usual / 4, weight * ((seen / days) * 7) + (1 - weight) * usual))
}

/** When each sign says to lift, the one that says most first. */
export function signsOf(crop: Crop, school: ReadinessSchool | undefined, stand: Stand): SignSays[] {
  const { entries } = stand
  const found: SignSays[] = []
  const tried = newest(entries, 'tried')
  const outcome = tried && tried.value !== null ? crop.readiness?.tryOne?.outcomes[tried.value] : undefined
  if (tried && outcome) {
    const { on } = tried
    const [from, to] =
      outcome.says === 'early'
        ? [addDays(on, tryAgainDays), addDays(on, 3 * tryAgainDays)]
        : outcome.says === 'ready'
          ? [on, addDays(on, bedReadyDays)]
          : [on, on]
    found.push({ by: 'tried', on, from, to, seen: term(outcome.label) })
  }
  const sign = newest(entries, 'sign')
  if (sign && sign.value !== null && school && crop.readiness) {
    const share = sign.value
    const { on } = sign
    const pace = signPace(crop, entries)
    const reach = (s: number) => addDays(on, Math.round(((s - share) / pace) * 7))
    found.push({
      by: 'sign',
      on,
      from: reach(school.from.value),
      to: reach(school.to.value),
      seen: signSays(crop, share),
    })
  }
  const days = crop.readiness?.scapeDays?.value
  const cut = newest(entries, 'scapes-cut')
  if (days && cut) {
    found.push({
      by: 'scapes',
      on: cut.on,
      from: addDays(cut.on, days[0]),
      to: addDays(cut.on, days[1]),
      seen: told('beds.scapesCutOn', { on: onDay(cut.on) }),
    })
  }
  const bent = newest(entries, 'tops-bent')
  if (bent) {
    found.push({
      by: 'tops-bent',
      on: bent.on,
      from: addDays(bent.on, bentDays[0]),
      to: addDays(bent.on, bentDays[1]),
      seen: told('beds.topsBentOn', { on: onDay(bent.on) }),
    })
  }
  const grows = crop.growing?.days.value
  if (stand.plantedOn && grows) {
    found.push({
      by: 'planted',
      on: stand.plantedOn,
      from: addDays(stand.plantedOn, grows[0]),
      to: addDays(stand.plantedOn, grows[1]),
      seen: told('beds.plantedOn', { on: onDay(stand.plantedOn) }),
    })
  }
  const { lastYear } = stand
  // what is picked all summer has no day
  if (lastYear && crop.curing) {
    found.push({
      by: 'last-year',
      on: lastYear,
      from: addDays(lastYear, -yearsDiffer),
      to: addDays(lastYear, yearsDiffer),
      seen: told('beds.lastYear'),
    })
  }
  return found
}

/** What says when to lift; the others only when it is worth a look. */
export const telling = (crop: Crop, sign: SignSays) => !crop.readiness || !['planted', 'last-year'].includes(sign.by)

/** What is gone by first: one tried, the sign, the scapes; an old look only where none is fresh. */
export function ranked(signs: readonly SignSays[], today: CivilDate): SignSays[] {
  const looked = (sign: SignSays) => sign.by === 'tried' || sign.by === 'sign'
  const old = (sign: SignSays) => looked(sign) && daysBetween(sign.on, today) > freshSignDays
  const someFresh = signs.some((sign) => looked(sign) && !old(sign))
  return signs.filter((sign) => !(someFresh && old(sign)))
}

/** What was seen too early to lift says when to look again, not that it is ready: things go faster and slower. */
export const foreseen = ({ by, on, from }: SignSays) => (by === 'sign' || by === 'tried') && on < from
