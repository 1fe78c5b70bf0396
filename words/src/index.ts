import type { Message } from '@vadose/core/message'
import { facts } from './facts'
import { more } from './more'
import { isSaid, sayerOf } from './said'

export * from './in-words'
export type { Voice } from './said'

export const { said, saidPart } = sayerOf(() => [facts, ...more])

/** British English and metric: for scripts, files and logs, that belong to no household. */
export const inPlainWords = (message: Message): string => said(message, { language: 'en-GB', units: 'metric' })

/** An answer in which every message, however deep, is said in plain words. */
export function allInPlainWords(answer: unknown): unknown {
  if (isSaid(answer)) return saidPart(answer, { language: 'en-GB', units: 'metric' })
  if (Array.isArray(answer)) return answer.map(allInPlainWords)
  if (typeof answer !== 'object' || answer === null) return answer
  return Object.fromEntries(Object.entries(answer).map(([name, value]) => [name, allInPlainWords(value)]))
}
