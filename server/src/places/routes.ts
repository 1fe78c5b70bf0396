import { addPlace, addReading, changePlace, listPlaces, readWeather } from '@vadose/contract/places'
import { weatherOf } from '@vadose/core/forecast'
import { Refusal } from '@vadose/core/refusal'
import { strikeReadings as strikeReadingsEndpoint } from '@vadose/contract/readings'
import { addDays, instantOf } from '@vadose/core/households'
import { addReadings, strikeReadings } from '../readings'
import type { Server } from '../serve'
import { isUuid } from '../households'
import { placesOf, setPlace } from './queries'
import { placeView } from './view'
import { writePlace } from './write'

/** far enough back to say how long it has been dry */
const weatherBackDays = 14

const noSuchPlace = () => new Refusal('not-found', 'There is no such place in this household.')

export function servePlaces(server: Server): void {
  server.household(listPlaces, async (visit) => {
    const house = await visit.house()
    return house.places.map((place) => placeView(house, place))
  })

  server.household(readWeather, async (visit) => weatherOf(await visit.house(), weatherBackDays))

  server.household(addPlace, (visit, { body }) =>
    visit.write(async (db, _moment, household) => ({ id: await writePlace(db, household, body) })),
  )

  server.household(changePlace, async (visit, { params, body }) => {
    if (!isUuid(params.id)) throw noSuchPlace()
    const changed = await visit.write((db) =>
      setPlace(db, visit.id, params.id, body.name?.trim() ?? null, body.kind ?? null),
    )
    if (changed === 0) throw noSuchPlace()
    await visit.settled()
    return { ok: true }
  })

  server.household(strikeReadingsEndpoint, async (visit, { params, body: { from, to, struck } }) => {
    const { timeZone } = visit.moment
    if (to < from) throw new Refusal('invalid', 'The last day is before the first.', 'to')
    const readings = await visit.write(async (db) => {
      if (!(await placesOf(db, visit.id)).some((place) => place.id === params.id)) throw noSuchPlace()
      const span = {
        from: new Date(instantOf(from, 0, timeZone)),
        to: new Date(instantOf(addDays(to, 1), 0, timeZone)),
      }
      return strikeReadings(db, visit.id, params.id, { ...span, struck })
    })
    await visit.settled()
    return { readings }
  })

  server.household(addReading, async (visit, { params, body }) => {
    await visit.write(async (db, moment) => {
      if (!(await placesOf(db, visit.id)).some((place) => place.id === params.id)) {
        throw noSuchPlace()
      }
      await addReadings(db, visit.id, 'hand', {
        placeId: params.id,
        at: [Math.floor(moment.nowMs / 1000)],
        temperatureC: [body.temperatureC],
        relativeHumidityPct: [body.relativeHumidityPct],
      })
    })
    // whoever read the thermometer sees what it says
    await visit.settled()
    return { ok: true }
  })
}
