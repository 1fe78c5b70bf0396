/** A line of the larder that could be used up. */
export interface WeekLine {
  id: string
  onHandG: number
  /** expected loss avoided for each gram used this week, 0…1 */
  savedPerG: number
  /** the most of it anyone wants in a week, g */
  mostG: number
}

/**
 * What to eat this week so that as little as possible is lost: lines by loss avoided, until the week is full.
 * @param appetiteG what the household eats from store in a week, g
 * @returns portions in order, never more than there is, than is wanted, or than the week holds
 */
export function weekList(
  lines: readonly WeekLine[],
  appetiteG: number,
): { id: string; useG: number; savesG: number }[] {
  let left = Math.max(0, appetiteG)
  const picked: { id: string; useG: number; savesG: number }[] = []
  for (const line of [...lines].sort((a, b) => b.savedPerG - a.savedPerG)) {
    const useG = Math.min(left, line.onHandG, line.mostG)
    if (useG <= 0 || line.savedPerG <= 0) continue
    left -= useG
    picked.push({ id: line.id, useG, savesG: useG * line.savedPerG })
  }
  return picked
}
