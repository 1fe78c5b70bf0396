import { hourMs } from '../air'
import { fullGasKg, gasReaching } from '../assumptions'
import type { Almanac } from '../almanac'
import type { Stand } from '../beds'
import type { Lesson } from '../checks'
import { civilDateOf, instantOf, type CivilDate } from '../households'
import { climateFor, isDark, placeKinds, type Climate } from '../places'
import type { LotState } from './lot'
import { comingHour, type PlaceState } from './place'

export interface HouseholdFacts {
  id: string
  timeZone: string
  latitudeDeg: number
  altitudeM: number
  /** MM-DD */
  seasonStart: string
}

/** Everything a household's forecasts are made from. */
export interface HouseFacts {
  household: HouseholdFacts
  places: readonly PlaceState[]
  lots: readonly LotState[]
  almanac: Almanac
  nowMs: number
  /** rain measured and forecast outdoors, mm by date; no entry where nobody says */
  rainMm: ReadonlyMap<string, number>
  /** what grows, or grew, in the beds */
  stands: readonly Stand[]
  /** what lots that are gone have taught */
  lessons: readonly Lesson[]
  /** stands for what is known of it elsewhere (pictures, harvests): the same as long as nothing of that can have changed */
  besides?: object
}

const gasSteps = 20

/**
 * A household at one moment: what it has, where, in what air. Everything about it is worked out when first asked for, and
 * kept as long as what it was worked out from stands; a house made from an earlier one keeps what did not change.
 */
export class House {
  readonly household: HouseholdFacts
  /** in use, or holding something still, in walking order */
  readonly places: readonly PlaceState[]
  /** those nothing is put in any more as well */
  readonly everyPlace: readonly PlaceState[]
  readonly lots: readonly LotState[]
  readonly almanac: Almanac
  readonly nowMs: number
  readonly today: CivilDate
  readonly climate: Climate
  readonly rainMm: ReadonlyMap<string, number>
  readonly stands: readonly Stand[]
  readonly lessons: readonly Lesson[]
  readonly besides: object
  /** start of the household's today, ms */
  readonly dayStartMs: number
  /** changes when the past of any place does */
  readonly epochs: string
  /** stands for all that lots are worked out from but themselves: the very same as long as nothing of it is another */
  setting: object = {}
  private readonly placeById: ReadonlyMap<string, PlaceState>
  private readonly lotByCode: ReadonlyMap<string, LotState>
  private readonly kept: Map<string, Map<string, { of: readonly unknown[]; value: unknown }>>
  /** lots that give off ripening gas, by place, each with what it counts for, kg */
  private readonly givers: Givers
  private seen = new Map<string, WeakMap<LotState, unknown>>()

  constructor(facts: HouseFacts, earlier?: House) {
    this.household = facts.household
    this.everyPlace = facts.places
    this.lots = facts.lots
    this.places = inUse(facts, earlier)
    this.almanac = facts.almanac
    this.nowMs = facts.nowMs
    this.rainMm = facts.rainMm
    this.stands = facts.stands
    this.lessons = facts.lessons
    this.besides = facts.besides ?? this
    this.today = civilDateOf(facts.nowMs, facts.household.timeZone)
    this.dayStartMs =
      earlier?.today === this.today ? earlier.dayStartMs : instantOf(this.today, 0, facts.household.timeZone)
    this.climate = climateFor(facts.household.latitudeDeg, facts.household.altitudeM)
    this.epochs = facts.places.map((place) => `${place.id} ${place.epoch}`).join()
    this.placeById = new Map(facts.places.map((place) => [place.id, place]))
    this.lotByCode = new Map(facts.lots.map((lot) => [lot.code, lot]))
    this.givers = giversOf(facts.lots)
    this.kept = earlier?.kept ?? new Map()
    const here = new Set(facts.lots.map((lot) => lot.id))
    for (const id of this.kept.keys()) if (id !== '' && !here.has(id)) this.kept.delete(id)
    if (earlier && this.asBefore(earlier)) this.goOnFrom(earlier)
  }

  /** Nothing but its lots is another. */
  private asBefore(earlier: House): boolean {
    return (
      this.everyPlace === earlier.everyPlace &&
      this.almanac === earlier.almanac &&
      this.lessons === earlier.lessons &&
      this.today === earlier.today &&
      this.comingHourMs === earlier.comingHourMs &&
      this.household.timeZone === earlier.household.timeZone &&
      this.household.latitudeDeg === earlier.household.latitudeDeg &&
      this.household.altitudeM === earlier.household.altitudeM
    )
  }

  /** What was seen of a lot still holds where neither it nor the gas that reaches it is another. */
  private goOnFrom(earlier: House): void {
    const feelsTheSame = (lot: LotState) => {
      const place = this.place(lot.placeId)
      return this.gasReaching(place, lot) === earlier.gasReaching(place, lot)
    }
    const same = sameGivers(this.givers, earlier.givers) ? this.lots : this.lots.filter(feelsTheSame)
    if (same.length === this.lots.length) {
      this.seen = earlier.seen
      this.setting = earlier.setting
      return
    }
    for (const [name, was] of earlier.seen) {
      this.seen.set(name, new WeakMap(same.filter((lot) => was.has(lot)).map((lot) => [lot, was.get(lot)])))
    }
  }

