import { addPlace, addReading, listPlaces, readWeather } from '@vadose/contract/places'
import { weatherOf } from '@vadose/core/forecast'
import { Refusal } from '@vadose/core/refusal'
import { addReadings } from '../readings'
import type { Server } from '../serve'
import { placesOf } from './queries'
import { placeView } from './view'
import { writePlace } from './write'

/** far enough back to say how long it has been dry */
const weatherBackDays = 14

export function servePlaces(server: Server): void {
  server.household(listPlaces, async (visit) => {
    const house = await visit.house()
    return house.places.map((place) => placeView(house, place))
  })

  server.household(readWeather, async (visit) => weatherOf(await visit.house(), weatherBackDays))

  server.household(addPlace, (visit, { body }) =>
    visit.write(async (db, _moment, household) => ({ id: await writePlace(db, household, body) })),
  )

  server.household(addReading, async (visit, { params, body }) => {
    await visit.write(async (db, moment) => {
      if (!(await placesOf(db, visit.id)).some((place) => place.id === params.id)) {
        throw new Refusal('not-found', 'There is no such place in this household.')
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
