/**
 * An input the computation will not answer, with a message a person can act on.
 * Thrown inside the core, turned into the one error shape at the boundary.
 */
export class Refusal extends Error {
  constructor(
    /** machine-readable reason: `invalid`, `out-of-range`, `unknown-crop`, `stalled` … */
    readonly code: string,
    message: string,
    /** the input field at fault, if one is */
    readonly field?: string,
  ) {
    super(message)
    this.name = 'Refusal'
  }
}

/** Throws a Refusal unless `value` is a finite number within [lo, hi]. */
export function requireWithin(value: number, lo: number, hi: number, field: string, unit: string): void {
  if (!Number.isFinite(value) || value < lo || value > hi) {
    const between = `${lo} and ${hi}`.replaceAll('-', '−')
    throw new Refusal('out-of-range', `${field} must lie between ${between} ${unit}.`, field)
  }
}
