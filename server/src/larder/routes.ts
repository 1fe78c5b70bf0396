import { readLarder } from '@vadose/contract/larder'
import type { Server } from '../serve'
import { larderView } from './view'

export function serveLarder(server: Server): void {
  server.household(readLarder, async (visit) => {
    const house = await visit.house()
    const moves = await visit.moves()
    return house.shown('larder', [moves], () => larderView(house, moves))
  })
}
