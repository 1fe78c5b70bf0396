import { cropById, cropFiles, feeding, type Crop } from '@vadose/core/almanac'
import fc from 'fast-check'
import type { PracticeFile } from './fresh'

const crops = cropFiles.map(({ id }) => cropById(id))
const hanging = crops.filter(({ heaps }) => heaps[0]!.hangs)

export interface Lot {
  code: string
  crop: string
  stage: string
  form: string
  unit: string | null
  weightG: number
  pieces: number | null
}

/** Grams from a pinch to tonnes, most of them a harvest's. */
const grams = fc.oneof(
  { arbitrary: fc.integer({ min: 200, max: 30_000 }), weight: 6 },
  { arbitrary: fc.integer({ min: 1, max: 200 }), weight: 2 },
  { arbitrary: fc.integer({ min: 100_000, max: 2_000_000 }), weight: 2 },
)
const part01 = fc.double({ min: 0.02, max: 1, noNaN: true })

/** What somebody may do, as often as it is listed. */
export const kinds = [
  'bring',
  'bring',
  'bring',
  'pick',
  'finish',
  'split',
  'count',
  'use',
  'weigh',
  'correct',
  'undo',
  'undo',
  'revive',
  'part',
  'sort',
  'sort',
  'give',
  'plant',
  'lose',
  'feed',
  'feed',
  'take-down-some',
  'hang',
  'hang',
  'strike',
  'strike',
  'restate',
  'restate',
  'restate',
  'hang',
  'hang',
  'cook',
  'cook',
  'stock',
  'stock',
  'open',
  'open',
  'time',
] as const
/** A step is a choice among what can be done at that moment, told by numbers drawn beforehand. */
export const step = fc.record({
  kind: fc.constantFrom(...kinds),
  crop: fc.constantFrom(...crops),
  grams,
  counted: fc.boolean(),
  share: part01,
  of: fc.nat(1000),
  number: fc.uuid({ version: 4 }),
})
export type Step = typeof step extends fc.Arbitrary<infer S> ? S : never

