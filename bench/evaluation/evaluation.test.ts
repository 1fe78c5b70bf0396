import { describe, expect, it } from 'vitest'
import { scoreBunches, steadyDays, type Summer } from './bunches'
import { scoreClimates } from './climates'
import { scoreCuring } from './curing-lots'
import { eatingWorlds, windowsHeld } from './eating'
import { scoreHouses } from './houses'
import { scoreLearning } from './learning'
import { scoreStores } from './stores'

// small runs of what `npm run evaluate` prints in full; bounds leave room for the chance of fewer lots

describe('the curing clock on lots dried by another truth', () => {
  const score = scoreCuring(250)
  it('misses by about two thirds of what the calendar misses by', () => {
    expect(score.meanDays).toBeGreaterThan(18)
    expect(score.meanDays).toBeLessThan(23)
    expect(score.missMedian).toBeLessThan(2.45)
    expect(score.missMedian).toBeLessThan(score.calendarMedian * 0.72)
  })
  it('gives windows that hold the truth about 8 times in 10', () => {
    expect(score.coveredPct).toBeGreaterThan(70)
    expect(score.coveredPct).toBeLessThan(88)
  })
  it('comes within a fifth of the duration from the air alone', () => {
    expect(score.unweighedMedianPct).toBeLessThan(20)
  })
})

describe('garlic in bunches that differ, dried by diffusion through leaf, skins and neck', () => {
  it('dries in steady air as garlic does: the simulator is set by practice, not by the clock (common practice, no source)', () => {
    for (const [t, rh, least, most] of [
      [20, 60, 16, 26],
      [27, 70, 13, 23],
      [9, 78, 45, 150],
    ] as const) {
      expect(steadyDays(t, rh), `${t} °C ${rh} %`).toBeGreaterThanOrEqual(least)
      expect(steadyDays(t, rh), `${t} °C ${rh} %`).toBeLessThanOrEqual(most)
    }
    expect(steadyDays(25, 90)).toBe(Infinity)
  })
  it.each(['temperate', 'hot', 'damp'] as Summer[])(
    'one bunch weighed four times beats the calendar, and its window mostly holds, in a %s summer',
    (summer) => {
      const { missMedian, calendarMedian, coveredPct } = scoreBunches(summer, 80)
      expect(missMedian).toBeLessThan(calendarMedian)
      expect(coveredPct).toBeGreaterThan(55)
      expect(coveredPct).toBeLessThan(92)
    },
  )
})

describe.each(['own', 'culls', 'half', 'twice', 'flat', 'spread'] as const)(
  'looking over when a household is asked to, stores of the world “%s”',
  (world) => {
    const score = scoreStores(world, 100)
    it('loses no more to spread than looking every so many days, with as many looks', () => {
      expect(score.fewerLostPct).toBeGreaterThan(world === 'own' ? 20 : 0)
      // who knew every store's life and spread would save little more
      if (world === 'own') expect(score.fewerLostPct / score.fewerLostKnowingPct!).toBeGreaterThan(0.7)
    })
    it('asks for as many looks as somebody makes who goes through the stores every week or three (common practice, no source)', () => {
      expect(score.everyDays).toBeGreaterThan(7)
      expect(score.everyDays).toBeLessThan(21)
    })
    it('believes about right after three looks: 8-in-10 intervals hold the truth', () => {
      expect(score.coveredPct).toBeGreaterThan(60)
      expect(score.coveredPct).toBeLessThan(97)
    })
  },
)

describe('what looks at two varieties over three winters teach', () => {
  it.each(['own', 'twice'] as const)(
    'makes the next lots’ dates no worse, and tells the longer one, world “%s”',
    (world) => {
      const score = scoreLearning(world, 40, 0.35)
      expect(score.missLearntPct).toBeLessThan(score.missNewPct)
      expect(score.coveredLearntPct).toBeGreaterThanOrEqual(score.coveredNewPct - 5)
      expect(score.rightOrderPct).toBeGreaterThan(75)
    },
  )
})

describe('windows of running out', () => {
  it.each(Object.keys(eatingWorlds).flatMap((name) => [2, 4, 10].map((weeks) => [name, weeks] as const)))(
    'hold about eight in ten where use is %s, after %i weeks',
    (name, weeks) => {
      const share = windowsHeld(eatingWorlds[name]!, weeks, 250)
      expect(share).toBeGreaterThan(0.64)
      expect(share).toBeLessThan(0.94)
    },
  )
})

describe('a place’s climate from twenty readings of six weeks in autumn, driven by Seattle’s hourly normals', () => {
  it.each(['shed', 'cool-room', 'cellar', 'loft'] as const)('%s, one mass that lags and gains', (kind) => {
    const score = scoreClimates(kind, 'one mass', 40)
    // monthly means over the whole year within 1.5 °C
    expect(score.missC.p90).toBeLessThan(1.5)
    expect(score.wholeYearPct).toBeGreaterThan(75)
    expect(score.coveredPct).toBeGreaterThan(78)
  })
  it('and a lag and gain with noise, doors that stand open for days: intervals hold about eight in ten', () => {
    const score = scoreClimates('shed', 'one mass, doors', 60)
    expect(score.missC.p90).toBeLessThan(1.5)
    expect(score.coveredPct).toBeGreaterThan(70)
    expect(score.coveredPct).toBeLessThan(88)
  })
  it('and where the house is not the fit’s: two masses, doors that stand open for days', () => {
    const score = scoreClimates('cellar', 'two masses, doors', 60)
    expect(score.missC.p90).toBeLessThan(1.8)
    expect(score.coveredPct).toBeGreaterThan(72)
    expect(score.coveredPct).toBeLessThan(95)
  })
})

describe('houses arranged and looked over, in a truth that is not the forecast’s', () => {
  it('lose less by spring than as people put them', async () => {
    const score = await scoreHouses('slopes', 3)
    expect(score.arrangedKg).toBeLessThan(score.naiveKg)
    expect(score.checkedPct).toBeGreaterThan(15)
  }, 60_000)
})
