import type { Grade } from '@vadose/core/lots'
import { gramsFrom } from '../households'
import type { GradeEntries } from './GradeRows.vue'

/** A whole count above nothing as typed, or null. */
export const countFrom = (text: string): number | null =>
  /^\d+$/.test(text.trim()) && Number(text) > 0 ? Number(text) : null

/** The sizes typed, or null where one of them cannot be read. */
export function gradesFrom(entries: GradeEntries): Grade[] | null {
  const grades: Grade[] = []
  for (const [grade, { weight, pieces }] of Object.entries(entries)) {
    if (!weight.trim() && !pieces.trim()) continue
    const weightG = gramsFrom(weight, 'kg')
    const count = countFrom(pieces)
    if (weightG === null || (pieces.trim() && count === null)) return null
    grades.push({ grade: grade as Grade['grade'], weightG, ...(count ? { pieces: count } : {}) })
  }
  return grades
}
