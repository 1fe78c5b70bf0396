import type { Crop } from '../almanac'
import { told, listing, type Message, prose } from '../message'
import { Refusal, requireWithin } from '../refusal'
import { blanch } from './blanch'
import { loadKgPerLitre } from './freezer-load'
import { freezeWithin, fridgeAges, handlingMinutes, rawMinutesPerKg } from '../assumptions'

/** A heap that wants freezing. */
export interface GlutHeap {
  crop: Crop
  cut?: string
  kg: number
  hoursSincePicking: number
}

/** An evening somebody is free. */
export interface FreeTime {
  /** hours from now */
  inHours: number
  hours: number
}

export interface Kitchen {
  panLitres: number
  trays: number
  kgPerTray: number
  freezerLitres: number
  altitudeM: number
  /** minutes until the pan boils, each evening; what goes in raw is done meanwhile */
  boilMinutes?: number
}

export interface GlutPlan {
  batches: {
    /** which of the heaps it is of */
    heap: number
    crop: string
    cut: string
    /** in water or steam, minutes; 0 for what goes on the tray raw */
    blanchMinutes: number
    kg: number
    startInHours: number
    minutes: number
    hoursOld: number
    late: boolean
  }[]
  /** what no evening, tray or freezer has room for */
  leftOver: {
    heap: number
    crop: string
    kg: number
    why: 'time' | 'trays' | 'freezer' | 'too-old'
    instead: Message
  }[]
  kgFrozen: number
  kgLate: number
}

/** Half a kilo to four litres of water. @source NCHFP: a gallon a pound; practice takes half a kilo to 4 L (recalled) */
const kgPerLitreOfWater = 0.5 / 4

/** Hours after picking within which it should be in the freezer. */
export function freezeWithinHours(crop: Crop): number {
  if (crop.id === 'sweetcorn' || crop.id.startsWith('pea')) return freezeWithin.sweet
  if (crop.group === 'berry' || crop.group === 'leaf') return freezeWithin.soft
  if (crop.group === 'legume') return freezeWithin.legume
  return freezeWithin.other
}

export const hoursAged = (hours: number, inFridge: boolean): number => hours * (inFridge ? fridgeAges : 1)

/**
 * Which batches to freeze on which evening: the heaps that can be in time first, batch by batch, as pan, time, trays and
 * the freezer's power allow.
 * @throws Refusal `out-of-range`, `invalid` where evenings overlap, and what `blanch` refuses
 */
