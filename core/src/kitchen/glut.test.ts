import fc from 'fast-check'
import { expect, it } from 'vitest'
import { cropById } from '../almanac'
import { freezeWithinHours, glutPlan, type GlutHeap } from './glut'

const kitchen = { panLitres: 8, trays: 50, kgPerTray: 10, freezerLitres: 5000, altitudeM: 0 }
const kinds = ['sweetcorn', 'pea', 'bean-green', 'carrot', 'broccoli', 'spinach'] as const

/** Heaps of one batch to five each, whose hours run out while somebody stands at the stove; one of a crop. */
const glutsOf = fc.uniqueArray(
  fc.record({
    id: fc.constantFrom(...kinds),
    kg: fc.integer({ min: 1, max: 5 }),
    leftMinutes: fc.integer({ min: 5, max: 160 }),
  }),
  { minLength: 2, maxLength: 5, selector: ({ id }) => id },
)
const heapOf = ({ id, kg, leftMinutes }: { id: string; kg: number; leftMinutes: number }): GlutHeap => {
  const crop = cropById(id)
  return { crop, kg, hoursSincePicking: freezeWithinHours(crop) - leftMinutes / 60 }
}

const permutations = (of: readonly number[]): number[][] =>
  of.length <= 1 ? [[...of]] : of.flatMap((one, i) => permutations(of.toSpliced(i, 1)).map((rest) => [one, ...rest]))

/** How many heaps are wholly in time when the heaps are done one after another, best of all orders. */
function mostInTime(heaps: readonly GlutHeap[], minutesOf: (heap: number) => number): number {
  let most = 0
  for (const order of permutations([...heaps.keys()])) {
    let minute = 0
    let inTime = 0
    for (const i of order) {
      minute += minutesOf(i)
      const left = (freezeWithinHours(heaps[i]!.crop) - heaps[i]!.hoursSincePicking) * 60
      if (minute <= left + 1e-6) inTime++
    }
    most = Math.max(most, inTime)
  }
  return most
}

it('has as many heaps in time as the best of all orders, on 150 small glut evenings', () => {
  let tight = 0
  fc.assert(
    fc.property(glutsOf, (drawn) => {
      const heaps = drawn.map(heapOf)
      const { batches, leftOver } = glutPlan(heaps, [{ inHours: 0, hours: 24 }], kitchen)
      expect(leftOver).toEqual([])
      const of = (heap: GlutHeap) => batches.filter(({ crop }) => crop === heap.crop.id)
      const minutes = heaps.map((heap) => of(heap).reduce((sum, batch) => sum + batch.minutes, 0))
      const inTime = heaps.filter((heap) => of(heap).every(({ late }) => !late)).length
      const best = mostInTime(heaps, (i) => minutes[i]!)
      if (best < heaps.length) tight++
      return inTime === best
    }),
    { numRuns: 150, seed: 20261126 },
  )
  // the evenings ask for something
  expect(tight).toBeGreaterThan(50)
})
