import { readLine, readLineAdvice, readLineLot } from '@vadose/contract/line'
import { bestMoves, pullTomorrow } from '@vadose/core/forecast'
import { told } from '@vadose/core/message'
import { Refusal } from '@vadose/core/refusal'
import type { Server } from '../serve'
import { lineLotDetail, lineView } from './view'

export function serveLine(server: Server): void {
  server.household(readLine, async (visit) => {
    const house = await visit.house()
    return house.shown('line', [], () => lineView(house))
  })

  server.household(readLineAdvice, async (visit) => {
    const house = await visit.house()
    return {
      tomorrow: pullTomorrow(house).map(({ place, ...rest }) => ({ placeId: place.id, place: place.name, ...rest })),
      moves: bestMoves(house).map(({ lot, option }) => ({ code: lot.code, crop: lot.crop, heap: lot.heap, option })),
    }
  })

  server.household(readLineLot, async (visit, { params }) => {
    const house = await visit.house()
    const lot = house.lot(params.code.toUpperCase())
    if (!lot) throw new Refusal('not-found', told('line.noSuchLot', { code: params.code }))
    return lot.stage === 'drying' ? lineLotDetail(house, lot) : null
  })
}
