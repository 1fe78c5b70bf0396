import type { FromSchema } from 'json-schema-to-ts'
import { grams, pieces, uuid, type Spread } from './shapes'

const act = <K extends string, R extends readonly string[], P extends object>(kind: K, required: R, properties: P) =>
  ({
    type: 'object',
    required: ['requestId', 'act', ...required] as const,
    properties: { requestId: uuid, act: { const: kind }, ...properties },
    additionalProperties: false,
  }) as const

const quantity = { pieces, weightG: grams } as const
const text = { type: 'string', maxLength: 500, minLength: 1, pattern: '\\S' } as const
const id = { type: 'string', maxLength: 40 } as const

const grades = {
  type: 'array',
  minItems: 1,
  maxItems: 4,
  items: {
    type: 'object',
    required: ['grade', 'weightG'],
    properties: { grade: { enum: ['large', 'middling', 'small', 'seconds'] }, weightG: grams, pieces },
    additionalProperties: false,
  },
} as const

/** Everything that can be done with a lot; each leaves events in its ledger. */
export const actSchemas = {
  weigh: act(
    'weigh',
    ['weightG', 'basis'] as const,
    {
      weightG: grams,
      basis: { enum: ['lot', 'bunch'] },
      sure: { type: 'boolean' },
    } as const,
  ),
  test: act(
    'test',
    ['results'] as const,
    {
      results: {
        type: 'array',
        minItems: 1,
        maxItems: 10,
        items: {
          type: 'object',
          required: ['test', 'passed'],
          properties: { test: id, passed: { type: 'boolean' } },
          additionalProperties: false,
        },
      },
    } as const,
  ),
  fan: act('fan', ['on'] as const, { on: { type: 'boolean' } } as const),
  move: act('move', ['placeId'] as const, { placeId: uuid } as const),
  finish: act(
    'finish',
    ['pack', 'placeId', 'weightG'] as const,
    {
      neck: id,
      pack: id,
      placeId: uuid,
      weightG: grams,
      pieces,
      units: { type: 'integer', minimum: 1, maximum: 500 },
      wasteG: grams,
      grades,
      sure: { type: 'boolean' },
    } as const,
  ),
  check: act(
    'check',
    ['lookedAt', 'faults'] as const,
    {
      lookedAt: pieces,
      faults: {
        type: 'array',
        maxItems: 20,
        items: {
          type: 'object',
          required: ['fault', 'pieces', 'action'],
          properties: { fault: id, pieces, action: id },
          additionalProperties: false,
        },
      },
    } as const,
  ),
  use: act('use', [] as const, quantity),
  lose: act('lose', ['cause'] as const, { ...quantity, cause: text } as const),
  give: act('give', [] as const, quantity),
  plant: act('plant', [] as const, quantity),
  correct: act(
    'correct',
    ['weightG', 'why'] as const,
    {
      weightG: { type: 'integer', minimum: 0, maximum: 2_000_000 },
      pieces: { type: 'integer', minimum: 0, maximum: 100_000 },
      why: text,
    } as const,
  ),
  note: act('note', ['text'] as const, { text } as const),
  clean: act(
    'clean',
    ['step', 'weightG'] as const,
    { step: { enum: ['thresh', 'sieve', 'winnow'] }, weightG: grams } as const,
  ),
  load: act(
    'load',
    ['weightG', 'trays', 'airC', 'placeId'] as const,
    {
      takenG: grams,
      weightG: grams,
      trays: { type: 'integer', minimum: 1, maximum: 60 },
      airC: { type: 'number', minimum: 25, maximum: 80 },
      placeId: uuid,
      sure: { type: 'boolean' },
    } as const,
  ),
  strike: act('strike', ['event', 'why'] as const, { event: { type: 'integer', minimum: 1 }, why: text } as const),
  grade: act('grade', ['grades'] as const, { grades } as const),
  rotate: act('rotate', [] as const, {} as const),
  jar: act('jar', ['weightG'] as const, { weightG: grams, sure: { type: 'boolean' } } as const),
  shake: act(
    'shake',
    ['beads', 'mould'] as const,
    {
      beads: { type: 'boolean' },
      mould: { type: 'boolean' },
      jarHumidityPct: { type: 'number', minimum: 0, maximum: 100 },
    } as const,
  ),
} as const

export type ActName = keyof typeof actSchemas
export type Act = { [K in ActName]: FromSchema<(typeof actSchemas)[K]> & { act: K } }[ActName]

export type Stage = 'drying' | 'dryer' | 'conditioning' | 'fresh' | 'stored' | 'gone'

export interface LotRow {
  code: string
  crop: string
  heap: string
  fate: string
  variety: string | null
  bed: string | null
  broughtOn: string
  stage: Stage
  placeId: string | null
  place: string | null
  weightG: number
  pieces: number | null
  /** has been in the dehydrator */
  dried: boolean
}

export interface LotEventView {
  id: number
  kind: string
  at: string
  on: string
  weightG: number
  pieces: number
  place: string | null
  /** in the household's words */
  says: string
  /** a weighing that a later entry strikes out */
  struck: boolean
}

export interface KeepingView {
  nineInTenUntil: Spread<string>
  halfUntil: Spread<string>
  /** the horizon was reached: read “later than” */
  beyond: boolean
  curve: { on: string; p10: number; p50: number; p90: number }[]
  endedBy: { end: string; share: number; why: string }[]
  weightLossPctPerMonth: number
  soundNow: number
  nextCheckOn: string
  lookAt: number
}

export interface CuringView {
  progress: number
  ready: Spread<string | null>
  readyNow: number
  stalledHours: number
  stalledForHours: number
  mouldRiskHours: number
  airflow: 'still' | 'breezy' | 'fan'
  reasons: string[]
  basis: 'lot' | 'bunch' | null
  lastWeighedG: number | null
  expectedG: number | null
}

/** A load in the dehydrator. */
export interface DryerView {
  trays: number
  airC: number
  loadedAt: string
  targetG: number
  moisturePct: number
  progress: number
  doneAt: Spread<string>
  rotateAt: string
  rotated: boolean
  /** sent back by its jar */
  again: boolean
}

/** A jar being conditioned. */
export interface JarView {
  day: number
  of: number
  shakenToday: boolean
  /** what the last look said */
  says: string | null
}

export interface LotView extends LotRow {
  dryer: DryerView | null
  jar: JarView | null
  /** there is a picture at /lots/CODE/photo.jpg */
  pictured: boolean
  events: LotEventView[]
  keeping: KeepingView | null
  curing: CuringView | null
  checks: { on: string; lookedAt: number; bad: number }[]
  elsewhere: { placeId: string; place: string; nineInTenUntil: string; beyond: boolean; endedBy: string }[]
}

export interface ActAnswer {
  lot: LotRow
  /** codes of lots made by a split */
  made: string[]
}
