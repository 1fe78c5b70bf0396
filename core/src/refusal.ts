import { degrees, fieldNamed, grams, told, type Message, type Part } from './message'

/**
 * Input that cannot be right: an error that people are told of. What it says is a message of the tables; `code` and
 * `field` are for programs.
 */
export class Refusal extends Error {
  constructor(
    /** machine-readable reason: `invalid`, `out-of-range`, `unknown-crop`, `stalled` … */
    readonly code: string,
    readonly says: Message,
    /** the input field at fault, if one is */
    readonly field?: string,
  ) {
    // for a log or a stack: whoever shows it to people says it from the tables
    super(JSON.stringify(says))
    this.name = 'Refusal'
  }
}

const decimals = (value: number) => String(value).split('.')[1]?.length ?? 0
const plain = (value: number) => String(value).replace('-', '−')
/** What is measured is said in the household's units; what else there is, as it is. */
const bounds = (lo: number, hi: number, unit: string): Record<'lo' | 'hi', Part> => {
  if (unit === '°C') return { lo: degrees(lo, decimals(lo)), hi: degrees(hi, decimals(hi)) }
  if (unit === 'g') return { lo: grams(lo), hi: grams(hi) }
  return { lo: plain(lo), hi: `${plain(hi)} ${unit}`.trim() }
}

/**
 * Throws a Refusal unless `value` is a finite number within [lo, hi].
 * @param unit of all three
 * @param why what the limits are for
 */
export function requireWithin(value: number, lo: number, hi: number, field: string, unit: string, why?: Message): void {
  if (Number.isFinite(value) && value >= lo && value <= hi) return
  const limits = bounds(lo, hi, unit)
  throw new Refusal(
    'out-of-range',
    told('input.between', {
      field: fieldNamed(field),
      lo: limits.lo,
      hi: limits.hi,
      reasoned: why ? 'yes' : 'no',
      why,
    }),
    field,
  )
}
