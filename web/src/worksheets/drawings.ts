import type { CalculatorName, CropLookup, Progress } from '@vadose/core/worksheets'
import type { Drawings } from './curve'
import type { Drawing } from './drawing'
import { dryingDrawings } from './drawings-drying'
import { freezingDrawings } from './drawings-freezing'
import { keepingDrawings } from './drawings-keeping'

/** Draws each calculator's answer; runs in the worker beside the calculation. */
export const drawings: Drawings<CalculatorName> = { ...dryingDrawings, ...freezingDrawings, ...keepingDrawings }

/** Draws any calculator's answer; input and answer are that calculator's own. */
export const drawResult = (
  name: CalculatorName,
  input: unknown,
  answer: unknown,
  cropOf: CropLookup,
  progress: Progress = () => undefined,
): Drawing => (drawings[name] as (...of: unknown[]) => Drawing)(input, answer, cropOf, progress)