  /** Start of the first hour that is not over yet: where the past ends and the expected begins, ms. */
  get comingHourMs(): number {
    return comingHour(this.nowMs)
  }

  place = (id: string | null | undefined): PlaceState | undefined => (id ? this.placeById.get(id) : undefined)
  lot = (code: string): LotState | undefined => this.lotByCode.get(code)
  dateOf = (ms: number): CivilDate => civilDateOf(ms, this.household.timeZone)

  /** The place a lot is in; the first of the house where it was never put anywhere. */
  placeOf = (lot: LotState): PlaceState | undefined => this.place(lot.placeId) ?? this.places[0]

  /**
   * Works something out once for a lot, or for the house where `lot` is null, and again only when one of `of` is another.
   */
  once<T>(lot: LotState | null, name: string, of: readonly unknown[], make: (was: T | undefined) => T): T {
    const id = lot?.id ?? ''
    let own = this.kept.get(id)
    if (!own) this.kept.set(id, (own = new Map()))
    const known = own.get(name)
    if (known && sameParts(known.of, of)) return known.value as T
    const value = make(known?.value as T | undefined)
    own.set(name, { of, value })
    return value
  }

  /** Asks of a lot as it stands in this very house once: what every screen asks again. */
  seenOf<T>(lot: LotState, name: string, make: () => T): T {
    let own = this.seen.get(name)
    if (!own) this.seen.set(name, (own = new WeakMap()))
    const known = own.get(lot) as T | undefined
    if (known !== undefined) return known
    const value = make()
    own.set(lot, value)
    return value
  }

  /** Puts something together from this very house once: a screen's data. */
  shown<T>(name: string, of: readonly unknown[], make: () => T): T {
    return this.once(null, name, [this, ...of], make)
  }

  /**
   * Ripening gas that the other lots in a place give off, as a share of the full amount: by their kilos, and by how shut
   * the place is. In steps, so that an apple eaten changes no forecast.
   */
  gasReaching(place: PlaceState | undefined, lot: LotState): number {
    if (!place) return 0
    const kg = (this.givers.get(place.id) ?? []).reduce((sum, one) => (one.id === lot.id ? sum : sum + one.kg), 0)
    const full = fullGasKg[placeKinds[place.kind].airflow]
    return Math.min(1, Math.round((gasSteps * kg) / full) / gasSteps)
  }

  /** What lies round a lot in a place besides its air. */
  around(lot: LotState, place: PlaceState | undefined, packing: string) {
    return {
      light: place ? !isDark(place) && packing !== 'sack' : false,
      gas: this.gasReaching(place, lot),
    }
  }
}

function giversOf(lots: readonly LotState[]): ReadonlyMap<string, { id: string; kg: number }[]> {
  const by = new Map<string, { id: string; kg: number }[]>()
  for (const { id, placeId, weightG, cropData } of lots) {
    const kg = (weightG / 1000) * gasReaching[cropData.keeping.ethyleneGiven.value]
    if (placeId === null || !(kg > 0)) continue
    const own = by.get(placeId)
    if (own) own.push({ id, kg })
    else by.set(placeId, [{ id, kg }])
  }
  return by
}

function sameParts(a: readonly unknown[], b: readonly unknown[]): boolean {
  if (a.length !== b.length) return false
  for (let i = 0; i < a.length; i++) if (!Object.is(a[i], b[i])) return false
  return true
}

type Givers = ReturnType<typeof giversOf>
const sameGivers = (a: Givers, b: Givers): boolean =>
  a.size === b.size &&
  [...a].every(([place, own]) => {
    const was = b.get(place)
    return was?.length === own.length && own.every(({ id, kg }, i) => id === was[i]!.id && kg === was[i]!.kg)
  })

function inUse({ places, lots }: HouseFacts, earlier?: House): readonly PlaceState[] {
  const used = places.filter(({ id, retiredOn }) => retiredOn === null || lots.some((lot) => lot.placeId === id))
  const was = earlier?.places
  return was && was.length === used.length && used.every((place, i) => place === was[i]) ? was : used
}

/** How air moves in a place when nothing is done about it. */
export const naturalAirflow =
  (places: readonly { id: string; kind: keyof typeof placeKinds }[]) =>
  (placeId: string): 'still' | 'breezy' => {
    const place = places.find((p) => p.id === placeId)
    return place ? placeKinds[place.kind].airflow : 'breezy'
  }

/** Whole hours from one instant to another, at least one. */
export const hoursBetween = (fromMs: number, toMs: number): number => Math.max(1, Math.round((toMs - fromMs) / hourMs))
