import type { FromSchema } from 'json-schema-to-ts'

const cropId = { type: 'string', pattern: '^[a-z][a-z0-9]*(-[a-z0-9]+)*$', maxLength: 60 } as const

/** A number of a crop the household knows better; no value puts the almanac's own back. */
export const overrideSchema = {
  type: 'object',
  required: ['crop', 'path', 'value'],
  properties: {
    crop: cropId,
    path: { type: 'string', minLength: 1, maxLength: 120 },
    value: {
      anyOf: [
        { type: 'number', minimum: -100, maximum: 100000 },
        {
          type: 'array',
          items: { type: 'number', minimum: -100, maximum: 100000 },
          minItems: 2,
          maxItems: 2,
        },
        { type: 'null' },
      ],
    },
    why: { type: 'string', maxLength: 300 },
  },
  additionalProperties: false,
} as const
export type Override = FromSchema<typeof overrideSchema>

/** The school a household follows. */
export const choiceSchema = {
  type: 'object',
  required: ['crop', 'topic', 'choice'],
  properties: {
    crop: cropId,
    topic: { type: 'string', minLength: 1, maxLength: 60 },
    choice: { type: 'string', minLength: 1, maxLength: 60 },
  },
  additionalProperties: false,
} as const
export type Choice = FromSchema<typeof choiceSchema>

/** A crop of the household's own, from one of the almanac's as a template. */
export const ownCropSchema = {
  type: 'object',
  required: ['name', 'template'],
  properties: {
    name: { type: 'string', minLength: 1, maxLength: 60, pattern: '\\S' },
    template: cropId,
    synonyms: { type: 'array', maxItems: 20, items: { type: 'string', minLength: 1, maxLength: 60 } },
  },
  additionalProperties: false,
} as const
export type OwnCrop = FromSchema<typeof ownCropSchema>

export const settingsSchema = {
  type: 'object',
  properties: {
    units: { enum: ['metric', 'us'] },
    authorityName: { type: 'string', maxLength: 120 },
    authorityUrl: { type: 'string', maxLength: 300 },
  },
  additionalProperties: false,
} as const
export type Settings = FromSchema<typeof settingsSchema>
