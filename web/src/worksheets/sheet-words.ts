import { inUnits } from '../households'
import type { AnswerLine } from './answer-words'
import type { Drawing } from './drawing'
import type { Typed } from './form'
import { unitName } from './units'
import type { Worksheet } from './field'
import { say } from './say'

/** Why an answer is as it is, where the calculator says so. */
export function reasonsOf(answer: Record<string, unknown>): string[] {
  const hazards = answer['hazards'] as { end: string; sharePct: number; note: string }[] | undefined
  const said =
    (answer['reasons'] as string[] | undefined) ??
    hazards?.map((h) => say('ofWhatIsLost', { end: h.end, sharePct: Math.round(h.sharePct), note: h.note })) ??
    []
  return said.map(inUnits)
}

/** A refusal in the worksheet's words and the household's units: fields by their label, not by their name on the wire. */
export function refusalWords(sheet: Worksheet, message: string): string {
  const labels = new Map(sheet.fields.flatMap((f) => [f, ...(f.columns ?? [])]).map((f) => [f.id, f.label]))
  const named = message.replace(/[A-Za-z]+/g, (word) => {
    const label = labels.get(word)
    return label && /[A-Z]/.test(word) ? `“${label}”` : word
  })
  return inUnits(named)
}

/** A drawing with its words in the household's units; the worker that drew it knows none. */
export const drawingInUnits = (drawing: Drawing): Drawing =>
  JSON.parse(JSON.stringify(drawing), (key, value: unknown) =>
    typeof value === 'string' && (key === 'label' || key === 'says') ? inUnits(value) : value,
  ) as Drawing

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
