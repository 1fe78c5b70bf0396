import {
  curingOfLot,
  eatableOf,
  eatFirstOf,
  keepingOf,
  livingYears,
  optionsFor,
  planOf,
  sharesAhead,
  stockAhead,
  useWithin,
  workable,
  type House,
  type LotState,
} from '@vadose/core/forecast'
import { crops } from '@vadose/core/almanac'
import { paceOf } from '@vadose/core/stores'
import { breather } from './breathe'

/** Works out what every screen asks for, a stretch at a time so that requests come in between. */
export async function warm(house: House): Promise<void> {
  const breathe = breather()
  for (const lot of house.lots) {
    if (lot.stage === 'stored') await warmYears(house, lot, breathe)
    // one that cannot be worked out says so on its own line when it is shown
    for (const work of lotWork(lot)) {
      attempt(() => work(house, lot))
      await breathe()
    }
  }
  for (const lot of workable(house)) {
    if (lot.stage === 'drying') attempt(() => void optionsFor(house, lot))
    else if (lot.stage === 'stored') attempt(() => void eatableOf(house, lot))
    await breathe()
  }
  for (const work of [planOf, eatFirstOf, stockAhead]) {
    attempt(() => void work(house))
    await breathe()
  }
}

async function warmYears(house: House, lot: LotState, breathe: () => Promise<void>): Promise<void> {
  const years = livingYears(house, lot)
  const next = () => years.next().done === false
  while (attempt(next)) await breathe()
}

const lotWork = ({ stage }: LotState): ((house: House, lot: LotState) => unknown)[] =>
  stage === 'drying' ? [curingOfLot] : stage === 'stored' || stage === 'fresh' ? [lifeOfLot, sharesAhead] : []

/** What goes by its days has no life to be reckoned. */
const lifeOfLot = (house: House, lot: LotState) => useWithin(house, lot) ?? keepingOf(house, lot)

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
