import { ofHousehold } from './endpoint'
import { lotViews } from './households'
import {
  between,
  bool,
  civilDate,
  closed,
  cropId,
  grams,
  listOf,
  nullable,
  number,
  oneOf,
  optional,
  pieces,
  requestId,
  textUpTo,
  uuid,
  words,
  type Static,
} from './shapes'

export const newHarvest = closed({
  requestId,
  crop: cropId,
  variety: optional(textUpTo(60)),
  bed: optional(textUpTo(60)),
  harvestedOn: civilDate,
  totalG: grams,
  /** share of the readiness sign seen: leaves browned, tops fallen */
  signShare: optional(between(0, 1)),
  /** a weight that was asked about is meant */
  sure: optional(bool),
  heaps: listOf(
    closed({
      heap: textUpTo(40),
      weightG: grams,
      pieces: optional(pieces),
      /** nobody weighed it: the weight is the usual one of so many */
      guessed: optional(bool),
      placeId: optional(uuid),
      hungIn: optional(oneOf('bunch', 'plait', 'rack', 'bag', 'sheet', 'box')),
      /** an earlier lot of the same crop and heap it is added to */
      addTo: optional(textUpTo(10)),
    }),
    { minItems: 1, maxItems: 20 },
  ),
})
export type NewHarvest = Static<typeof newHarvest>

export const harvestAnswer = closed({ lots: listOf(closed({ code: words, heap: words, weightG: number })) })
export type HarvestAnswer = Static<typeof harvestAnswer>

/** What Bring in proposes from earlier harvests. */
export const intakeMemory = closed({
  crop: words,
  variety: nullable(words),
  bed: nullable(words),
  /** every variety of it that was ever brought in, the latest first */
  varieties: listOf(words),
})
export type IntakeMemory = Static<typeof intakeMemory>

/** The daily pick: one crop, one weight. */
export const newPick = closed({
  requestId,
  crop: cropId,
  weightG: grams,
  pieces: optional(pieces),
  sure: optional(bool),
})
export type NewPick = Static<typeof newPick>

/** What has been picked of a crop, by week from its Monday. */
export const pickedCrop = closed({
  crop: words,
  totalG: number,
  weeks: listOf(closed({ from: civilDate, weightG: number })),
})
export type PickedCrop = Static<typeof pickedCrop>

/** A bed that bore a disease: not for that family again for years. */
export const markedBed = closed({ bed: words, crop: words, on: civilDate })
export type MarkedBed = Static<typeof markedBed>

const harvestViews = [...lotViews, 'last-harvests', 'marked-beds', 'picks'] as const

export const lastHarvests = ofHousehold('last-harvests', {
  method: 'GET',
  path: '/harvests/last',
  says: 'The last variety and bed of each crop.',
  answer: listOf(intakeMemory),
})

export const listMarkedBeds = ofHousehold('marked-beds', {
  method: 'GET',
  path: '/harvests/marked-beds',
  says: 'Beds that bore a disease in the last years.',
  answer: listOf(markedBed),
})

export const bringIn = ofHousehold('bring-in', {
  method: 'POST',
  path: '/harvests',
  says: 'Brings in a harvest, sorted into heaps that add up.',
  body: newHarvest,
  answer: harvestAnswer,
  status: 201,
  stale: harvestViews,
})

export const listPicks = ofHousehold('picks', {
  method: 'GET',
  path: '/picks',
  says: 'What came in of each crop in the last year, by week.',
  answer: listOf(pickedCrop),
})

export const addPick = ofHousehold('pick', {
  method: 'POST',
  path: '/picks',
  says: 'The daily pick: joins this week’s lot of the crop.',
  body: newPick,
  answer: harvestAnswer,
  status: 201,
  stale: harvestViews,
})
