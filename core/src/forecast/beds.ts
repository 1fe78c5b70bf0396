import { choiceOf, type Crop } from '../almanac'
import { standVerdict, type Stand, type StandVerdict } from '../beds'
import { addDays, type CivilDate } from '../households'
import { listing, onDay, told, type Message } from '../message'
import type { Job } from '../round'
import type { House } from './house'
import type { LotState } from './lot'
import { weatherOf } from './weather-days'

/** far enough back to say how long it has been dry */
const weatherBackDays = 14
export const liftingTopic = 'When to lift'

/** When to lift what stands in a bed; undefined where its crop is not in the almanac (any more). */
export function bedVerdict(house: House, stand: Stand): StandVerdict | undefined {
  const crop = house.almanac.byId.get(stand.crop)
  if (!crop) return undefined
  const weather = weatherOf(house, weatherBackDays)
  return house.once(null, `bed ${stand.key}`, [stand, weather, house.today, house.almanac], () =>
    standVerdict(crop, choiceOf(house.almanac, crop, liftingTopic), stand, house.today, weather),
  )
}

const kinds = { look: 'look-bed', 'cut-scapes': 'cut-scapes', lift: 'lift' } as const

/** What is to be done at a bed next. */
export function bedJobs(house: House, stand: Stand): Job[] {
  if (stand.over) return []
  const verdict = bedVerdict(house, stand)
  const next = verdict?.next
  if (!verdict || !next) return []
  const says = next.what === 'cut-scapes' ? [next.why] : [next.why, ...verdict.says]
  const why = told('round.atBed', { parts: listing(says, ' ') })
  return [{ kind: kinds[next.what], dueOn: next.on, why }]
}

/** Months count from the other half of the year in the south. */
const monthHere = (month: number, latitudeDeg: number) => (latitudeDeg < 0 ? ((month + 5) % 12) + 1 : month)

/** The planting time that is on, or comes next, seen from a day; null where the crop says none. */
export function plantingTime(
  crop: Crop,
  from: CivilDate,
  latitudeDeg: number,
): { from: CivilDate; to: CivilDate } | null {
  const months = crop.growing?.months.value
  if (!months) return null
  const [first, last] = months.map((month) => monthHere(month, latitudeDeg)) as [number, number]
  const year = Number(from.slice(0, 4))
  const on = (y: number, month: number) => `${y}-${String(month).padStart(2, '0')}-01`
  for (const y of [year - 1, year, year + 1]) {
    const end =
      last < first ? on(last === 12 ? y + 2 : y + 1, (last % 12) + 1) : on(last === 12 ? y + 1 : y, (last % 12) + 1)
    const to = addDays(end, -1)
    if (to >= from) return { from: on(y, first), to }
  }
  return null
}

/** “October and November”, “March to May” */
function monthsFrom(from: CivilDate, to: CivilDate): Message {
  const n = (Number(to.slice(5, 7)) - Number(from.slice(5, 7)) + 12) % 12
  return told('round.months', { n, from: onDay(from, 'month'), to: onDay(to, 'month') })
}

/** What was kept back asks to be planted when its time has come, and goes on asking. */
export function plantingJobs(house: House, lot: LotState): Job[] {
  if (lot.fate !== 'plant' || lot.history.storedAtMs === null) return []
  const since = house.dateOf(lot.history.storedAtMs)
  const time = plantingTime(lot.grown, since, house.household.latitudeDeg)
  if (!time) return []
  const dueOn = time.from > since ? time.from : since
  return [
    {
      kind: 'plant',
      dueOn,
      why: told('round.planting', {
        over: house.today > time.to ? 'yes' : 'no',
        months: monthsFrom(time.from, time.to),
      }),
    },
  ]
}
