import type { FromSchema } from 'json-schema-to-ts'
import { civilDate, grams, pieces, uuid } from './shapes'

export const harvestSchema = {
  type: 'object',
  required: ['requestId', 'crop', 'harvestedOn', 'totalG', 'heaps'],
  properties: {
    requestId: uuid,
    crop: { type: 'string', maxLength: 60 },
    variety: { type: 'string', maxLength: 60 },
    bed: { type: 'string', maxLength: 60 },
    harvestedOn: civilDate,
    totalG: grams,
    /** share of the readiness sign seen: leaves browned, tops fallen */
    signShare: { type: 'number', minimum: 0, maximum: 1 },
    heaps: {
      type: 'array',
      minItems: 1,
      maxItems: 20,
      items: {
        type: 'object',
        required: ['heap', 'weightG'],
        properties: {
          heap: { type: 'string', maxLength: 40 },
          weightG: grams,
          pieces,
          placeId: uuid,
        },
        additionalProperties: false,
      },
    },
  },
  additionalProperties: false,
} as const
export type NewHarvest = FromSchema<typeof harvestSchema>

export interface HarvestAnswer {
  lots: { code: string; heap: string; weightG: number }[]
}

/** What Bring in proposes from earlier harvests. */
export interface IntakeMemory {
  crop: string
  variety: string | null
  bed: string | null
}
