import {
  climateAhead,
  conflictsIn,
  cropAhead,
  curingOfLot,
  eatableOf,
  eatFirstOf,
  keepingInPieces,
  monthsAhead,
  optionsFor,
  planOf,
  sharesAhead,
  stockAhead,
  usesLately,
  useWithin,
  weighingOptions,
  workable,
  type House,
  type LotState,
  type PlaceState,
  type StockMove,
} from '@vadose/core/forecast'
import { crops } from '@vadose/core/almanac'
import { civilDateOf, instantOf } from '@vadose/core/households'
import type { Pieces } from '@vadose/core/pieces'
import { paceOf } from '@vadose/core/stores'
import { breather, inTurn } from './breathe'

/** Works out what every screen asks for, a stretch at a time so that requests come in between. */
export const warm = (house: House, moves: Iterable<StockMove>): Promise<void> =>
  inTurn(warming(house, moves), breather())

function* warming(house: House, moves: Iterable<StockMove>): Pieces {
  for (const lot of house.lots) yield* attempt(aheadOf(house, lot))
  for (const lot of workable(house)) yield* attempt(choicesFor(house, lot))
  for (const place of house.places) yield* attempt(howItIsIn(house, place))
  yield* attempt(one(() => usesLately(house, moves)))
  for (const crop of new Set(house.lots.map((lot) => lot.crop))) {
    yield* attempt(one(() => cropAhead(house, moves, crop)))
  }
  for (const work of [planOf, eatFirstOf, stockAhead]) yield* attempt(one(() => work(house)))
}

function* aheadOf(house: House, lot: LotState): Pieces {
  if (lot.stage === 'drying') curingOfLot(house, lot)
  if (lot.stage !== 'stored' && lot.stage !== 'fresh') return
  // what goes by its days has no life to be reckoned
  if (!useWithin(house, lot)) yield* keepingInPieces(house, lot)
  sharesAhead(house, lot)
}

function* choicesFor(house: House, lot: LotState): Pieces {
  if (lot.stage === 'drying') {
    yield* weighingOptions(house, lot)
    optionsFor(house, lot)
  } else if (lot.stage === 'stored') eatableOf(house, lot)
}

function* howItIsIn(house: House, place: PlaceState): Pieces {
  climateAhead(house, place)
  yield
  monthsAhead(house, place)
  yield
  conflictsIn(house, place)
}

function* one(work: () => unknown): Pieces {
  work()
  yield
}

/** One that cannot be worked out says so on its own line when it is shown. */
function* attempt(pieces: Pieces): Pieces {
  try {
    yield* pieces
  } catch {
    // shown where it is asked for
  }
  yield
}

/** What the first household would wait for, once a server, as it begins: opens the calendars, anchors every crop to its book. */
export async function warmBooks(): Promise<void> {
  instantOf(civilDateOf(Date.now(), 'UTC'), 0, 'UTC')
  const breathe = breather()
  for (const crop of crops) {
    paceOf(crop)
    await breathe()
  }
}
