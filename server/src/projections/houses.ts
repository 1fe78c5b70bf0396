import { House, sameRecord, stateOf } from '@vadose/core/forecast'
import { civilDateOf, dayMs } from '@vadose/core/households'
import { recordOf } from '@vadose/core/readings'
import { bedEntriesSince } from '../beds'
import { asHousehold, type Pool } from '../database'
import { nowOf, type HouseholdRow } from '../households'
import {
  type Move,
  type Measured,
  type Known,
  sameDay,
  laterHour,
  sameHouse,
  movesOf,
  manyMovesOf,
  movesAfter,
  movesWith,
  lotsOf,
  inOrder,
  lastOf,
  takeRain,
  expectedOutdoors,
  rainByDay,
  placesNow,
  standsNow,
  workIn,
} from './known'
import { monthOf, monthOfHours } from './place-hours'
import { lessonsOf } from './lesson-queries'
import { takeLessons } from './lessons'
import { monthsFrom, monthsSince } from './air-queries'
import { beyond, reachFor } from './reach'
import { descendantsOf, identitiesOf, lastEventId, lotsHere, lotsTouchedSince, movesSince } from './queries'
import { setupOf } from './setup'
import { Kept } from './kept'
import { warm } from './warm'

/** the seasons before this one, for what is eaten and for the same weeks of last year, days */
const backDays = 420
/** entries that say something of a bed, or of what others say */
const bedKinds = ['brought-in', 'planted', 'undone', 'restated', 'relabelled']
/** so many lots are worked out between two requests without holding others up */
const fewLots = 3
/**
 * The households worked out. Nothing is held that the database does not: each request says which revision it found, and
 * what has changed since is read and worked in, lot by lot and place by place. So any number of servers stand side by side.
 */
export class Houses {
  private readonly kept = new Kept()

  constructor(private readonly pool: Pool) {}

  /** A household as it is now. Its ledger is exact; new air counts a moment later, when its lots are worked out again. */
  async of(household: HouseholdRow): Promise<House> {
    return (await this.upToDate(household)).house
  }

  /** What moved day by day since the season before this one. */
  async moves(household: HouseholdRow): Promise<readonly Move[]> {
    return (await this.upToDate(household)).moves
  }

  /** Works in everything there is now, the air too: after the clock was moved, and in tests. */
  async settled(household: HouseholdRow): Promise<House> {
    // entries are worked in first, and begin no air; the second asking does
    await this.upToDate(household)
    let known = await this.upToDate(household)
    while (known.catchingUp) {
      await known.catchingUp
      known = await this.upToDate(household)
    }
    return known.house
  }

  forget(householdId: string): void {
    this.kept.forget(householdId)
  }

  private async upToDate(household: HouseholdRow): Promise<Known> {
    const { id } = household
    for (;;) {
      const before = this.kept.get(id)
      const known = await before?.catch(() => undefined)
      if (this.kept.get(id) !== before) continue
      if (known && known.household.revision >= household.revision && sameDay(known, household)) {
        this.kept.touch(id, before!)
        if (known.household.airRevision < household.airRevision || laterHour(known, household)) {
          this.catchUp(known, household)
        }
        return known
      }
      const next =
        known && sameDay(known, household) && sameHouse(known, household)
          ? this.withEntries(known, household)
          : this.load(household)
      this.kept.touch(id, next)
      return next
    }
  }

  private async load(household: HouseholdRow): Promise<Known> {
    const { id } = household
    const nowMs = nowOf(household)
    const known = await asHousehold(this.pool, id, async (db): Promise<Known> => {
      const { almanac, places } = await setupOf(db, id, household.setupRevision)
      const here = await lotsHere(db, id)
      const lots = await lotsOf(db, id, await identitiesOf(db, id, here), almanac)
      const lastEvent = await lastEventId(db, id)
      const since = new Date(nowMs - backDays * dayMs)
      const reach = reachFor(places, lots.values(), nowMs)
      const from = new Map([...reach].map(([placeId, ms]) => [placeId, monthOf(ms - dayMs)]))
      const months = await monthsFrom(db, id, from)
      const measured = new Map<string, Measured>()
      const rain = new Map<number, number>()
      for (const place of places) {
        const own = months.filter((row) => row.placeId === place.id).map(monthOfHours)
        if (place.kind === 'outdoors') for (const month of own) takeRain(rain, month)
        measured.set(place.id, { record: recordOf(own), lastAtMs: lastOf(own), epoch: 0 })
      }
      const expected = await expectedOutdoors(db, id, nowMs)
      const moved = await movesSince(db, id, since)
      const moves = await manyMovesOf(moved, household.timeZone)
      const bedEntries = await bedEntriesSince(db, id, civilDateOf(since.getTime(), household.timeZone))
      return {
        household,
        house: new House({
          household,
          places: await placesNow(household, places, measured, expected.record, nowMs),
          lots: inOrder(lots),
          almanac,
          nowMs,
          rainMm: rainByDay(household, rain, expected.rain, nowMs),
          stands: standsNow(bedEntries, moves, civilDateOf(nowMs, household.timeZone)),
          lessons: await lessonsOf(db, id),
        }),
        places,
        reach,
        measured,
        rain,
        expected: expected.record,
        lots,
        lastEvent,
        moved,
        moves,
        bedEntries,
        catchingUp: undefined,
      }
    })
    await warm(known.house)
    this.teach(known, household)
    return known
  }

