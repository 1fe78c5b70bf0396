import { listing, onDay, term, told, type Listing, type Message } from '../message'
import { isDark, likeOf } from '../places'
import { usualPacking } from '../stores'
import type { House } from './house'
import { keepsUntil } from './keeping'
import type { LotState } from './lot'
import { climateAhead } from './place-climate'
import type { PlaceState } from './place'
import { workable } from './trouble'
import { frostNightsFrom, gasCountsFrom } from '../assumptions'

/** What of lots does not go with one another in a place, or with the place. */
export interface Conflict {
  kind: 'gas' | 'light' | 'smell' | 'damp' | 'mice' | 'slugs' | 'frost'
  says: Message
  /** the lots that suffer */
  codes: string[]
}

/** shut from mice */
const mouseProof = ['jar', 'vacuum']

const listed = (lots: readonly LotState[]): Listing =>
  listing([...new Set(lots.map(({ cropData }) => cropData.plural))].map(term))

/** @returns worst first: what kills, what spoils, what taints */
export function conflictsIn(house: House, place: PlaceState): Conflict[] {
  if (place.kind === 'freezer') return []
  const here = workable(house).filter((lot) => lot.placeId === place.id && lot.stage === 'stored')
  if (here.length === 0) return []
  const inside = house.lots.filter((lot) => lot.placeId === place.id)
  return house.once(null, `conflicts ${place.id}`, [place, house.today, ...inside], () =>
    [
      frost(house, place, here),
      gas(house, place, here),
      light(place, here),
      damp(house, here),
      vermin(place, here),
      smell(here),
    ]
      .flat()
      .filter(({ codes }) => codes.length > 0),
  )
}

const codesOf = (lots: readonly LotState[]) => lots.map(({ code }) => code)

function frost(house: House, place: PlaceState, here: readonly LotState[]): Conflict[] {
  const tender = here.filter((lot) => lot.form === 'fresh' && lot.cropData.keeping.freezesAtC !== undefined)
  const months = climateAhead(house, place).slice(0, 6)
  const nights = months.reduce((sum, { frostNights }) => sum + frostNights, 0)
  if (nights < frostNightsFrom) return []
  const first = months.find(({ frostNights }) => frostNights >= frostNightsFrom / 2) ?? months[0]!
  return [
    {
      kind: 'frost',
      says: told('stores.frostNights', {
        nights: Math.max(1, Math.round(nights)),
        month: onDay(`${first.month}-15`, 'month'),
        lots: listed(tender),
      }),
      codes: codesOf(tender),
    },
  ]
}

function gas(house: House, place: PlaceState, here: readonly LotState[]): Conflict[] {
  const givers = here.filter(
    ({ form, cropData }) => form === 'fresh' && ['some', 'much'].includes(cropData.keeping.ethyleneGiven.value),
  )
  if (givers.length === 0) return []
  const felt = here.filter(
    (lot) =>
      ['some', 'much'].includes(lot.cropData.keeping.ethyleneFelt.value) &&
      lot.form === 'fresh' &&
      house.gasReaching(place, lot) >= gasCountsFrom &&
      !givers.includes(lot),
  )
  return felt.map((lot) => ({
    kind: 'gas',
    says: told('stores.gas', {
      givers: listed(givers),
      felt: term(lot.cropData.plural),
      shows: term(lot.cropData.keeping.ethyleneShows ?? 'they age sooner'),
    }),
    codes: [lot.code],
  }))
}

function light(place: PlaceState, here: readonly LotState[]): Conflict[] {
  if (isDark(place)) return []
  const lots = here.filter(
    (lot) =>
      lot.form === 'fresh' &&
      lot.cropData.needs.includes('dark') &&
      (lot.history.pack ?? usualPacking(lot.cropData)) !== 'sack',
  )
  return [{ kind: 'light', says: told('stores.light', { lots: listed(lots) }), codes: codesOf(lots) }]
}

function damp(house: House, here: readonly LotState[]): Conflict[] {
  const lots = here.filter((lot) => ['rooting', 'mould'].includes(keepsUntil(house, lot).endedBy))
  return [{ kind: 'damp', says: told('stores.damp', { lots: listed(lots) }), codes: codesOf(lots) }]
}

function vermin(place: PlaceState, here: readonly LotState[]): Conflict[] {
  const open = here.filter(
    (lot) => lot.form === 'fresh' && !mouseProof.includes(lot.history.pack ?? usualPacking(lot.cropData)),
  )
  const found: Conflict[] = []
  if (likeOf(place).mice) {
    found.push({ kind: 'mice', says: told('stores.mice', { lots: listed(open) }), codes: codesOf(open) })
  }
  if (place.kind === 'ground' || place.kind === 'clamp') {
    found.push({
      kind: 'slugs',
      says: told('stores.slugs'),
      codes: codesOf(open),
    })
  }
  return found
}

function smell(here: readonly LotState[]): Conflict[] {
  const strong = here.filter(({ form, cropData }) => form === 'fresh' && cropData.keeping.smell !== undefined)
  const taken = here.filter(({ cropData, form }) => ['orchard', 'stone'].includes(cropData.group) && form === 'fresh')
  if (strong.length === 0) return []
  return [
    {
      kind: 'smell',
      says: told('stores.smell', { taken: listed(taken), strong: listed(strong) }),
      codes: codesOf(taken),
    },
  ]
}