export function glutPlan(heaps: readonly GlutHeap[], evenings: readonly FreeTime[], kitchen: Kitchen): GlutPlan {
  requireWithin(kitchen.panLitres, 1, 100, 'panLitres', 'L')
  requireWithin(kitchen.trays, 0, 50, 'trays', '')
  requireWithin(kitchen.kgPerTray, 0.1, 10, 'kgPerTray', 'kg')
  requireWithin(kitchen.freezerLitres, 5, 5000, 'freezerLitres', 'L')
  const sorted = [...evenings].sort((a, b) => a.inHours - b.inHours)
  sorted.forEach((evening, i) => {
    const before = sorted[i - 1]
    if (before && before.inHours + before.hours > evening.inHours + 1e-9) {
      throw new Refusal('invalid', told('kitchen.eveningsOverlap'), 'evenings')
    }
  })
  const work = heaps.map((heap, i) => {
    requireWithin(heap.kg, 0.05, 500, `heaps/${i}/kg`, 'kg')
    requireWithin(heap.hoursSincePicking, 0, 200, `heaps/${i}/hoursSincePicking`, 'hours')
    const how = blanch(heap.crop, heap.cut, kitchen.altitudeM)
    const minutes = how.waterMinutes || how.steamMinutes
    return {
      heap,
      cut: how.cut,
      blanched: minutes > 0,
      blanchMinutes: minutes,
      left: heap.kg,
      deadline: freezeWithinHours(heap.crop) - heap.hoursSincePicking,
      batchKg: minutes > 0 ? kitchen.panLitres * kgPerLitreOfWater : 1,
      // water comes back to the boil within a minute; the next batch blanches while this one cools
      batchMinutes: minutes > 0 ? minutes + 1 + handlingMinutes : rawMinutesPerKg,
      blocked: undefined as GlutPlan['leftOver'][number]['why'] | undefined,
    }
  })
  const batches: GlutPlan['batches'] = []
  const perDay = kitchen.freezerLitres * loadKgPerLitre.most
  const loads: { at: number; kg: number }[] = []
  for (const evening of sorted) {
    let minute = 0
    let onTrays = 0
    for (;;) {
      const open = work.filter(
        (w) => w.left > 1e-6 && w.heap.hoursSincePicking + evening.inHours < freezeWithinHours(w.heap.crop) * 2,
      )
      const order = inTimeFirst(open, evening.inHours + minute / 60)
      const start = evening.inHours + minute / 60
      const inFreezer = loads.filter((l) => l.at > start - 24).reduce((sum, l) => sum + l.kg, 0)
      const roomKg = Math.min(perDay - inFreezer, kitchen.trays * kitchen.kgPerTray - onTrays)
      const fits = order.filter((w) => minute + w.batchMinutes <= evening.hours * 60 + 1e-9)
      const boils = kitchen.boilMinutes ?? 0
      let next = fits[0]
      if (next?.blanched && minute < boils) {
        // raw ones are spread while the water heats; with none left one waits for it
        next = fits.find((w) => !w.blanched)
        if (!next) {
          minute = boils
          continue
        }
      }
      if (!next || roomKg < 0.05) {
        for (const w of open) {
          w.blocked = !next ? 'time' : perDay - inFreezer < 0.05 ? 'freezer' : 'trays'
        }
        break
      }
      const kg = Math.min(next.batchKg, next.left, roomKg)
      const doneAt = start + next.batchMinutes / 60
      batches.push({
        heap: work.indexOf(next),
        crop: next.heap.crop.id,
        cut: next.cut,
        blanchMinutes: next.blanchMinutes,
        kg,
        startInHours: start,
        minutes: next.batchMinutes,
        hoursOld: next.heap.hoursSincePicking + start,
        late: doneAt > next.deadline + 1e-9,
      })
      loads.push({ at: start, kg })
      onTrays += kg
      next.left -= kg
      minute += next.batchMinutes
    }
  }
  return {
    batches,
    leftOver: work
      .filter((w) => w.left > 1e-6)
      .map((w) => ({
        heap: work.indexOf(w),
        crop: w.heap.crop.id,
        kg: w.left,
        why: w.blocked ?? 'time',
        instead: insteadOf(w.heap.crop),
      })),
    kgFrozen: batches.reduce((sum, b) => sum + b.kg, 0),
    kgLate: batches.reduce((sum, b) => sum + (b.late ? b.kg : 0), 0),
  }
}

/**
 * What can be in time comes first, soonest deadline before later; where not all can, what takes longest gives way (Moore
 * and Hodgson: most heaps in time). What is late already, or gives way, comes last: it spoils no other.
 * @param nowHours hours from now at which the next batch would begin
 * @source Moore 1968, Management Science 15: n jobs, one machine, fewest late
 */
function inTimeFirst<T extends { deadline: number; left: number; batchKg: number; batchMinutes: number }>(
  open: readonly T[],
  nowHours: number,
): T[] {
  const takes = (w: T) => (Math.ceil(w.left / w.batchKg - 1e-9) * w.batchMinutes) / 60
  const inTime: T[] = []
  const late: T[] = []
  let ends = nowHours
  for (const w of [...open].sort((a, b) => a.deadline - b.deadline)) {
    inTime.push(w)
    ends += takes(w)
    if (ends <= w.deadline + 1e-9) continue
    const longest = inTime.reduce((most, one) => (takes(one) > takes(most) ? one : most))
    inTime.splice(inTime.indexOf(longest), 1)
    ends -= takes(longest)
    late.push(longest)
  }
  return [...inTime, ...late]
}

/** What else to do with it. */
function insteadOf(crop: Crop): Message {
  const ways = crop.ways.filter((w) => !['freeze', 'seed'].includes(w.way)).map((w) => prose(w.note))
  return ways[0] ? told('kitchen.instead', { ways: listing(ways.slice(0, 2), '; or ') }) : told('kitchen.giveAway')
}
