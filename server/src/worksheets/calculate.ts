import { calculatorInputs } from '@vadose/contract/worksheets'
import type { ErrorBody } from '@vadose/contract/shapes'
import { calculators, runCalculator, type CalculatorName } from '@vadose/core/worksheets'
import { cropById } from '@vadose/core/almanac'
import { told } from '@vadose/core/message'
import { Refusal } from '@vadose/core/refusal'
import { allInPlainWords } from '@vadose/words'
import { refusalBody } from '../refusals'
import { checker } from '../validate'

const checks = Object.fromEntries(Object.entries(calculatorInputs).map(([name, schema]) => [name, checker(schema)]))

/** Most inputs one call may bring. */
const mostInputs = 20_000

/** @throws Refusal `unknown-calculator` */
export function calculatorNamed(name: string): CalculatorName {
  if (Object.hasOwn(calculators, name)) return name as CalculatorName
  throw new Refusal('not-found', told('worksheets.noCalculator', { name, known: Object.keys(calculators).join(', ') }))
}

/**
 * Answers one input, or an array of inputs with an array in which a refused element is its error object.
 * @throws Refusal when a single input is refused
 */
export function calculate(name: CalculatorName, input: unknown): unknown {
  if (!Array.isArray(input)) return answer(name, input)
  if (input.length > mostInputs) throw new Refusal('too-large', told('worksheets.tooManyInputs', { mostInputs }))
  return input.map((one): unknown | ErrorBody => {
    try {
      return answer(name, one)
    } catch (error) {
      if (error instanceof Refusal) return refusalBody(error)
      throw error
    }
  })
}

/** Scripts are answered in plain words: what core says is said here. */
const answer = (name: CalculatorName, input: unknown): unknown =>
  allInPlainWords(runCalculator(name, checks[name]!(input), cropById))
