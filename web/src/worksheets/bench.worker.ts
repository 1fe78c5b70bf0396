import { runCalculator, type CalculatorName, type Progress } from '@vadose/core/worksheets'
import { almanacWith, unknownCrop, type AlmanacChanges } from '@vadose/core/almanac'
import type { Message } from '@vadose/core/message'
import { Refusal } from '@vadose/core/refusal'
import type { Voice } from '@vadose/words/page'
import { expose } from 'comlink'
import { useLanguage, useUnits } from '../voice'
import { drawResult } from './drawings'
import type { Drawing } from './drawing'

export type WorksheetResult =
  { answer: Record<string, unknown>; drawing: Drawing } | { refusal: { says: Message; field?: string } }

/** Runs a calculator and draws its answer, away from the page, in the words of whoever reads it. */
const bench = {
  run(
    name: CalculatorName,
    input: unknown,
    changes: AlmanacChanges,
    { language, units }: Pick<Voice, 'language' | 'units'>,
    progress: Progress,
  ): WorksheetResult {
    useLanguage(language)
    useUnits(units)
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
      const { says, field } = error
      return { refusal: { says, ...(field ? { field } : {}) } }
    }
  },
}
export type Bench = typeof bench
expose(bench)
