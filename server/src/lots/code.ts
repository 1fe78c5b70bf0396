import { lotCodePattern } from '@vadose/core/lots'
import { told } from '@vadose/core/message'
import { Refusal } from '@vadose/core/refusal'

/** A lot's code as it was asked for. @throws Refusal `not-found` for what is none */
export function codeIn(asked: string): string {
  const code = asked.toUpperCase()
  if (!lotCodePattern.test(code)) throw new Refusal('not-found', told('lots.noCode', { asked: asked.slice(0, 20) }))
  return code
}
