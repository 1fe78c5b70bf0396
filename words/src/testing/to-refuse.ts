import { Refusal } from '@vadose/core/refusal'
import { inPlainWords } from '../index'
import { expect } from 'vitest'

declare module 'vitest' {
  interface Matchers<T = any> {
    /** A call that is refused, with these words. */
    toRefuse: (words: RegExp) => T
  }
}

expect.extend({
  toRefuse(call: () => unknown, words: RegExp) {
    try {
      call()
    } catch (error) {
      if (!(error instanceof Refusal)) throw error
      const said = inPlainWords(error.says)
      return { pass: words.test(said), message: () => `it is refused with “${said}”, not ${String(words)}` }
    }
    return { pass: false, message: () => 'it is not refused' }
  },
})
