/** A tag to hang: where its string meets the rope. */
export interface Hanging {
  id: string
  /** 0 just in … 1 ready */
  progress: number
}

export interface PlacedTag {
  id: string
  /** where the string leaves the rope */
  ropeX: number
  /** left edge of the tag, and which row it hangs in, 0 nearest the rope */
  x: number
  row: number
}

export interface LineSize {
  width: number
  tagWidth: number
  /** space kept between tags of a row */
  gap: number
  /** space at both ends of the rope */
  margin: number
}

const rowCost = 0.7

/**
 * Hangs tags along a rope, further right the drier, each in the nearest row with room.
 * No two tags overlap, and none leaves the page; a tag may be pushed a little along its row to fit.
 * @param tags any order
 */
export function hangTags(tags: readonly Hanging[], size: LineSize): PlacedTag[] {
  const { width, tagWidth, gap, margin } = size
  const ropeX = (progress: number) => margin + Math.min(1, Math.max(0, progress)) * (width - 2 * margin)
  // right end of what hangs in each row so far
  const filled: number[] = []
  return [...tags]
    .sort((a, b) => a.progress - b.progress || (a.id < b.id ? -1 : 1))
    .map((tag) => {
      const at = ropeX(tag.progress)
      const wanted = Math.min(width - tagWidth, Math.max(0, at - tagWidth / 2))
      // a row further down costs as much as being pushed most of a tag's width along
      let best = { cost: filled.length * rowCost, row: filled.length, x: wanted }
      filled.forEach((end, row) => {
        const x = Math.max(wanted, end + gap)
        const cost = (x - wanted) / tagWidth + row * rowCost
        if (x <= width - tagWidth && cost < best.cost) best = { cost, row, x }
      })
      filled[best.row] = best.x + tagWidth
      return { id: tag.id, ropeX: at, x: best.x, row: best.row }
    })
}

/** Height of the rope at x: it sags in the middle. */
export const ropeY = (x: number, width: number, sag: number): number => sag * (1 - ((2 * x) / width - 1) ** 2)
