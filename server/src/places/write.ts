import type { NewPlace } from '@vadose/contract/places'
import { dayMs } from '@vadose/core/households'
import { notDescribed, type Described, type PlaceKind } from '@vadose/core/places'
import { told } from '@vadose/core/message'
import { Refusal } from '@vadose/core/refusal'
import type { Client } from '../database'
import type { HouseholdRow } from '../households'
import { senseUntil } from '../practice'
import { addSensor } from '../readings'
import { addPlace, codesIn, placesOf, setPlace, setRetired, type PlaceRow } from './queries'

/** a place of a practice household has been sensed for so long when it is added, days */
const sensedDays = 14

/** @throws Refusal `not-found` */
export async function placeNamed(db: Client, householdId: string, id: string): Promise<PlaceRow> {
  const place = (await placesOf(db, householdId)).find((one) => one.id === id)
  if (!place) throw new Refusal('not-found', told('places.noSuchPlace'))
  return place
}

type Saying = { [Name in keyof Described]?: Described[Name] | undefined }
/** What was said of a place with what is said now; what is not mentioned stays. */
const describe = (was: Described, now: Saying): Described => ({
  dark: now.dark === undefined ? was.dark : now.dark,
  heated: now.heated === undefined ? was.heated : now.heated,
  frostSafe: now.frostSafe === undefined ? was.frostSafe : now.frostSafe,
  mice: now.mice === undefined ? was.mice : now.mice,
  storey: now.storey === undefined ? was.storey : now.storey,
  litres: now.litres === undefined ? was.litres : now.litres,
  holdsKg: now.holdsKg === undefined ? was.holdsKg : now.holdsKg,
})

/** “Cellar, top shelf”: a part is called by its whole. */
const partName = (whole: string, part: string) => {
  const name = `${whole}, ${part}`
  if (name.length > 40) throw new Refusal('invalid', told('places.nameTooLong', { name }), 'name')
  return name
}

async function requireFree(db: Client, householdId: string, name: string, butId?: string): Promise<void> {
  const taken = (await placesOf(db, householdId)).find(
    (place) => place.id !== butId && place.name.toLowerCase() === name.toLowerCase(),
  )
  if (taken) {
    throw new Refusal(
      'taken',
      told('places.taken', { name: taken.name, retired: taken.retiredOn ? 'yes' : 'no' }),
      'name',
    )
  }
}

/**
 * Adds a place, or a part of one, whose air it has; where the household practises, with a simulated sensor.
 * @returns its id
 */
export async function writePlace(db: Client, household: HouseholdRow, place: NewPlace): Promise<string> {
  const { practiceNow } = household
  const whole = place.within === undefined ? null : await placeNamed(db, household.id, place.within)
  if (whole?.within) throw new Refusal('invalid', told('places.partAlready', { whole: whole.name }), 'within')
  if (whole?.retiredOn) throw new Refusal('invalid', told('places.outOfUse', { place: whole.name }), 'within')
  const name = whole ? partName(whole.name, place.name.trim()) : place.name.trim()
  await requireFree(db, household.id, name)
  const id = await addPlace(db, household.id, {
    name,
    kind: whole?.kind ?? place.kind,
    simulated: practiceNow !== null && !whole,
    within: whole?.id ?? null,
  })
  // a shelf is as its room is, but for what there is room for on it
  const said = describe(whole ? { ...whole, litres: null, holdsKg: null } : notDescribed, place)
  if (Object.values(said).some((value) => value !== null)) {
    await setPlace(db, household.id, id, { name, kind: whole?.kind ?? place.kind, ...said })
  }
  if (!practiceNow || whole) return id
  await addSensor(db, household.id, { name, placeId: id, tokenHash: null })
  await senseUntil(db, household, practiceNow.getTime() - sensedDays * dayMs, practiceNow.getTime(), id)
  return id
}

/** Another name or kind, for its parts too. */
export async function changePlace(
  db: Client,
  householdId: string,
  id: string,
  to: { name?: string | undefined; kind?: PlaceKind | undefined } & Saying,
): Promise<void> {
  const place = await placeNamed(db, householdId, id)
  const whole = place.within === null ? undefined : await placeNamed(db, householdId, place.within)
  if (whole && to.kind && to.kind !== whole.kind) {
    throw new Refusal('invalid', told('places.kindOfWhole', { whole: whole.name }), 'kind')
  }
  const kind = to.kind ?? place.kind
  const name = to.name?.trim() || place.name
  await requireFree(db, householdId, name, id)
  const said = describe(place, to)
  await setPlace(db, householdId, id, { name, kind, ...said })
  for (const part of await placesOf(db, householdId)) {
    if (part.within !== id) continue
    const own = part.name.startsWith(`${place.name}, `) ? part.name.slice(place.name.length + 2) : undefined
    await setPlace(db, householdId, part.id, {
      name: own === undefined ? part.name : partName(name, own),
      kind,
      ...describe(part, to),
      // room is each part's own
      litres: part.litres,
      holdsKg: part.holdsKg,
    })
  }
}

/**
 * Takes a place out of use with its parts, or back.
 * @throws Refusal where something lies there, or nothing to put things in would be left
 */
export async function retire(db: Client, householdId: string, id: string, on: string | null): Promise<void> {
  const place = await placeNamed(db, householdId, id)
  const places = await placesOf(db, householdId)
  const both = [place, ...places.filter((one) => one.within === id)]
  if (on !== null) {
    for (const one of both) {
      const codes = await codesIn(db, householdId, one.id)
      if (codes.length > 0) {
        throw new Refusal(
          'invalid',
          told('places.notEmpty', { codes: codes.slice(0, 3).join(', '), more: codes.length - 3, place: one.name }),
        )
      }
    }
    const left = places.filter((one) => one.retiredOn === null && !both.includes(one) && one.kind !== 'outdoors')
    if (left.length === 0) throw new Refusal('invalid', told('places.lastPlace'))
  }
  const whole = places.find((one) => one.id === place.within)
  if (on === null && whole?.retiredOn) throw new Refusal('invalid', told('places.takeWholeBack', { whole: whole.name }))
  for (const one of on === null ? [place] : both) await setRetired(db, householdId, one.id, on)
}
