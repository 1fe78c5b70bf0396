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
          hungIn: { enum: ['bunch', 'plait', 'rack', 'bag', 'sheet', 'box'] },
          /** an earlier lot of the same crop and heap it is added to */
          addTo: { type: 'string', maxLength: 10 },
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

/** The daily pick: one crop, one weight. */
export const pickSchema = {
  type: 'object',
  required: ['requestId', 'crop', 'weightG'],
  properties: { requestId: uuid, crop: { type: 'string', maxLength: 60 }, weightG: grams, pieces },
  additionalProperties: false,
} as const
export type NewPick = FromSchema<typeof pickSchema>

/** What has been picked of a crop, by week from its Monday. */
export interface PickedCrop {
  crop: string
  totalG: number
  weeks: { from: string; weightG: number }[]
}

/** A bed that bore a disease: not for that family again for years. */
export interface MarkedBed {
  bed: string
  crop: string
  on: string
}
