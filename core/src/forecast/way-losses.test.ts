import { describe, expect, it } from 'vitest'
import { isDark } from '../places'
import { lifeModel, meanSoundShare, usualPrior } from '../stores'
import { keepingOf } from './keeping'
import { agesAhead } from './lived'
import { houseOn, stored } from './made-up-house'
import { wayLosses } from './way-losses'

const months = [30, 61, 91, 122, 152, 182]
const kgThen = months.map(() => 10)

describe('what is lost of a lot on a way', () => {
  it.each(['carrot', 'onion-storing', 'potato-maincrop', 'apple-late'])(
    '%s: left where it is, it is what the lot’s own forecast says',
    (crop) => {
      const lot = stored('L26-1', crop, '2026-09-20', 'cellar', 20_000)
      const house = houseOn('2026-10-02', [lot])
      const place = house.place('cellar')!
      const [ages] = agesAhead(house, lot, place, [{ light: !isDark(place), gas: 0 }], months)
      const lost = wayLosses(house, lot, kgThen, [ages!])(
        months.map(() => 0),
        0,
        [ages!],
      )
      const model = lifeModel(
        ages!.map((age) => Float64Array.from(age)),
        usualPrior,
      )
      // sound now is what counts from here on, state by state
      const { weights } = keepingOf(house, lot).belief
      let sound = 0
      for (let j = 0; j < weights.length; j++) {
        const rise = model.hazard.reduce((sum, h, i) => sum + (h[6]! - h[0]!) * model.counts[i]![j]!, 0)
        sound += weights[j]! * Math.exp(-rise)
      }
      expect(lost / 10).toBeCloseTo(1 - sound, 2)
      expect(meanSoundShare(model, weights, 6)).toBeLessThanOrEqual(sound + 1e-9)
    },
  )
  it('is additive in the months: a way back and forth ages by where it was', () => {
    const lot = stored('A26-1', 'apple-late', '2026-09-20', 'cellar', 20_000)
    const house = houseOn('2026-10-02', [lot])
    const ages = ['cellar', 'room'].map(
      (id) => agesAhead(house, lot, house.place(id)!, [{ light: false, gas: 0 }], months)[0]!,
    )
    const loss = wayLosses(house, lot, kgThen, ages)
    const [cold, warm] = [loss([0, 0, 0, 0, 0, 0], 0, ages), loss([1, 1, 1, 1, 1, 1], 0, ages)]
    const between = loss([0, 0, 0, 1, 1, 1], 0, ages)
    expect(cold).toBeLessThan(between)
    expect(between).toBeLessThan(warm)
    // the later it is carried into the warm, the less
    const carried = [1, 2, 3, 4, 5].map((m) =>
      loss(
        months.map((_, i) => (i < m ? 0 : 1)),
        0,
        ages,
      ),
    )
    expect([...carried].sort((a, b) => b - a)).toEqual(carried)
    expect(warm).toBeLessThanOrEqual(10)
  })
})
