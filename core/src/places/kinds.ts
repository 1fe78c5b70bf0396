/**
 * Kinds of place a house has, with how each follows the season: judgement, to be replaced by the place's own fit
 * once it has readings through a year.
 */
export interface PlaceKindProfile {
  label: string
  /** whether frost gets in, or it is heated */
  winter: string
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
}

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
  },
  fridge: {
    label: 'Fridge',
    winter: 'about 4 °C',
    gain: 0,
    lagDays: 0,
    usualMeanC: 4.5,
    usualHumidityPct: 80,
    followsVapour: 0,
    airflow: 'still',
    dark: true,
  },
  freezer: {
    label: 'Freezer',
    winter: 'about −18 °C',
    gain: 0,
    lagDays: 0,
    usualMeanC: -18,
    usualHumidityPct: 60,
    followsVapour: 0,
    airflow: 'still',
    dark: true,
  },
} as const satisfies Record<string, PlaceKindProfile>

export type PlaceKind = keyof typeof placeKinds

/** Whether light stays out: as the household says, else as places of its kind usually are. */
export const isDark = ({ kind, dark }: { kind: PlaceKind; dark?: boolean | null | undefined }): boolean =>
  dark ?? placeKinds[kind].dark
