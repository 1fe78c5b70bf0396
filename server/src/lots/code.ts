import { lotCodePattern } from '@vadose/core/lots'
import { Refusal } from '@vadose/core/refusal'

/** A lot's code as it was asked for. @throws Refusal `not-found` for what is none */
export function codeIn(asked: string): string {
  const code = asked.toUpperCase()
  if (!lotCodePattern.test(code))
    throw new Refusal('not-found', `${asked.slice(0, 20)} is not a lot's code; they look like G26-1.`)
  return code
}
