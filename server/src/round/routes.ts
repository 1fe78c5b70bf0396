import { readRound } from '@vadose/contract/round'
import { isCivilDate } from '@vadose/core/households'
import { Refusal } from '@vadose/core/refusal'
import type { Server } from '../serve'
import { roundView } from './view'

/** The day asked for; today where none is, or one that is over. @throws Refusal `invalid` */
function dayAsked(on: string | undefined, today: string): string {
  if (on === undefined) return today
  if (!isCivilDate(on)) throw new Refusal('invalid', 'on is a day: 2026-10-02.', 'on')
  return on > today ? on : today
}

export function serveRound(server: Server): void {
  server.household(readRound, async (visit, { query }) => {
    const house = await visit.house()
    const moves = await visit.moves()
    const on = dayAsked(query.on, house.today)
    return on === house.today
      ? house.shown('round', [moves], () => roundView(house, moves, on))
      : roundView(house, moves, on)
  })
}
