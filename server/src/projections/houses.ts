import { House, sameRecord, stateOf, troubleOf } from '@vadose/core/forecast'
import { Grown } from '@vadose/core/grown'
import { civilDateOf, dayMs } from '@vadose/core/households'
import { recordOf } from '@vadose/core/readings'
import { bedEntriesSince } from '../beds'
import { asHousehold, type Pool } from '../database'
import { nowOf, type HouseholdRow } from '../households'
import {
  type Measured,
  type Known,
  sameDay,
  laterHour,
  sameHouse,
  manyMovesOf,
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
import { monthOf, monthsOfHours } from './place-hours'
import { lessonsOf } from './lesson-queries'
import { takeLessons } from './lessons'
import { monthsFrom, monthsSince } from './air-queries'
import { beyond, reachFor } from './reach'
import { identitiesOf, lastEventId, lotsHere, movesSince, type Move } from './queries'
import { retells, Writes, type Entered, type ByHeart } from './entered'
import { movesFrom, readEntries } from './entries'
import { Foreseen, lotsWith, withOwn } from './foreseen'
import { setupOf } from './setup'
import { Kept } from './kept'
import { breather, turn } from './breathe'
import { warm } from './warm'

/** so many lots are worked out between two requests without holding others up */
const fewLots = 3
/**
 * The households worked out. Nothing is held that the database does not: each request says which revision it found, and
 * what has changed since is read and worked in, lot by lot and place by place. So any number of servers stand side by side.
 */
export class Houses {
  private readonly writes = new Writes()
  private readonly foreseen = new Foreseen()
  private readonly kept = new Kept((id) => {
    this.writes.forget(id)
    this.foreseen.forget(id)
  })

  constructor(private readonly pool: Pool) {}

  /** A household as it is now. Its ledger is exact; new air counts a moment later, when its lots are worked out again. */
  async of(household: HouseholdRow): Promise<House> {
    return (await this.upToDate(household)).house
  }

  /** What moved day by day since the season before this one. */
  async moves(household: HouseholdRow): Promise<Iterable<Move>> {
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
      const since = movesFrom(nowMs)
      const reach = reachFor(places, lots.values(), nowMs)
      const measured = new Map<string, Measured>()
      const rain = new Map<number, number>()
      const breathe = breather()
      for (const place of places) {
        const own = monthsOfHours(await monthsFrom(db, id, place.id, monthOf(reach.get(place.id)! - dayMs)))
        await breathe()
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
        moved: Grown.of(moved),
        moves,
        bedEntries,
        catchingUp: undefined,
      }
    })
    await warm(known.house, known.moves)
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
    const wrote = this.writes.between(id, known.household.revision, household.revision)
    const own = wrote && (this.foreseen.take(id, known, wrote) ?? withOwn(known, wrote, household))
    if (own) {
      if (wrote.length > fewLots) await warm(own.house, own.moves)
      return { ...own, household: { ...household, airRevision: known.household.airRevision } }
    }
    const entries = await asHousehold(this.pool, id, (db) => readEntries(db, known, household))
    const { almanac, places, touched, changed, ofBeds, ...rest } = entries
    const { nowMs } = known.house
    if (beyond(known.reach, reachFor(places, changed.values(), nowMs))) {
      // something came, or was told, from before the air that is known: the household is read anew with it
      return this.load(household)
    }
    const lots = lotsWith(known, entries)
    const sameAlmanac = almanac === known.house.almanac
    if (!sameAlmanac) {
      // another number or school: every lot is read by the new almanac
      for (const [lotId, lot] of lots) lots.set(lotId, stateOf(lot, lot.history, almanac))
    }
    const sameSetup = known.household.setupRevision === household.setupRevision
    const samePlaces = sameSetup || JSON.stringify(places) === JSON.stringify(known.places)
    const house = new House(
      {
        household,
        places: samePlaces
          ? known.house.everyPlace
          : await placesNow(household, places, known.measured, known.expected, nowMs, known),
        lots: inOrder(lots, known.house.lots),
        almanac,
        nowMs: Math.max(nowMs, nowOf(household)),
        rainMm: known.house.rainMm,
        stands:
          sameSetup && !ofBeds
            ? known.house.stands
            : standsNow(entries.bedEntries, entries.moves, known.house.today, known.house.stands),
        lessons: known.house.lessons,
      },
      known.house,
    )
    // what a few entries change is worked out by whoever asks for it; a household told anew, a stretch at a time
    if (!samePlaces || !sameAlmanac || touched.length > fewLots) await warm(house, rest.moves)
    return {
      ...known,
      ...rest,
      household: { ...household, airRevision: known.household.airRevision },
      house,
      places,
      lots,
      catchingUp: undefined,
    }
  }

  /** What is known of a lot by heart, and as of which revision of its household; undefined where it would have to be read. */
  async byHeart(householdId: string, code: string): Promise<(ByHeart & { revision: number }) | undefined> {
    // a write does not wait for a household that is being read
    const known = await Promise.race([this.kept.get(householdId), undefined]).catch(() => undefined)
    const lot = known?.house.lot(code)
    return lot && this.writes.byHeart(householdId, lot.id)
  }

  /**
   * What a write changes, worked out while the database writes it down: whoever asks then finds it done. Nothing relies on it.
   * @param before the household as the write found it under its lock
   */
  async foresee(before: HouseholdRow, entered: readonly Entered[]): Promise<void> {
    if (entered.length > fewLots || retells(entered)) return
    // what is to be written goes out first
    await turn()
    const known = await this.kept.get(before.id)?.catch(() => undefined)
    if (known?.household.revision !== before.revision || !sameDay(known, before)) return
    const next = withOwn(known, entered, before)
    if (!next) return
    for (const { lotId } of entered) {
      const lot = next.lots.get(lotId)
      if (lot) troubleOf(next.house, lot)
    }
    this.foreseen.add(before.id, known, entered, next)
  }

  /** What this server wrote itself need not be asked for. */
  wrote(before: HouseholdRow, after: HouseholdRow, entered: readonly Entered[]): void {
    if (this.kept.get(after.id)) this.writes.add(before, after, entered)
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
        besides: known.house.besides,
      },
      known.house,
    )
    await warm(house, known.moves)
    // an entry that came meanwhile has made a later house: it is brought up to this air by the next request
    const current = await this.kept.get(id)
    if (current === known) {
      known.house = house
      known.expected = forecast
      known.household = { ...known.household, airRevision: household.airRevision }
    }
  }
}
