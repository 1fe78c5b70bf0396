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
  optional,
  pairOf,
  saying,
  textUpTo,
  words,
  type Static,
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
