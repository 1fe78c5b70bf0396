import { told } from '@vadose/core/message'
import { Refusal } from '@vadose/core/refusal'
import { calculate, calculatorNamed } from './calculate'

/** One call of a calculator, as text. */
export interface Calculation {
  name: string
  text: string
}
export type Calculated = { answer: string } | { refusal: Pick<Refusal, 'code' | 'says' | 'field'> }

/** Reads, checks, works out and writes: a piscina worker's task. */
export default function ({ name, text }: Calculation): Calculated {
  try {
    let input: unknown
    try {
      input = JSON.parse(text)
    } catch {
      throw new Refusal('invalid', told('input.notJson'))
    }
    return { answer: JSON.stringify(calculate(calculatorNamed(name), input)) }
  } catch (error) {
    if (error instanceof Refusal) return { refusal: { code: error.code, says: error.says, field: error.field } }
    // nested deeper than anybody's input
    if (error instanceof RangeError)
      return { refusal: { code: 'invalid', says: told('input.nestedTooDeeply'), field: undefined } }
    throw error
  }
}
