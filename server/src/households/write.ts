import type { MoveClock, NewHousehold, Settings } from '@vadose/contract/households'
import { dayMs, householdAddress, instantOf, isTimeZone, morningAfter } from '@vadose/core/households'
import { notDescribed, type Described, type PlaceKind } from '@vadose/core/places'
import { told } from '@vadose/core/message'
import { Refusal } from '@vadose/core/refusal'
import type { Client, Pool } from '../database'
import { addPlace, setPlace } from '../places'
import { senseUntil } from '../practice'
import { addSensor } from '../readings'
import {
  addHousehold,
  allHouseholds,
  removeHousehold,
  setAuthority,
  setLanguage,
  setName,
  setPracticeNow,
  setUnits,
  type HouseholdDraft,
  type HouseholdRow,
} from './queries'
import type { RequestNumber } from './request-number'
import { startOnce, type Started } from './start-once'
import { retell } from '@vadose/words'

/** What nearly every house has; the household adds its own. */
const starterPlaces: [string, PlaceKind][] = [
  ['Garden', 'outdoors'],
  ['Veranda', 'veranda'],
  ['Kitchen', 'room'],
  ['North room', 'cool-room'],
  ['Cellar', 'cellar'],
]
/** a practice household begins with the weather of so many days, days */
const sensedDays = 14

/**
 * Starts a household under an address of its own.
 * @param number the request's, which is the household's id too: sent again, it is the same household
 * @throws Refusal on a time zone or a clock that cannot be
 */
export async function startHousehold(pool: Pool, wanted: NewHousehold, number?: RequestNumber): Promise<Started> {
  const timeZone = wanted.timeZone ?? 'UTC'
  if (!isTimeZone(timeZone)) throw new Refusal('invalid', told('households.noTimeZone', { timeZone }), 'timeZone')
  if ((wanted.clock === 'practice') !== (wanted.startsOn !== undefined)) {
    throw new Refusal('invalid', told('households.clockWantsDay'), 'startsOn')
  }
  const latitudeDeg = wanted.latitudeDeg ?? 47
  const name = wanted.name.trim()
  return startOnce(pool, number, async (db, id) => {
    const household: HouseholdDraft = {
      id,
      address: householdAddress(name, new Set((await allHouseholds(db)).map((h) => h.address))),
      name,
      timeZone,
      latitudeDeg,
      altitudeM: wanted.altitudeM ?? 200,
      // the year begins when the garden does
      seasonStart: latitudeDeg >= 0 ? '05-01' : '11-01',
      demo: false,
      practiceNow: wanted.startsOn ? new Date(instantOf(wanted.startsOn, 8, timeZone)) : null,
    }
    await addHousehold(db, household)
    await writeSettings(db, id, { units: wanted.units, language: wanted.language })
    const { language = 'en-GB' } = wanted
    await furnish(
      db,
      household,
      starterPlaces.map(([place, kind]) => [retell(place, language), kind]),
    )
    if (household.practiceNow) {
      const now = household.practiceNow.getTime()
      await senseUntil(db, household, now - sensedDays * dayMs, now)
    }
    return { id, name, address: household.address, practising: household.practiceNow !== null }
  })
}

/**
 * Adds places, or shelves within one named before; where the household practises, each place has its simulated sensor.
 * @returns ids by name
 */
export async function furnish(
  db: Client,
  household: Pick<HouseholdDraft, 'id' | 'practiceNow'>,
  places: readonly (readonly [name: string, kind: PlaceKind, within?: string | null, like?: Partial<Described>])[],
): Promise<Map<string, string>> {
  const made = new Map<string, string>()
  const simulated = household.practiceNow !== null
  for (const [name, kind, whole, like] of places) {
    const within = whole ? made.get(whole)! : null
    // a shelf has the air of where it is
    const sensed = simulated && within === null
    const placeId = await addPlace(db, household.id, { name, kind, simulated: sensed, within })
    if (sensed) await addSensor(db, household.id, { name, placeId, tokenHash: null })
    if (like) await setPlace(db, household.id, placeId, { name, kind, ...notDescribed, ...like })
    made.set(name, placeId)
  }
  return made
}

export async function writeSettings(db: Client, id: string, settings: Settings): Promise<void> {
  if (settings.name !== undefined) await setName(db, id, settings.name.trim())
  if (settings.units) await setUnits(db, id, settings.units)
  if (settings.language) await setLanguage(db, id, settings.language)
  if (settings.authorityUrl === undefined && settings.authorityName === undefined) return
  const url = settings.authorityUrl?.trim() ?? ''
  if (url !== '' && !/^https?:\/\/[^\s/]+\.[^\s]+$/.test(url)) {
    throw new Refusal('invalid', told('households.addressNotHttps'), 'authorityUrl')
  }
  await setAuthority(db, id, settings.authorityName?.trim() || null, url || null)
}

/** Removes a household for good. @throws Refusal where the name typed is another */
export async function dropHousehold(db: Client, household: HouseholdRow, typed: string): Promise<void> {
  if (typed.trim() !== household.name) {
    throw new Refusal('invalid', told('households.typeItsName', { household: household.name }), 'name')
  }
  await removeHousehold(db, household.id)
}

/** Moves a practice clock on, its sensors and weather with it. @throws Refusal for a household on the real clock */
export async function moveClock(db: Client, household: HouseholdRow, to: MoveClock['to']): Promise<void> {
  if (!household.practiceNow) {
    throw new Refusal('invalid', told('households.realClock'))
  }
  const nowMs = household.practiceNow.getTime()
  const next = morningAfter(nowMs, to === 'next-week' ? 7 : 1, household.timeZone)
  await senseUntil(db, household, nowMs + 1, next)
  await setPracticeNow(db, household.id, new Date(next))
}
