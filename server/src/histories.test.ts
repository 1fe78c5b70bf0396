import { cropById, cropFiles, type Crop } from '@vadose/core/almanac'
import fc from 'fast-check'
import { expect, it } from 'vitest'
import { practiceFile } from './testing/fresh'

const at = practiceFile()
const screens = ['/frame', '/round', '/line', '/line-advice', '/stores', '/larder', '/lots', '/exports/jobs.ics']
const crops = cropFiles.map(({ id }) => cropById(id))
const hanging = crops.filter(({ heaps }) => heaps[0]!.hangs)
const steps = 140

interface Lot {
  code: string
  crop: string
  stage: string
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

/** A step is a choice among what can be done at that moment, told by numbers drawn beforehand. */
const step = fc.record({
  kind: fc.constantFrom(
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
    'revive',
    'time',
  ),
  crop: fc.constantFrom(...crops),
  grams,
  counted: fc.boolean(),
  share: part01,
  of: fc.nat(1000),
  number: fc.uuid({ version: 4 }),
})
type Step = typeof step extends fc.Arbitrary<infer S> ? S : never

const pick = <T>(list: readonly T[], { of }: Step): T | undefined => list[of % Math.max(1, list.length)]
const part = (whole: number, { share: of }: Step) => Math.max(1, Math.min(whole, Math.round(whole * of)))
const act = (code: string, what: object, { number }: Step) =>
  at.client.post(`/lots/${code}/acts`, { requestId: number, ...what })

/** Does it, if there is anything to do it with. @returns the answer's status and what was said */
async function take(one: Step, lots: Lot[]) {
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
      return lot && act(lot.code, { act: 'use', weightG: part(lot.weightG, one) }, one)
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
    case 'time':
      return at.client.post('/clock', { to: one.counted ? 'next-week' : 'next-morning' })
  }
}

it(`nothing that is accepted makes any screen fail, in ${steps} steps`, async () => {
  const done = new Map<string, number>()
  for (const one of fc.sample(step, { numRuns: steps, seed: 712 })) {
    const lots = (await at.client.get('/lots')).body as Lot[]
    const answer = await take(one, lots)
    if (answer && answer.status < 300) done.set(one.kind, (done.get(one.kind) ?? 0) + 1)
    else if (answer) expect([one.kind, answer.status]).toEqual([one.kind, 400])
    for (const path of [...screens, ...(answer?.body.lot ? [`/lots/${answer.body.lot.code}`] : [])]) {
      const screen = await fetch(at.client.address(path))
      if (screen.status !== 200)
        throw new Error(`${path} after ${JSON.stringify({ ...one, crop: one.crop.id })}: ${await screen.text()}`)
      await screen.arrayBuffer()
    }
  }
  for (const lot of (await at.client.get('/lots')).body as Lot[]) {
    const { status, body } = await at.client.get(`/lots/${lot.code}`)
    expect([lot.code, status, body.trouble]).toEqual([lot.code, 200, undefined])
  }
  // everything was done, not only tried
  expect([...done.keys()].sort()).toEqual([
    'bring',
    'correct',
    'count',
    'finish',
    'pick',
    'revive',
    'split',
    'time',
    'undo',
    'use',
    'weigh',
  ])
})
