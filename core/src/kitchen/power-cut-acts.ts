import { dayMs } from '../households'
import { draft, type EventDraft, type LotHistory } from '../lots'
import { told } from '../message'
import { Refusal } from '../refusal'
import { refrozenDays } from '../assumptions'

/** What is done with a bag after a power cut: hard still, frozen again, cooked today, thrown out. */
export const bagVerdicts = ['keep', 'refreeze', 'cook', 'throw-out'] as const
export type BagVerdict = (typeof bagVerdicts)[number]

/**
 * What a verdict writes on a lot of bags.
 * @param says how long the power was off, for the record
 * @throws Refusal `invalid` for what is not frozen, `gone`
 */
export function bagAfterCut(verdict: BagVerdict, lot: LotHistory, says: string, nowMs: number): EventDraft[] {
  const frozen = lot.frozen ?? (lot.made?.form === 'frozen' ? lot.made : null)
  if (!frozen) throw new Refusal('invalid', told('kitchen.notInFreezer'), 'bags')
  const { weightG, pieces } = lot.quantity
  if (weightG <= 0) throw new Refusal('gone', told('kitchen.nothingLeft'), 'bags')
  const all = { weightG: 0 - weightG, pieces: 0 - (pieces ?? 0) }
  switch (verdict) {
    case 'keep':
      return [draft('noted', { details: { text: `${says}: hard frozen, kept` } })]
    case 'refreeze': {
      const age = Math.max(0, Math.round((nowMs - (lot.storedAtMs ?? nowMs)) / dayMs))
      return [draft('noted', { details: { text: `${says}: frozen again, use first`, lifeDays: age + refrozenDays } })]
    }
    case 'cook':
      return [draft('used', { ...all, details: { by: 'all', cause: `${says}: cooked the same day` } })]
    case 'throw-out':
      return [draft('lost', { ...all, details: { by: 'all', cause: says, to: 'bin' } })]
  }
}
