import { runCalculator, type CalculatorName, type Progress } from '@vadose/core/worksheets'
import { almanacWith, unknownCrop, type AlmanacChanges } from '@vadose/core/almanac'
import { Refusal } from '@vadose/core/refusal'
import { expose } from 'comlink'
import { drawResult } from './drawings'
import type { Drawing } from './drawing'

export type WorksheetResult =
  { answer: Record<string, unknown>; drawing: Drawing } | { refusal: { code: string; message: string; field?: string } }

/** Runs a calculator and draws its answer, away from the page. */
const bench = {
  run(name: CalculatorName, input: unknown, changes: AlmanacChanges, progress: Progress): WorksheetResult {
    const almanac = almanacWith(changes)
    const cropOf = (id: string) => {
      const crop = almanac.byId.get(id)
      if (!crop) throw unknownCrop(id, almanac.crops)
      return crop
    }
    try {
      const answer = runCalculator(name, input, cropOf, (share) => progress(share * 0.8)) as Record<string, unknown>
      return { answer, drawing: drawResult(name, input, answer, cropOf, (share) => progress(0.8 + share * 0.2)) }
    } catch (error) {
      if (!(error instanceof Refusal)) throw error
      const { code, message, field } = error
      return { refusal: { code, message, ...(field ? { field } : {}) } }
    }
  },
}
export type Bench = typeof bench
expose(bench)
