import type { LearntView } from '@vadose/contract/almanac'
import { varietyKey } from '@vadose/core/checks'
import { cropIn, cropLearnt, type House } from '@vadose/core/forecast'

/**
 * What a household's varieties of a crop are said to be, and what looks over the years have taught.
 * @param varieties those it has had
 * @throws Refusal `unknown-crop`
 */
export function learntView(house: House, crop: string, varieties: readonly string[]): LearntView {
  cropIn(house.almanac, crop)
  const { lines, outlasts } = cropLearnt(house, crop)
  const saidOf = (variety: string) =>
    house.almanac.changes.varieties.find((one) => one.crop === crop && one.variety === varietyKey(variety))?.keeps
  const lineOf = (variety: string) =>
    lines.find(({ of, name }) => of === 'variety' && varietyKey(name!) === varietyKey(variety))
  const learnt = (line: (typeof lines)[number] | undefined) =>
    line ? { times: line.times, lots: line.lots, years: line.years } : null
  return {
    house: learnt(lines.find(({ of }) => of === 'crop')),
    varieties: varieties.map((variety) => ({
      variety,
      keeps: saidOf(variety) ?? 'usual',
      learnt: learnt(lineOf(variety)),
    })),
    places: lines.flatMap((line) => {
      const place = line.of === 'place' ? house.place(line.name)?.name : undefined
      return place ? [{ place, ...learnt(line)! }] : []
    }),
    outlasts,
  }
}
