import { lnChoose } from '../chance'
import { told, fieldNamed } from '../message'
import { Refusal } from '../refusal'

/**
 * How many to look at to be `confidence` sure of catching a fault that `badFraction` of the lot has.
 * Exact: the smallest n with P(at least one of the bad among n drawn without replacement) ≥ confidence,
 * bad = ceil(lotSize · badFraction), by the hypergeometric distribution.
 * @throws Refusal `out-of-range`
 */
export function checkSize(lotSize: number, badFraction: number, confidence: number): number {
  if (!Number.isInteger(lotSize) || lotSize < 1 || lotSize > 1e6) {
    throw new Refusal('out-of-range', told('checks.lotSizeWhole', { lotSize: fieldNamed('lotSize') }), 'lotSize')
  }
  if (!(badFraction > 0 && badFraction <= 1)) {
    throw new Refusal(
      'out-of-range',
      told('checks.badFractionBetween', { badFraction: fieldNamed('badFraction') }),
      'badFraction',
    )
  }
  if (!(confidence > 0 && confidence < 1)) {
    throw new Refusal(
      'out-of-range',
      told('checks.confidenceBetween', { confidence: fieldNamed('confidence') }),
      'confidence',
    )
  }
  const bad = Math.ceil(lotSize * badFraction - 1e-9)
  const missAll = (n: number) => (n > lotSize - bad ? 0 : Math.exp(lnChoose(lotSize - bad, n) - lnChoose(lotSize, n)))
  let lo = 1
  let hi = lotSize - bad + 1
  while (lo < hi) {
    const mid = (lo + hi) >> 1
    if (1 - missAll(mid) >= confidence - 1e-12) hi = mid
    else lo = mid + 1
  }
  return lo
}
