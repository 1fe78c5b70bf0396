import { previewMove, readArrangement, readClimate, readStores, readThermometers } from '@vadose/contract/stores'
import { arrangementProblem, movePreview, thermometerWorth } from '@vadose/core/forecast'
import { told } from '@vadose/core/message'
import { Refusal } from '@vadose/core/refusal'
import type { Server } from '../serve'
import { climateView, inWords, storesView } from './view'

export function serveStores(server: Server): void {
  server.household(readStores, async (visit) => {
    const house = await visit.house()
    return house.shown('stores', [], () => storesView(house))
  })

  server.household(readClimate, async (visit, { params }) => {
    const house = await visit.house()
    const place = house.place(params.id)
    if (!place) throw new Refusal('not-found', told('places.noSuchPlace'))
    return house.shown(`climate of ${place.id}`, [], () => climateView(house, place))
  })

  server.household(readThermometers, async (visit) => {
    const house = await visit.house()
    return house.shown('thermometers', [], () =>
      thermometerWorth(house).map(({ place, ...worth }) => ({ id: place.id, place: place.name, ...worth })),
    )
  })

  server.household(readArrangement, async (visit) => {
    const house = await visit.house()
    return house.shown('arrangement', [], () => {
      const { problem, places } = arrangementProblem(house)
      return {
        problem,
        today: house.today,
        names: places.map(({ name }) => name),
        lots: problem.lots.map(({ code }) => {
          const lot = house.lot(code)!
          return { code, name: lot.history.named ?? lot.cropData.name, crop: lot.crop }
        }),
      }
    })
  })

  server.household(previewMove, async (visit, { query }) => {
    const house = await visit.house()
    const lot = house.lot(query.lot)
    const place = house.place(query.place)
    if (!lot || !place) throw new Refusal('not-found', told('stores.noSuchLotOrPlace'))
    const { keeps, dries } = movePreview(house, lot, place)
    return {
      code: lot.code,
      from: house.place(lot.placeId)?.name ?? null,
      to: place.name,
      dries,
      keeps: keeps && { ...keeps, from: inWords(lot, keeps.from), to: inWords(lot, keeps.to) },
    }
  })
}
