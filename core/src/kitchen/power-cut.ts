import { requireWithin } from '../refusal'

export type CutOutcome = 'keep' | 'refreeze' | 'cook-today' | 'throw-out'

export interface PowerCutAnswer {
  hoursToThawStart: number
  endTemperatureC: number
  outcome: CutOutcome
  advice: string
  foodKg: number
}

/** Hours a full freezer at −18 °C in a room of 21 °C, door shut, stays frozen. @source USDA FSIS: 48 h full, 24 h half full (recalled) */
export const fullFreezerHours = 48

const thawsAtC = -1
const ruleStartC = -18
const ruleRoomC = 21
const frozenHeat = 1.9
const thawedHeat = 3.7
/**
 * Judgement: the outermost bags thaw long before the middle, and the advice is for them, so only part of the latent
 * heat of 290 kJ/kg is counted.
 */
const latentCounted = 0.35 * 290
const packedKgPerLitre = 0.55

/** Newton warming: hours for food of heat capacity `heat` (in the rule's terms) from one temperature to another. */
const ruleRate = (frozenHeat * Math.log((ruleRoomC - ruleStartC) / (ruleRoomC - thawsAtC))) / fullFreezerHours

/**
 * What a power cut does to a shut freezer: a lumped mass with latent heat, its loss set so that a full one begins to
 * thaw after the 48 hours of the rule and a half-full one after 24.
 * @param fillFraction 0.05…1
 * @throws Refusal `out-of-range`
 * @source USDA FSIS rule for the pace and the advice (recalled, not re-read)
 */
export function powerCut(
  freezerLitres: number,
  fillFraction: number,
  hoursOff: number,
  roomTemperatureC: number,
  startTemperatureC = ruleStartC,
): PowerCutAnswer {
  requireWithin(freezerLitres, 5, 5000, 'freezerLitres', 'L')
  requireWithin(fillFraction, 0.05, 1, 'fillFraction', '')
  requireWithin(hoursOff, 0, 2000, 'hoursOff', 'hours')
  requireWithin(roomTemperatureC, 0, 50, 'roomTemperatureC', '°C')
  requireWithin(startTemperatureC, -40, -2, 'startTemperatureC', '°C')
  const rate = ruleRate / fillFraction
  const toThaw = (frozenHeat * Math.log((roomTemperatureC - startTemperatureC) / (roomTemperatureC - thawsAtC))) / rate
  const melting = latentCounted / (rate * (roomTemperatureC - thawsAtC))
  let end: number
  if (hoursOff <= toThaw) {
    end = roomTemperatureC - (roomTemperatureC - startTemperatureC) * Math.exp((-rate * hoursOff) / frozenHeat)
  } else if (hoursOff <= toThaw + melting) {
    end = thawsAtC + (hoursOff - toThaw) / melting
  } else {
    const gone = hoursOff - toThaw - melting
    end = roomTemperatureC - roomTemperatureC * Math.exp((-rate * gone) / thawedHeat)
  }
  const outcome = outcomeAt(end, hoursOff - toThaw - melting)
  return {
    hoursToThawStart: toThaw,
    endTemperatureC: end,
    outcome,
    advice: adviceFor[outcome],
    foodKg: freezerLitres * fillFraction * packedKgPerLitre,
  }
}

/** @source USDA FSIS: ice crystals or at most 4 °C may be frozen again; above 4 °C for 2 hours is thrown out (recalled) */
function outcomeAt(temperatureC: number, hoursThawed: number): CutOutcome {
  if (temperatureC < -6) return 'keep'
  if (temperatureC <= 1) return 'refreeze'
  if (temperatureC <= 4 && hoursThawed < 24) return 'cook-today'
  return 'throw-out'
}

const adviceFor: Record<CutOutcome, string> = {
  keep: 'Keep the door shut; it is still hard frozen. Eat these bags a little sooner.',
  refreeze:
    'Look bag by bag when the power is back: with ice crystals in it, or at most 4 °C, it may be frozen again; quality suffers, raw fruit least.',
  'cook-today': 'Thawed but cold (at most 4 °C): cook it today, then it may be frozen once cooked.',
  'throw-out':
    'Above 4 °C: throw out cooked dishes, soups and meat after 2 hours, vegetables after 6; fruit that smells of yeast or has mould. When in doubt, throw it out. Your local authority’s advice comes first.',
}
