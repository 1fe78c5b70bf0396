import type { Entry } from './retell'
import { lotHistory } from './history'
import type { LotHistory } from './history-type'
import { standing } from './undo'

/** A lot's ledger, and the lot it was taken from. */
export interface Ledger {
  splitFrom: string | null
  events: readonly Entry[]
}

/**
 * A lot's history, with that of the lots it was taken from up to when it was.
 * @param ledgerOf ledgers by lot; undefined for one that is not there
 */
export function historyIn(id: string, ledgerOf: (id: string) => Ledger | undefined): LotHistory {
  const { splitFrom, events } = ledgerOf(id) ?? { splitFrom: null, events: [] }
  return lotHistory(events, originOf(splitFrom, events[0]?.id, ledgerOf))
}

/** The lot a part was taken from as it was just before, as it is told now. */
function originOf(
  id: string | null,
  firstEntry: number | undefined,
  ledgerOf: (id: string) => Ledger | undefined,
): LotHistory | undefined {
  const ledger = id === null ? undefined : ledgerOf(id)
  if (!ledger || firstEntry === undefined) return undefined
  const before = standing(ledger.events).filter((e) => e.id < firstEntry)
  return lotHistory(before, originOf(ledger.splitFrom, ledger.events[0]?.id, ledgerOf))
}
