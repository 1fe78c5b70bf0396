export { Houses, type Move } from './houses'
export { redoHours } from './place-hours'
export { eventsOfLots, keepLotNow, type EventOfLot } from './queries'
export { lotNow, rebuildMissing, rebuildProjections } from './rebuild'
