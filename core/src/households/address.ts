const longest = 40

/** What a household is never called in addresses: the server's own paths, and the pages of the time before. */
const reserved = new Set(
  'api assets bring-in line stores larder lots almanac bench readings find household households'.split(' '),
)

/**
 * A household's name in addresses: its letters and figures in small, joined by dashes, and a number where that is taken.
 * @param taken addresses there are
 * @example householdAddress('Quarry House', new Set(['quarry-house'])) // 'quarry-house-2'
 */
export function householdAddress(name: string, taken: ReadonlySet<string>): string {
  const base =
    name
      .normalize('NFKD')
      .replace(/\p{M}/gu, '')
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .slice(0, longest)
      .replace(/^-+|-+$/g, '') || 'house'
  for (let i = 1; ; i++) {
    const address = i === 1 ? base : `${base}-${i}`
    if (!taken.has(address) && !reserved.has(address)) return address
  }
}
