import { String as StringSchema, Unknown } from 'typebox'
import { ofHousehold } from './endpoint'
import { allViews } from './households'
import {
  between,
  closed,
  either,
  listOf,
  none,
  number,
  nullable,
  oneOf,
  optional,
  pairOf,
  saying,
  spreadOf,
  textUpTo,
  words,
  type Static,
  byName,
} from './shapes'

const cropId = StringSchema({ pattern: '^[a-z][a-z0-9]*(-[a-z0-9]+)*$', maxLength: 60 })
const settable = between(-100, 100_000)

/** A number of a crop the household knows better; no value puts the almanac's own back. */
export const override = closed({
  crop: cropId,
  path: saying(120),
  value: either([settable, listOf(settable, { minItems: 2, maxItems: 2 }), none]),
  why: optional(textUpTo(300)),
})
export type Override = Static<typeof override>

/** The school a household follows. */
export const choice = closed({ crop: cropId, topic: saying(60), choice: saying(60) })
export type Choice = Static<typeof choice>

/** A crop of the household's own, from one of the almanac's as a template. */
export const ownCrop = closed({
  name: saying(60),
  template: cropId,
  synonyms: optional(listOf(saying(60), { maxItems: 20 })),
})
export type OwnCrop = Static<typeof ownCrop>

/** What a household has changed in the almanac; its own crops are files like the almanac's. */
export const almanacChanges = closed({
  overrides: listOf(closed({ crop: words, path: words, value: either([number, pairOf(number)]), why: words })),
  choices: listOf(closed({ crop: words, topic: words, choice: words })),
  own: listOf(Unknown()),
  varieties: listOf(closed({ crop: words, variety: words, keeps: oneOf('shorter', 'longer') })),
  /** how it does it, where it is not the usual way: names and limits in habits.ts */
  habits: byName(number),
})
export type AlmanacChangesView = Static<typeof almanacChanges>

export const readAlmanac = ofHousehold('almanac', {
  method: 'GET',
  path: '/almanac',
  says: 'What the household has changed in the almanac.',
  answer: almanacChanges,
})

export const setOverride = ofHousehold('set-override', {
  method: 'PUT',
  path: '/almanac/override',
  says: 'Sets a number of a crop for this household, or puts the almanac’s own back.',
  body: override,
  answer: almanacChanges,
  stale: allViews,
})

export const setChoice = ofHousehold('set-choice', {
  method: 'PUT',
  path: '/almanac/choice',
  says: 'The school the household follows.',
  body: choice,
  answer: almanacChanges,
  stale: allViews,
})

/** How a variety keeps among the rest of its crop, as the household says; `usual` takes that back. */
export const varietyKeeps = closed({ crop: cropId, variety: saying(60), keeps: oneOf('shorter', 'usual', 'longer') })
export type VarietyKeeps = Static<typeof varietyKeeps>

export const setVariety = ofHousehold('set-variety', {
  method: 'PUT',
  path: '/almanac/variety',
  says: 'How a variety keeps among the rest of its crop, as the household says.',
  body: varietyKeeps,
  answer: almanacChanges,
  stale: allViews,
})

/** What looks at lots that are gone have taught: as times the life the books give it, from so many lots of so many years. */
const learnt = { times: spreadOf(number), lots: number, years: number }
export const learntView = closed({
  /** whatever the variety */
  house: nullable(closed(learnt)),
  varieties: listOf(
    closed({ variety: words, keeps: oneOf('shorter', 'usual', 'longer'), learnt: nullable(closed(learnt)) }),
  ),
  /** beyond what is true of the whole house */
  places: listOf(closed({ place: words, ...learnt })),
  /** two varieties that differ for all the looks say, and how many times as long the longer one keeps */
  outlasts: listOf(closed({ longer: words, shorter: words, times: spreadOf(number) })),
})
export type LearntView = Static<typeof learntView>

export const readLearnt = ofHousehold('learnt', {
  method: 'GET',
  path: '/almanac/crops/:crop/learnt',
  says: 'What the household’s looks over the years have taught about a crop, by variety and place.',
  answer: learntView,
})

export const addOwnCrop = ofHousehold('add-own-crop', {
  method: 'POST',
  path: '/almanac/crops',
  says: 'Adds a crop of the household’s own.',
  body: ownCrop,
  answer: closed({ id: words, changes: almanacChanges }),
  status: 201,
  stale: ['almanac'],
})

export const removeOwnCrop = ofHousehold('remove-own-crop', {
  method: 'DELETE',
  path: '/almanac/crops/:crop',
  says: 'Removes a crop of the household’s own that nothing was brought in of.',
  answer: almanacChanges,
  stale: ['almanac'],
})
