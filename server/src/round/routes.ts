import { readRound } from '@vadose/contract/round'
import type { Server } from '../serve'
import { roundView } from './view'

export function serveRound(server: Server): void {
  server.household(readRound, async (visit, { query }) => {
    const house = await visit.house()
    const moves = await visit.moves()
    // what is past is done or due today
    const on = query.on && query.on > house.today ? query.on : house.today
    return on === house.today
      ? house.shown('round', [moves], () => roundView(house, moves, on))
      : roundView(house, moves, on)
  })
}
