import { readLarder } from '@vadose/contract/larder'
import type { Server } from '../serve'
import { larderView } from './view'

export function serveLarder(server: Server): void {
  server.household(readLarder, async (visit) => larderView(await visit.house(), await visit.moves()))
}
