import type { GlutPlan } from '@vadose/core/kitchen'
import type { Message, Part } from '@vadose/core/message'
import { cropOf } from '../almanac'
import { yearDate } from '../households'
import { says } from './units'
import type { Worksheet } from './field'
import { say } from './say'
import { sayFact, sayPart, sayWord } from '../voice'

export interface AnswerLine {
  label: string
  text: string
  /** 8-in-10 spread beside it */
  spread?: string
}

type LeftOver = GlutPlan['leftOver'][number]
const isDate = (value: unknown): value is string => typeof value === 'string' && /^\d{4}-\d\d-\d\d/.test(value)

function words(value: unknown, line: Worksheet['says'][number]): string {
  if (typeof value === 'number' && line.suffix === 'share') return `${Math.round(value * 100)} %`
  if (typeof value === 'number') return says(value, line.unit, line.suffix, line.digits)
  if (typeof value === 'boolean') return value ? say('yes') : say('no')
  if (isDate(value)) return yearDate(value.slice(0, 10))
  if (Array.isArray(value)) {
    if (value.length === 0) return say('nothing')
    return value
      .map((v: { crop?: string; kg?: number; why?: LeftOver['why']; instead?: Message }) =>
        v.crop
          ? say('leftOver', {
              crop: cropOf(v.crop).name,
              weight: says(v.kg ?? 0, 'kg', '', 1),
              why: v.why,
              instead: v.instead && sayFact(v.instead),
            })
          : String(v),
      )
      .join(' ')
  }
  // a message of core's, or a word that the answer chooses from
  return typeof value === 'object' ? sayPart(value as Part) : sayWord(String(value))
}

/** The answer in the worksheet's words, most wanted first. */
export function answerLines(sheet: Worksheet, answer: Record<string, unknown>): AnswerLine[] {
  return sheet.says.flatMap((line): AnswerLine[] => {
    const value = answer[line.path]
    if (value === undefined) return []
    if (line.spread) {
      const { p10, p50, p90 } = value as { p10: unknown; p50: unknown; p90: unknown }
      const bare = {
        path: line.path,
        label: line.label,
        ...(line.unit ? { unit: line.unit } : {}),
        digits: line.digits ?? 0,
      }
      const from = line.unit === 'g' || typeof p10 !== 'number' ? words(p10, line) : words(p10, bare)
      return [
        { label: line.label, text: words(p50, line), spread: say('inBetweenAnd', { from, words: words(p90, line) }) },
      ]
    }
    return [{ label: line.label, text: words(value, line) }]
  })
}
