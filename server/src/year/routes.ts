import { readYear } from '@vadose/contract/year'
import type { Server } from '../serve'
import { yearView } from './view'

export function serveYear(server: Server): void {
  server.household(readYear, async (visit) => {
    const house = await visit.house()
    const moves = await visit.moves()
    return house.shown('year', [moves], () => yearView(house, moves))
  })
}
