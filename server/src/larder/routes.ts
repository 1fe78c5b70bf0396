import { addStock, readLarder } from '@vadose/contract/larder'
import type { Server } from '../serve'
import { larderView } from './view'
import { writeStock } from './write'

export function serveLarder(server: Server): void {
  server.household(readLarder, async (visit) => {
    const house = await visit.house()
    const moves = await visit.moves()
    return house.shown('larder', [moves], () => larderView(house, moves))
  })

  server.household(addStock, async (visit, { body: { lines, requestId } }) => ({
    lots: await visit.write((db, moment) => writeStock(db, moment, lines, requestId)),
  }))
}