const pick = <T>(list: readonly T[], { of }: Step): T | undefined => list[of % Math.max(1, list.length)]
const part = (whole: number, { share: of }: Step) => Math.max(1, Math.min(whole, Math.round(whole * of)))
/** Does it, if there is anything to do it with. @returns the answer's status and what was said */
export async function take(at: PracticeFile, one: Step, lots: Lot[]) {
  const act = (code: string, what: object, { number: requestId }: Step) =>
    at.client.post(`/lots/${code}/acts`, { requestId, ...what })
  const { crop: any, number, kind, share } = one
  const place = at.place(['Cellar', 'North room', 'Kitchen', 'Veranda'][one.of % 4]!)
  const here = (stages: string[], test: (lot: Lot, grown: Crop) => boolean = () => true) =>
    pick(
      lots.filter((lot) => stages.includes(lot.stage) && lot.weightG > 4 && test(lot, cropById(lot.crop))),
      one,
    )
  switch (kind) {
    case 'bring': {
      // half of what comes in hangs, so that there is always something on the line
      const crop = share > 0.5 ? pick(hanging, one)! : any
      const heaps = crop.heaps.filter((_, i) => i === 0 || (one.of >> i) & 1)
      const weightG = Math.max(1, Math.min(300_000, one.grams))
      const rows = heaps.map((heap) => ({
        heap: heap.id,
        weightG,
        placeId: place,
        ...(one.counted ? { pieces: Math.max(1, Math.min(100_000, Math.round(weightG / crop.pieceG.value))) } : {}),
      }))
      const totalG = weightG * rows.length
      return at.client.post('/harvests', {
        requestId: number,
        crop: crop.id,
        harvestedOn: '2026-07-12',
        totalG,
        heaps: rows,
        sure: true,
      })
    }
    case 'pick': {
      const fresh = crops.filter((grown) => !grown.heaps[0]!.hangs)
      return at.client.post('/picks', { requestId: number, crop: pick(fresh, one)!.id, weightG: one.grams, sure: true })
    }
    case 'finish': {
      const lot = here(['drying'])
      if (!lot) return undefined
      const grown = cropById(lot.crop)
      const pack = pick(grown.packs, one)?.id ?? 'box'
      const neck = grown.necks?.[0]?.id
      return act(
        lot.code,
        {
          act: 'finish',
          pack,
          placeId: place,
          weightG: part(lot.weightG, one),
          sure: true,
          ...(neck ? { neck } : {}),
          ...(lot.pieces ? { pieces: lot.pieces } : {}),
        },
        one,
      )
    }
    case 'split': {
      const lot = here(['stored'], ({ pieces }) => pieces === null)
      return (
        lot && act(lot.code, { act: 'grade', grades: [{ grade: 'small', weightG: part(lot.weightG - 1, one) }] }, one)
      )
    }
    case 'count': {
      const lot = here(['stored'], (_, grown) => grown.faults.length > 0)
      if (!lot) return undefined
      const fault = pick(cropById(lot.crop).faults, one)!
      const lookedAt = Math.max(1, Math.min(lot.pieces ?? 40, 40))
      return act(
        lot.code,
        { act: 'check', lookedAt, faults: [{ fault: fault.id, pieces: 1, action: fault.actions[0]!.id }] },
        one,
      )
    }
    case 'use': {
      const lot = here(['stored', 'fresh'])
      // some of what is cooked leaves peelings
      const kept = one.counted ? { kept: [{ what: 'peelings' }] } : {}
      return lot && act(lot.code, { act: 'use', weightG: part(lot.weightG, one), ...kept }, one)
    }
    case 'weigh': {
      const lot = here(['drying'])
      return lot && act(lot.code, { act: 'weigh', basis: 'lot', weightG: part(lot.weightG, one), sure: true }, one)
    }
    case 'correct': {
      const lot = here(['drying', 'stored', 'fresh'])
      return lot && act(lot.code, { act: 'correct', weightG: part(lot.weightG, one) - 1, why: 'weighed again' }, one)
    }
    case 'undo': {
      const lot = pick(lots, one)
      if (!lot) return undefined
      const { events } = (await at.client.get(`/lots/${lot.code}`)).body as {
        events: { id: number; undoable: boolean }[]
      }
      const last = events.find(({ undoable }) => undoable)
      return last && at.client.post(`/lots/${lot.code}/undo`, { requestId: number, event: last.id })
    }
    case 'revive': {
      const gone = pick((await at.client.get('/lots?gone=yes')).body as Lot[], one)
      return gone && act(gone.code, { act: 'correct', weightG: Math.min(one.grams, 50_000), why: 'found again' }, one)
    }
    case 'part': {
      const lot = here(['stored', 'fresh', 'drying'])
      return lot && act(lot.code, { act: 'move', placeId: place, weightG: part(lot.weightG, one) }, one)
    }
    case 'sort': {
      const lot = here(['stored', 'fresh', 'drying'], ({ weightG }) => weightG > 20)
      if (!lot) return undefined
      const fates = ['eat-first', 'compost', 'bin', 'give', 'bin', 'compost', 'cut-round'] as const
      const heaps = [0, 1, 2].map((i) => ({
        fate: fates[(one.of + 3 * i) % fates.length]!,
        ...(i === 2 && one.counted ? { all: true } : { weightG: part(Math.floor(lot.weightG / 4), one) }),
      }))
      return act(lot.code, { act: 'sort', heaps, rest: one.of % 3 === 0 ? 'missing' : 'store', sure: true }, one)
    }
    case 'give':
    case 'plant':
    case 'lose': {
      const lot = here(['stored', 'fresh', 'drying'])
      const more = kind === 'lose' ? { cause: 'mice', to: 'burn' } : {}
      return lot && act(lot.code, { act: kind, weightG: part(lot.weightG, one), ...more }, one)
    }
    case 'feed': {
      const lot = here(['stored', 'fresh', 'drying'], (_, grown) => feeding(grown).safe)
      return lot && act(lot.code, { act: 'feed', to: 'hens', weightG: part(lot.weightG, one) }, one)
    }
    case 'take-down-some': {
      const lot = here(['drying'], ({ weightG }) => weightG > 20)
      if (!lot) return undefined
      const grown = cropById(lot.crop)
      const ofG = part(lot.weightG - 1, { ...one, share: share * 0.7 })
      const neck = grown.necks[0]?.id
      const pack = grown.packs[0]!.id
      const weightG = Math.max(1, Math.round(ofG * 0.8))
      return act(
        lot.code,
        { act: 'finish', pack, placeId: place, ofG, weightG, sure: true, ...(neck ? { neck } : {}) },
        one,
      )
    }
    case 'hang': {
      const lot = here(['stored'], (_, grown) => grown.curing !== undefined)
      return lot && act(lot.code, { act: 'hang', placeId: place }, one)
    }
    case 'strike':
    case 'restate': {
      const lot = pick(lots, one)
      if (!lot) return undefined
      const { events } = (await at.client.get(`/lots/${lot.code}`)).body as {
        events: { id: number; kind: string; struck: boolean; weightG: number }[]
      }
      const standing = events.filter((event) => !event.struck && !['undone', 'restated'].includes(event.kind))
      const event = standing[Math.floor(share * (standing.length - 1e-9))]
      if (!event) return undefined
      const what = { requestId: number, event: event.id, why: 'a slip' }
      return kind === 'strike'
        ? at.client.post(`/lots/${lot.code}/strike`, what)
        : at.client.post(`/lots/${lot.code}/restate`, { ...what, weightG: part(Math.abs(event.weightG) + 1, one) })
    }
    case 'cook': {
      const [first, ...others] = lots.filter(
        ({ stage, weightG }) => ['stored', 'fresh', 'drying'].includes(stage) && weightG > 20,
      )
      if (!first) return undefined
      const second = pick(others, one)
      const takes = [first, ...(second ? [second] : [])].map(({ code, weightG }) => ({
        code,
        weightG: part(weightG, one),
      }))
      const inG = takes.reduce((sum, { weightG }) => sum + weightG, 100)
      const into = one.counted
        ? lots.find(({ form, unit }) => form === 'frozen' && unit === 'portion')?.code
        : undefined
      return at.client.post('/kitchen/dishes', {
        requestId: number,
        name: 'Pot',
        form: 'frozen',
        takes: takes.filter(({ code }) => code !== into),
        adds: [{ name: 'water', weightG: 100 }],
        ...(one.counted ? {} : { weightG: part(inG, one) }),
        pieces: 1 + (one.of % 9),
        unit: 'portion',
        placeId: place,
        ...(into ? { into } : {}),
      })
    }
    case 'stock':
      return at.client.post('/larder/stock', {
        requestId: number,
        lines: [
          { crop: any.id, form: 'jarred', source: 'bought', unit: 'jar', pieces: 1 + (one.of % 20), placeId: place },
          { crop: 'pantry', name: 'Oil', form: 'fresh', source: 'bought', weightG: part(5000, one), placeId: place },
        ],
      })
    case 'open': {
      const lot = here(['stored'], ({ unit, pieces }) => unit === 'jar' && pieces !== null)
      return lot && act(lot.code, { act: 'open' }, one)
    }
    case 'time':
      return at.client.post('/clock', { to: one.counted ? 'next-week' : 'next-morning' })
  }
}
