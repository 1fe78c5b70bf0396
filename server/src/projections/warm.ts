import {
  curingOfLot,
  eatableOf,
  eatFirstOf,
  keepingInPieces,
  optionsFor,
  planOf,
  sharesAhead,
  stockAhead,
  useWithin,
  weighingOptions,
  workable,
  type House,
} from '@vadose/core/forecast'
import { crops } from '@vadose/core/almanac'
import { paceOf } from '@vadose/core/stores'
import { breather } from './breathe'

/** Works out what every screen asks for, a stretch at a time so that requests come in between. */
export async function warm(house: House): Promise<void> {
  const breathe = breather()
  // one that cannot be worked out says so on its own line when it is shown
  for (const lot of house.lots) {
    if (lot.stage === 'drying') attempt(() => curingOfLot(house, lot))
    else if (lot.stage === 'stored' || lot.stage === 'fresh') {
      // what goes by its days has no life to be reckoned
      if (!attempt(() => useWithin(house, lot))) await inTurn(keepingInPieces(house, lot), breathe)
      attempt(() => sharesAhead(house, lot))
    }
    await breathe()
  }
  for (const lot of workable(house)) {
    if (lot.stage === 'drying') {
      await inTurn(weighingOptions(house, lot), breathe)
      attempt(() => optionsFor(house, lot))
    } else if (lot.stage === 'stored') attempt(() => eatableOf(house, lot))
    await breathe()
  }
  for (const work of [planOf, eatFirstOf, stockAhead]) {
    attempt(() => void work(house))
    await breathe()
  }
}

/** One piece after the other. */
async function inTurn(pieces: Generator<void>, breathe: () => Promise<void>): Promise<void> {
  const next = () => pieces.next().done === false
  while (attempt(next)) await breathe()
}

function attempt<T>(work: () => T): T | undefined {
  try {
    return work()
  } catch {
    // shown where it is asked for
    return undefined
  }
}

/** Anchors every crop to its book, which the first household would wait for: once a server, as it begins. */
export async function warmBooks(): Promise<void> {
  const breathe = breather()
  for (const crop of crops) {
    paceOf(crop)
    await breathe()
  }
}
