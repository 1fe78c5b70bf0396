import { describe, expect, it } from 'vitest'
import { steadyAir } from '../air'
import { cropById, type Crop, type Packing } from '../almanac'
import { agesByDay, bearableLossPct, ends, lossPctPerHourPerKPa, paceOf, paceSlopePerC, type End } from './index'

const bean = cropById('bean-drying')
const onion = cropById('onion-storing')
const carrot = cropById('carrot')

/** How far an end has come after some days in steady air. */
const after = (crop: Crop, end: End, t: number, rh: number, packing: Packing, days = 20) =>
  agesByDay(crop, steadyAir(t, rh, 24 * days), packing, { light: true, gas: 0 }).ages[ends.indexOf(end)]![days]!

describe('how far each end has come, by hand', () => {
  it('ageing: half is gone after the days the crop says, where it says them for, at the pace of its book', () => {
    const { ageingAtC, ageingDays } = carrot.keeping
    expect(after(carrot, 'rot', ageingAtC.value, 95, 'damp-sand')).toBeCloseTo(
      20 / (ageingDays.value * paceOf(carrot)),
      6,
    )
  })
  it('ageing follows what the crop breathes, °F to the power of its slope, and above 10 °C two and a half times for ten degrees at most', () => {
    const slope = (g: number) => {
      const respiration = { ...carrot.keeping.respiration!, value: { f: 1, g } }
      const crop = { ...carrot, keeping: { ...carrot.keeping, respiration } }
      return (from: number, to: number) =>
        after(crop, 'rot', to, 95, 'damp-sand') / after(crop, 'rot', from, 95, 'damp-sand')
    }
    expect(slope(2)(0, 10)).toBeCloseTo((50 / 32) ** 2, 6)
    expect(slope(2)(10, 20)).toBeCloseTo((68 / 50) ** 2, 6)
    expect(slope(4)(0, 10)).toBeCloseTo((50 / 32) ** 4, 6)
    expect(slope(4)(10, 20)).toBeCloseTo(2.5, 6)
    expect(slope(4)(10, 15)).toBeCloseTo(Math.sqrt(2.5), 6)
    // what is deep frozen breathes no slower than at 10 °F
    expect(slope(2)(-14, -20)).toBeCloseTo(1, 6)
  })
  it('what does not breathe ages twice as fast ten degrees warmer, or as fast as it says itself', () => {
    expect(bean.keeping.respiration).toBeUndefined()
    const pace = (crop: Crop) => after(crop, 'rot', 25, 50, 'sack') / after(crop, 'rot', 15, 50, 'sack')
    const q10 = (value: number) => {
      const { ageingDays } = bean.keeping
      return { ...bean, keeping: { ...bean.keeping, ageingQ10: { ...ageingDays, value } } }
    }
    expect(pace(q10(3))).toBeCloseTo(3, 6)
    const { ageingQ10: _, ...rest } = bean.keeping
    expect(pace({ ...bean, keeping: rest })).toBeCloseTo(2, 6)
  })
  it('what is kept dry rots faster in the damp, 8 % for each point from five above its best on; in a jar it feels none of it', () => {
    const damp = bean.keeping.bestHumidityPct.value[1] + 5
    const more = (points: number, packing: Packing, end: End = 'rot') =>
      after(bean, end, 12, damp + points, packing) / after(bean, end, 12, damp - 10, packing)
    expect(more(0, 'sack')).toBeCloseTo(1, 9)
    expect(more(10, 'sack')).toBeCloseTo(1.8, 9)
    expect(more(10, 'sack', 'early rot')).toBeCloseTo(1.8, 9)
    expect(more(10, 'jar')).toBeCloseTo(1, 9)
    expect(after(bean, 'early rot', 12, 90, 'jar')).toBe(0)
    expect(after(bean, 'mould', 12, 95, 'jar')).toBe(0)
    // forty days ten points above where it grows are half of a lot
    const air = steadyAir(12, 95, 1)
    expect(after(bean, 'mould', 12, 95, 'sack')).toBeCloseTo((20 * air.mouldExcessPct[0]!) / (10 * 40), 9)
  })
  it('hurt ones go in six parts of a hundred of the time the others have', () => {
    expect(after(carrot, 'early rot', 4, 95, 'damp-sand')).toBeCloseTo(
      after(carrot, 'rot', 4, 95, 'damp-sand') / 0.06,
      6,
    )
  })
  it('sprouting runs in straight lines between the days a crop says, and is held at both ends', () => {
    const points = onion.keeping.sproutingDays!.value
    const days = (t: number) => 20 / (after(onion, 'sprouting', t, 60, 'net') * paceOf(onion))
    const [[t0, d0], [t1, d1]] = [points[0]!, points[1]!]
    const [tn, dn] = points.at(-1)!
    expect(points.length).toBeGreaterThan(2)
    expect(days(t0 - 3)).toBeCloseTo(d0, 6)
    expect(days(t0)).toBeCloseTo(d0, 6)
    expect(days(t1)).toBeCloseTo(d1, 6)
    const third = Math.round((t0 + (t1 - t0) / 3) * 10) / 10
    expect(days(third)).toBeCloseTo(d0 + ((third - t0) / (t1 - t0)) * (d1 - d0), 6)
    expect(days(tn)).toBeCloseTo(dn, 6)
    expect(days(tn + 4)).toBeCloseTo(dn, 6)
  })
  it('how much quicker a degree more makes it is the steeper of the two, taken a degree to either side', () => {
    const { sproutingDays: _, ...without } = onion.keeping
    const twice = { ...onion.keeping.ageingDays, value: 2 }
    const plain = { ...onion, keeping: { ...without, ageingQ10: twice } }
    expect(paceSlopePerC(plain, 7)).toBeCloseTo(Math.LN2 / 10, 9)
    const steep = {
      ...onion.keeping.sproutingDays!,
      value: [
        [0, 300],
        [10, 100],
      ] as [number, number][],
    }
    const sprouts = { ...onion, keeping: { ...plain.keeping, sproutingDays: steep } }
    // 180 days at 6 °C, 140 at 8
    expect(paceSlopePerC(sprouts, 7)).toBeCloseTo(Math.log(180 / 140) / 2, 9)
    // the days fall to a worst warmth and rise again: colder is quicker there, and it counts the same
    const worst = {
      ...steep,
      value: [
        [0, 100],
        [10, 300],
      ] as [number, number][],
    }
    expect(paceSlopePerC({ ...sprouts, keeping: { ...sprouts.keeping, sproutingDays: worst } }, 5)).toBeCloseTo(
      Math.log(220 / 180) / 2,
      9,
    )
  })
  it('weight is lost as long as there is water, and is dried out at what a household bears', () => {
    const lost = (crop: Crop, t: number, rh: number, packing: Packing) =>
      agesByDay(crop, steadyAir(t, rh, 24 * 20), packing).lossPct[20]!
    const water = carrot.waterPct.value
    const by = (pullKPa: number, packing: Packing) =>
      water * (1 - Math.exp((-pullKPa * 480 * lossPctPerHourPerKPa(carrot, packing)) / water))
    const { vpdKPa } = steadyAir(15, 60, 1)
    expect(lost(carrot, 15, 60, 'box')).toBeCloseTo(by(vpdKPa[0]!, 'box'), 6)
    // in a bag stands air of 96 %, however dry the place; where the place is damper yet, as damp as that
    expect(lost(carrot, 15, 60, 'bag')).toBeCloseTo(by(vpdKPa[0]! / 10, 'bag'), 6)
    expect(lost(carrot, 15, 98, 'bag')).toBeCloseTo(by(vpdKPa[0]! / 20, 'bag'), 6)
    // dry goods in a bag make air of their own, and lose to the place what the bag lets out
    expect(lost(bean, 15, 60, 'bag')).toBeGreaterThan(0)
    expect(after(carrot, 'drying out', 15, 60, 'box')).toBeCloseTo(
      lost(carrot, 15, 60, 'box') / bearableLossPct(carrot),
      9,
    )
  })
  it('is not borne beyond four fifths of the water there is', () => {
    const dried = { ...carrot, waterPct: { ...carrot.waterPct, value: 10 } }
    expect(bearableLossPct(dried)).toBeCloseTo(8, 12)
    expect(bearableLossPct(carrot)).toBe(2 * carrot.keeping.largestLossPct.value)
    expect(bearableLossPct({ ...dried, keeping: { ...carrot.keeping, bearableLoss: 0.25 } })).toBe(
      0.25 * carrot.keeping.largestLossPct.value,
    )
  })
  it('roots grow up to 16 °C, not in frost and not below the damp they begin in; greening between 3 and 26 °C', () => {
    const [from, days] = [onion.keeping.rootsAbovePct!.value, onion.keeping.rootingDays!.value]
    expect(after(onion, 'rooting', 22, 90, 'net')).toBeCloseTo((1.6 * 20) / days, 6)
    expect(after(onion, 'rooting', 16, 90, 'net')).toBeCloseTo((1.6 * 20) / days, 6)
    expect(after(onion, 'rooting', 5, 90, 'net')).toBeCloseTo((0.5 * 20) / days, 6)
    expect(after(onion, 'rooting', 0, 95, 'net')).toBe(0)
    expect(after(onion, 'rooting', 10, from, 'net')).toBe(0)
    const potato = cropById('potato-maincrop')
    const green = (t: number) => (after(potato, 'greening', t, 85, 'box') * potato.keeping.greeningDays!.value) / 20
    expect([green(0), green(3), green(13), green(26), green(30)].map((pace) => pace.toFixed(4))).toEqual([
      '0.1500',
      '0.1500',
      '0.6500',
      '1.3000',
      '1.3000',
    ])
  })
})
