/** What the codes of a crop letter and a year begin with: `G26-`. */
export const codeStem = (letter: string, year: number): string => `${letter}${String(year % 100).padStart(2, '0')}-`

/**
 * A lot's code: crop letter, two figures of the year, a number: `G26-1`. Short enough to write on a tag.
 * @param taken codes of the household, any crop and year
 */
export function nextLotCode(letter: string, year: number, taken: Iterable<string>): string {
  const stem = codeStem(letter, year)
  let highest = 0
  for (const code of taken) {
    if (code.startsWith(stem)) highest = Math.max(highest, Number(code.slice(stem.length)) || 0)
  }
  return stem + (highest + 1)
}

export const lotCodePattern = /^[A-Z]\d{2}-\d{1,4}$/
