import { toModel, toShown, unitName } from './units'
import type { Field, Worksheet } from './field'
import { say } from './say'
import { sayWord } from '../voice'

/** What stands in the fields, as typed. */
export type Typed = Record<string, string>

const asText = (n: number) => String(Number(n.toPrecision(6)))

/** The worksheet's own values as a household would type them. */
export function typedDefaults(sheet: Worksheet): Typed {
  return Object.fromEntries(sheet.fields.map((field) => [field.id, typedValue(field)]))
}

function typedValue(field: Field): string {
  if (field.kind === 'number') {
    const value = Number(field.value)
    return Number.isNaN(value) ? '' : asText(toShown(value, field.unit))
  }
  if (field.kind === 'yes-no') return field.value ? 'yes' : 'no'
  if (field.kind === 'lines') {
    return String(field.value)
      .split('\n')
      .map((row) =>
        row
          .split(',')
          .map((cell, i) => {
            const column = field.columns![i]
            return column?.unit ? asText(toShown(Number(cell), column.unit)) : cell.trim()
          })
          .join(', '),
      )
      .join('\n')
  }
  return String(field.value)
}

export type Read = { input: Record<string, unknown> } | { field: string; message: string }

const numberFrom = (text: string) => (text.trim() === '' ? NaN : Number(text.replace(/[−–]/g, '-').replace(',', '.')))

/** What was typed as the calculator's input, or which field cannot be read. */
export function readForm(sheet: Worksheet, typed: Typed): Read {
  const input: Record<string, unknown> = {}
  for (const field of sheet.fields) {
    const text = (typed[field.id] ?? '').trim()
    if (text === '') {
      if (field.optional) continue
      return { field: field.id, message: say('isWanted', { label: field.label }) }
    }
    if (field.kind === 'number') {
      const value = numberFrom(text)
      if (!Number.isFinite(value)) return { field: field.id, message: say('isNoNumber', { label: field.label, text }) }
      input[field.id] = toModel(value, field.unit)
    } else if (field.kind === 'yes-no') {
      input[field.id] = text === 'yes'
    } else if (field.kind === 'lines') {
      const rows = readLines(field, text)
      if ('message' in rows) return rows
      input[field.id] = rows.rows
    } else input[field.id] = text
  }
  return { input }
}

function readLines(field: Field, text: string): { rows: unknown[] } | { field: string; message: string } {
  const rows: unknown[] = []
  const columns = field.columns!
  for (const [i, row] of text.split('\n').entries()) {
    if (!row.trim()) continue
    const cells = row.split(/[,;\t]/).map((c) => c.trim())
    if (cells.length < columns.length) {
      return {
        field: field.id,
        message: say('lineWants', { label: field.label, i: i + 1, columns: columns.map((c) => c.label).join(', ') }),
      }
    }
    const read: Record<string, unknown> = {}
    for (const [k, column] of columns.entries()) {
      const cell = cells[k]!
      if (column.kind === 'number') {
        const value = numberFrom(cell)
        if (!Number.isFinite(value)) {
          return { field: field.id, message: say('lineIsNoNumber', { label: field.label, i: i + 1, cell }) }
        }
        read[column.id] = toModel(value, column.unit)
      } else read[column.id] = cell
    }
    rows.push(read)
  }
  return rows.length > 0 ? { rows } : { field: field.id, message: say('giveAtLeastOneLine', { label: field.label }) }
}

/** Labels of a line's columns, with the household's units. */
export const columnsOf = (field: Field): string =>
  (field.columns ?? []).map((c) => (c.unit ? `${sayWord(c.label)} ${unitName(c.unit)}` : sayWord(c.label))).join(', ')

/** A link's query that brings the same worksheet back: only what differs from its own values, and the units typed in. */
export function linkQuery(sheet: Worksheet, typed: Typed, us: boolean): Record<string, string> {
  const own = typedDefaults(sheet)
  const query: Record<string, string> = {}
  for (const [id, text] of Object.entries(typed)) if (text !== own[id]) query[id] = text
  if (Object.keys(query).length > 0 && us) query['units'] = 'us'
  return query
}
