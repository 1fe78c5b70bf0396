import type { Message } from './message'

/**
 * An input the computation will not answer, with a message a person can act on.
 * Thrown inside the core, turned into the one error shape at the boundary.
 */
export class Refusal extends Error {
  readonly says?: Message

  constructor(
    /** machine-readable reason: `invalid`, `out-of-range`, `unknown-crop`, `stalled` … */
    readonly code: string,
    /** what it says, for people: a message of the tables, or a sentence for whoever writes scripts */
    says: string | Message,
    /** the input field at fault, if one is */
    readonly field?: string,
  ) {
    super(typeof says === 'string' ? says : says.says)
    this.name = 'Refusal'
    if (typeof says !== 'string') this.says = says
  }
}

/** Throws a Refusal unless `value` is a finite number within [lo, hi]. */
export function requireWithin(value: number, lo: number, hi: number, field: string, unit: string): void {
  if (!Number.isFinite(value) || value < lo || value > hi) {
    const between = `${lo} and ${hi}`.replaceAll('-', '−')
    throw new Refusal('out-of-range', `${field} must lie between ${between} ${unit}.`, field)
  }
}
