import { degrees, told, type Message } from '../message'
import { requireWithin } from '../refusal'
import { bagByBagUpTo } from '../assumptions'

export type CutOutcome = 'keep' | 'refreeze' | 'bag-by-bag' | 'throw-out'

export interface PowerCutAnswer {
  /** hours the rule gives this freezer, door shut */
  safeHours: number
  outcome: CutOutcome
  advice: Message
  foodKg: number
  /** what the rule's warming comes to; beyond the rule no single figure is right for every bag */
  endTemperatureC?: number
}

/** Hours a full freezer at −18 °C in a room of 21 °C, door shut, stays frozen; half of it half full. @source USDA FSIS (recalled, not re-read) */
export const fullFreezerHours = 48

const ruleStartC = -18
const ruleRoomC = 21
/** the rule's hours end where thawing begins */
const thawsAtC = -1
/** hard frozen still: no bag is looked at */
const hardC = -6
/** @source USDA FSIS: ice crystals, or at most 40 °F (4 °C), may be frozen again (recalled) */
const refreezeAtMostC = 4
/** Packed food is about half air: 35 lb a cubic foot. @source USDA bulletin on home freezers (recalled, not re-read) */
export const packedKgPerLitre = 0.55

/** Newton's cooling law, in units of its time constant: how long from one temperature to another in a room. */
const warming = (fromC: number, toC: number, roomC: number): number =>
  roomC <= toC ? Infinity : Math.log((roomC - fromC) / (roomC - toC))

/**
 * Hours the rule gives: 48 full and 24 half full, fewer in a warmer room or where it was not as cold to begin with, never
 * more: the rule is not stretched.
 */
function safeHoursOf(fillFraction: number, roomC: number, startC: number): number {
  if (startC >= thawsAtC) return 0
  const against = warming(startC, thawsAtC, roomC) / warming(ruleStartC, thawsAtC, ruleRoomC)
  return fullFreezerHours * fillFraction * Math.min(1, against)
}

/**
 * What a power cut does to a shut freezer. The rule decides: up to it keep or refreeze, to half as long again only bags
 * with ice crystals or read at 4 °C and below, then throw out. A temperature that was read decides by itself.
 * @param fillFraction 0.05…1
 * @param measuredC read in the food when the power is back, °C
 * @throws Refusal `out-of-range`
 * @source USDA FSIS rule for hours and advice (recalled, not re-read)
 */
export function powerCut(
  freezerLitres: number,
  fillFraction: number,
  hoursOff: number,
  roomTemperatureC: number,
  startTemperatureC = ruleStartC,
  measuredC?: number,
): PowerCutAnswer {
  requireWithin(freezerLitres, 5, 5000, 'freezerLitres', 'L')
  requireWithin(fillFraction, 0.05, 1, 'fillFraction', '')
  requireWithin(hoursOff, 0, 2000, 'hoursOff', 'hours')
  requireWithin(roomTemperatureC, 0, 50, 'roomTemperatureC', '°C')
  requireWithin(startTemperatureC, -40, -2, 'startTemperatureC', '°C')
  if (measuredC !== undefined) requireWithin(measuredC, -40, 50, 'measuredC', '°C')
  const safeHours = safeHoursOf(fillFraction, roomTemperatureC, startTemperatureC)
  const within = hoursOff <= safeHours
  const end = within ? endAt(hoursOff / safeHours, roomTemperatureC, startTemperatureC) : undefined
  const outcome = measuredC === undefined ? byTheRule(hoursOff, safeHours, end) : byReading(measuredC)
  return {
    safeHours,
    outcome,
    advice: adviceFor[outcome],
    foodKg: freezerLitres * fillFraction * packedKgPerLitre,
    ...(end === undefined ? {} : { endTemperatureC: end }),
  }
}

/** Temperature after a share of the rule's hours, °C: it reaches the thaw at their end. */
function endAt(share: number, roomC: number, startC: number): number {
  const whole = Math.min(warming(startC, thawsAtC, roomC), warming(startC, thawsAtC, Math.max(roomC, ruleRoomC)))
  const towards = Math.max(roomC, ruleRoomC)
  return Math.min(thawsAtC, towards - (towards - startC) * Math.exp(-share * whole))
}

function byTheRule(hoursOff: number, safeHours: number, endC: number | undefined): CutOutcome {
  if (endC !== undefined) return endC <= hardC ? 'keep' : 'refreeze'
  return hoursOff <= safeHours * bagByBagUpTo ? 'bag-by-bag' : 'throw-out'
}

const byReading = (measuredC: number): CutOutcome =>
  measuredC <= hardC ? 'keep' : measuredC <= refreezeAtMostC ? 'refreeze' : 'throw-out'

const cold = degrees(refreezeAtMostC)
const adviceFor: Record<CutOutcome, Message> = {
  keep: told('kitchen.cutKeep'),
  refreeze: told('kitchen.cutRefreeze', { cold }),
  'bag-by-bag': told('kitchen.cutBagByBag', { cold }),
  'throw-out': told('kitchen.cutThrowOut', { cold }),
}
