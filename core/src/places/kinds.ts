import { degrees, told, type Prose } from '../message'
/**
 * Kinds of place a house has, with how each follows the season: judgement, to be replaced by the place's own fit
 * once it has readings through a year.
 */
export interface PlaceKindProfile {
  label: string
  /** whether frost gets in, or it is heated */
  winter: Prose
  /** share of the outdoor season that comes through */
  gain: number
  /** days it comes late */
  lagDays: number
  /** yearly mean at a mid-latitude house, °C */
  usualMeanC: number
  usualHumidityPct: number
  /** share of the outdoor vapour's season that comes through */
  followsVapour: number
  airflow: 'still' | 'breezy'
  dark: boolean
  heated: boolean
  frostSafe: boolean
  /** where of the house it is */
  storey: Storey
}

export const storeys = ['roof', 'floor', 'side', 'under', 'garden'] as const
export type Storey = (typeof storeys)[number]

export const placeKinds = {
  outdoors: {
    label: 'Outdoors',
    winter: 'freezes with the weather',
    gain: 1,
    lagDays: 0,
    usualMeanC: 9.5,
    usualHumidityPct: 77,
    followsVapour: 1,
    airflow: 'breezy',
    dark: false,
    heated: false,
    frostSafe: false,
    storey: 'garden',
  },
  veranda: {
    label: 'Veranda, open shed',
    winter: 'freezes with the weather',
    gain: 0.95,
    lagDays: 1,
    usualMeanC: 11,
    usualHumidityPct: 71,
    followsVapour: 1,
    airflow: 'breezy',
    dark: false,
    heated: false,
    frostSafe: false,
    storey: 'side',
  },
  loft: {
    label: 'Loft',
    winter: 'may freeze, hot in summer',
    gain: 0.95,
    lagDays: 2,
    usualMeanC: 14,
    usualHumidityPct: 55,
    followsVapour: 0.9,
    airflow: 'still',
    dark: false,
    heated: false,
    frostSafe: false,
    storey: 'roof',
  },
  room: {
    label: 'Heated room',
    winter: 'heated',
    gain: 0.12,
    lagDays: 2,
    usualMeanC: 20.5,
    usualHumidityPct: 50,
    followsVapour: 0.8,
    airflow: 'still',
    dark: false,
    heated: true,
    frostSafe: true,
    storey: 'floor',
  },
  'cool-room': {
    label: 'Unheated room',
    winter: 'frost-safe, not heated',
    gain: 0.55,
    lagDays: 10,
    usualMeanC: 13,
    usualHumidityPct: 62,
    followsVapour: 0.75,
    airflow: 'still',
    dark: false,
    heated: false,
    frostSafe: true,
    storey: 'floor',
  },
  shed: {
    label: 'Shed, garage',
    winter: 'freezes in hard frost',
    gain: 0.8,
    lagDays: 4,
    usualMeanC: 10.5,
    usualHumidityPct: 74,
    followsVapour: 0.95,
    airflow: 'still',
    dark: true,
    heated: false,
    frostSafe: false,
    storey: 'side',
  },
  cellar: {
    label: 'Cellar',
    winter: 'frost-safe, dark',
    gain: 0.4,
    lagDays: 45,
    usualMeanC: 10,
    usualHumidityPct: 86,
    followsVapour: 0.5,
    airflow: 'still',
    dark: true,
    heated: false,
    frostSafe: true,
    storey: 'under',
  },
  fridge: {
    label: 'Fridge',
    winter: told('stores.aboutSoWarm', { c: degrees(4) }),
    gain: 0,
    lagDays: 0,
    usualMeanC: 4.5,
    usualHumidityPct: 80,
    followsVapour: 0,
    airflow: 'still',
    dark: true,
    heated: false,
    frostSafe: true,
    storey: 'under',
  },
  freezer: {
    label: 'Freezer',
    winter: told('stores.aboutSoWarm', { c: degrees(-18) }),
    gain: 0,
    lagDays: 0,
    usualMeanC: -18,
    usualHumidityPct: 60,
    followsVapour: 0,
    airflow: 'still',
    dark: true,
    heated: false,
    frostSafe: false,
    storey: 'under',
  },
  // a hand deep under a mulch; soil keeps the year back and never dries out
  ground: {
    label: 'In the ground',
    winter: 'freezes in long frost; slugs and voles',
    gain: 0.8,
    lagDays: 14,
    usualMeanC: 10,
    usualHumidityPct: 97,
    followsVapour: 0,
    airflow: 'still',
    dark: true,
    heated: false,
    frostSafe: false,
    storey: 'garden',
  },
  // straw and a hand of earth over the heap
  clamp: {
    label: 'Clamp, pit',
    winter: 'freezes in hard frost; slugs and mice',
    gain: 0.6,
    lagDays: 18,
    usualMeanC: 9.5,
    usualHumidityPct: 94,
    followsVapour: 0.2,
    airflow: 'still',
    dark: true,
    heated: false,
    frostSafe: false,
    storey: 'garden',
  },
} as const satisfies Record<string, PlaceKindProfile>

export type PlaceKind = keyof typeof placeKinds

/** What a household says of a place; null for as places of its kind usually are. */
export interface Described {
  dark: boolean | null
  heated: boolean | null
  frostSafe: boolean | null
  mice: boolean | null
  storey: Storey | null
  /** of a freezer or fridge, inside, L */
  litres: number | null
  /** what there is room for elsewhere, kg */
  holdsKg: number | null
}

export const notDescribed: Described = {
  dark: null,
  heated: null,
  frostSafe: null,
  mice: null,
  storey: null,
  litres: null,
  holdsKg: null,
}

/** What a place is like: as the household says, else as places of its kind usually are. */
export function likeOf({ kind, ...said }: { kind: PlaceKind } & Partial<Described>) {
  const usual: PlaceKindProfile = placeKinds[kind]
  return {
    dark: said.dark ?? usual.dark,
    heated: said.heated ?? usual.heated,
    frostSafe: said.frostSafe ?? (said.heated ? true : usual.frostSafe),
    mice: said.mice ?? false,
    storey: said.storey ?? usual.storey,
    litres: said.litres ?? null,
    holdsKg: said.holdsKg ?? null,
  }
}

/** Whether light stays out. */
export const isDark = (place: { kind: PlaceKind; dark?: boolean | null | undefined }): boolean =>
  place.dark ?? placeKinds[place.kind].dark

const heatedKinds: readonly PlaceKind[] = ['cool-room', 'loft', 'cellar']
/** The kind a place's air goes by: a heated loft is a room, a room nobody heats is none. */
export function airKindOf({ kind, heated }: { kind: PlaceKind; heated?: boolean | null | undefined }): PlaceKind {
  if (heated && heatedKinds.includes(kind)) return 'room'
  return heated === false && kind === 'room' ? 'cool-room' : kind
}