  /** Once a day, beside the requests: what lots that are gone taught since, and what those here are thought to keep by it. */
  private teach(known: Known, household: HouseholdRow): void {
    known.catchingUp = takeLessons(this.pool, household, known.house.almanac, known.places)
      .then((count) => (count > 0 ? this.withAir(known, household, true) : undefined))
      // tried again when the household is loaded the next time
      .catch(() => undefined)
      .finally(() => (known.catchingUp = undefined))
  }

  /** Works in what was entered since, here or on another server. */
  private async withEntries(known: Known, household: HouseholdRow): Promise<Known> {
    const { id } = household
    let many = true
    let older = false
    const next = await asHousehold(this.pool, id, async (db): Promise<Known> => {
      const rows = await lotsTouchedSince(db, id, known.lastEvent)
      // what was taken from a lot that is told otherwise goes on with that
      const retold = rows.filter((row) => row.retold).map(({ identity }) => identity.id)
      const own = new Set(rows.map(({ identity }) => identity.id))
      const parts = retold.length === 0 ? [] : (await descendantsOf(db, id, retold)).filter((one) => !own.has(one))
      const touched = [...own, ...parts]
      const sameSetup = known.household.setupRevision === household.setupRevision
      const { almanac, places } = await setupOf(db, id, household.setupRevision)
      const lots = new Map(known.lots)
      const identities = rows.map(({ identity }) => identity)
      if (parts.length > 0) identities.push(...(await identitiesOf(db, id, parts)))
      const changed = await lotsOf(db, id, identities, almanac)
      for (const lotId of touched) {
        const lot = changed.get(lotId)
        if (lot && lot.stage !== 'gone') lots.set(lotId, lot)
        else lots.delete(lotId)
      }
      if (almanac !== known.house.almanac) {
        // another number or school: every lot is read by the new almanac
        for (const [lotId, lot] of lots) lots.set(lotId, stateOf(lot, lot.history, almanac))
      }
      const since = new Date(nowOf(household) - backDays * dayMs)
      const entered = touched.length === 0 ? [] : await movesSince(db, id, new Date(0), known.lastEvent)
      const added = movesWith(known.moved, entered)
      const moved = added ?? (await movesSince(db, id, since))
      const moves =
        (added && movesAfter(known.moves, entered, household.timeZone)) ?? movesOf(moved, household.timeZone)
      const bedEntries = sameSetup
        ? known.bedEntries
        : await bedEntriesSince(db, id, civilDateOf(since.getTime(), household.timeZone))
      const lastEvent = Math.max(known.lastEvent, ...rows.map(({ last }) => last))
      const { nowMs } = known.house
      older = beyond(known.reach, reachFor(places, changed.values(), nowMs))
      const samePlaces = sameSetup || JSON.stringify(places) === JSON.stringify(known.places)
      many = !samePlaces || almanac !== known.house.almanac || touched.length > fewLots
      return {
        ...known,
        household: { ...household, airRevision: known.household.airRevision },
        house: new House(
          {
            household,
            places: samePlaces
              ? known.house.everyPlace
              : await placesNow(household, places, known.measured, known.expected, nowMs, known),
            lots: inOrder(lots),
            almanac,
            nowMs: Math.max(nowMs, nowOf(household)),
            rainMm: known.house.rainMm,
            stands:
              sameSetup && added && entered.every(({ kind }) => !bedKinds.includes(kind))
                ? known.house.stands
                : standsNow(bedEntries, moves, known.house.today, known.house.stands),
            lessons: known.house.lessons,
          },
          known.house,
        ),
        places,
        lots,
        lastEvent,
        moved,
        moves,
        bedEntries,
        catchingUp: undefined,
      }
    })
    // something came, or was told, from before the air that is known: the household is read anew with it
    if (older) return this.load(household)
    // what a few entries change is worked out by whoever asks for it; a household told anew, a stretch at a time
    if (many) await warm(next.house)
    return next
  }

  /** Works in new air beside the requests; whoever asks meanwhile is told what was thought before. */
  private catchUp(known: Known, household: HouseholdRow): void {
    if (known.catchingUp) return
    known.catchingUp = this.withAir(known, household)
      .catch(() => this.forget(household.id))
      .finally(() => (known.catchingUp = undefined))
  }

  private async withAir(known: Known, household: HouseholdRow, taught = false): Promise<void> {
    const { id } = household
    const nowMs = nowOf(household)
    const { rows, expected, lessons } = await asHousehold(this.pool, id, async (db) => ({
      rows: await monthsSince(db, id, known.household.airRevision),
      expected: await expectedOutdoors(db, id, nowMs),
      lessons: taught ? await lessonsOf(db, id) : known.house.lessons,
    }))
    workIn(known, rows, nowMs)
    const forecast = sameRecord(known.expected, expected.record) ? known.expected : expected.record
    const house = new House(
      {
        household,
        places: await placesNow(household, known.places, known.measured, forecast, nowMs, known),
        lots: known.house.lots,
        almanac: known.house.almanac,
        nowMs,
        rainMm: rainByDay(household, known.rain, expected.rain, nowMs),
        stands: known.house.stands,
        lessons,
      },
      known.house,
    )
    await warm(house)
    // an entry that came meanwhile has made a later house: it is brought up to this air by the next request
    const current = await this.kept.get(id)
    if (current === known) {
      known.house = house
      known.expected = forecast
      known.household = { ...known.household, airRevision: household.airRevision }
    }
  }
}
