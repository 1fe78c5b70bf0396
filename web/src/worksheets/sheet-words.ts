import { endSaid, type EndWord } from '@vadose/core/almanac'
import type { Message } from '@vadose/core/message'
import type { AnswerLine } from './answer-words'
import type { Typed } from './form'
import { unitName } from './units'
import type { Worksheet } from './field'
import { sayFact, type FieldNames } from '../voice'
import { say } from './say'

/** Why an answer is as it is, where the calculator says so. */
export function reasonsOf(answer: Record<string, unknown>): string[] {
  const reasons = answer['reasons'] as Message[] | undefined
  const hazards = answer['hazards'] as { end: EndWord; sharePct: number; note: Message }[] | undefined
  return (
    reasons?.map((reason) => sayFact(reason)) ??
    hazards?.map(({ end, sharePct, note }) =>
      say('ofWhatIsLost', { end: sayFact(endSaid(end)), sharePct: Math.round(sharePct), note: sayFact(note) }),
    ) ??
    []
  )
}

/** What an input of a worksheet is called on the page, where its name on the wire is another. */
export const fieldNamesOf = (sheet: Worksheet): FieldNames => {
  const labels = new Map(sheet.fields.flatMap((f) => [f, ...(f.columns ?? [])]).map((f) => [f.id, f.label]))
  return (field) => {
    const label = labels.get(field)
    return label ? `“${label}”` : field
  }
}

/** A whole worksheet as plain text: what was asked, the answer, how and from where. */
export const sheetAsText = (
  sheet: Worksheet,
  typed: Typed,
  lines: readonly AnswerLine[],
  reasons: readonly string[],
  link: string,
): string =>
  [
    sheet.title,
    ...sheet.fields
      .filter((f) => typed[f.id])
      .map((f) =>
        `${f.label}: ${typed[f.id]!.replaceAll('\n', '; ')} ${f.unit ? unitName(f.unit) : (f.suffix ?? '')}`.trim(),
      ),
    '',
    ...lines.map((l) => `${l.label}: ${l.text}${l.spread ? ` (${l.spread})` : ''}`),
    ...reasons,
    '',
    say('how2', { equation: sheet.equation }),
    say('source2', { source: sheet.source }),
    link,
  ].join('\n')
