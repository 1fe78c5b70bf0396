export { noteEntered, takeEntered, type Entered, type ByHeart } from './entered'
export { Houses } from './houses'
export { warmBooks } from './warm'
export type { Move } from './queries'
export { redoHours } from './place-hours'
export {
  appendEvents,
  descendantsOf,
  entryNumbers,
  eventsOfLots,
  keepLotNow,
  ledgersOf,
  ledgersOfCode,
  type EventOfLot,
  type Ledgers,
} from './queries'
export { historyFrom, historyOf } from './ledgers'
export { setupOf } from './setup'
export { lotNow, rebuildMissing, rebuildProjections } from './rebuild'
