import {
  addPlace,
  addReading,
  changePlace as changePlaceEndpoint,
  joinPlace,
  listPlaces,
  listRetiredPlaces,
  orderPlaces,
  readWeather,
  retirePlace,
} from '@vadose/contract/places'
import { weatherOf } from '@vadose/core/forecast'
import { told } from '@vadose/core/message'
import { Refusal } from '@vadose/core/refusal'
import { strikeReadings as strikeReadingsEndpoint } from '@vadose/contract/readings'
import { addDays, instantOf } from '@vadose/core/households'
import { addReadings, strikeReadings } from '../readings'
import type { Server } from '../serve'
import { isUuid } from '../households'
import { writeAct } from '../lots'
import { codesIn, placesOf, setWalk } from './queries'
import { placeView } from './view'
import { changePlace, placeNamed, retire, writePlace } from './write'

/** far enough back to say how long it has been dry */
const weatherBackDays = 14

function idOf({ id }: { id: string }): string {
  if (!isUuid(id)) throw noSuchPlace()
  return id
}
const noSuchPlace = () => new Refusal('not-found', told('places.noSuchPlace'))

export function servePlaces(server: Server): void {
  server.household(listPlaces, async (visit) => {
    const house = await visit.house()
    return house.places.map((place) => placeView(house, place))
  })

  server.household(readWeather, async (visit) => weatherOf(await visit.house(), weatherBackDays))

  server.household(addPlace, async (visit, { body }) => {
    const made = await visit.write(async (db, _moment, household) => ({ id: await writePlace(db, household, body) }))
    // one that is sensed from the first has its air at once
    await visit.settled()
    return made
  })

  server.household(changePlaceEndpoint, async (visit, { params, body }) => {
    await visit.write((db) => changePlace(db, visit.id, idOf(params), body))
    await visit.settled()
    return { ok: true }
  })

  server.household(orderPlaces, (visit, { body: { ids } }) =>
    visit.write(async (db) => {
      const known = new Set((await placesOf(db, visit.id)).map(({ id }) => id))
      if (!ids.every((id) => known.has(id))) throw noSuchPlace()
      await setWalk(db, visit.id, ids)
      return { ok: true }
    }),
  )

  server.household(listRetiredPlaces, (visit) =>
    visit.read(async (db) =>
      (await placesOf(db, visit.id)).flatMap(({ id, name, retiredOn }) => (retiredOn ? [{ id, name, retiredOn }] : [])),
    ),
  )

  server.household(retirePlace, (visit, { params, body }) =>
    visit.write(async (db, { today }) => {
      await retire(db, visit.id, idOf(params), body.retired ? today : null)
      return { ok: true }
    }),
  )

  server.household(joinPlace, async (visit, { params, body: { requestId, into } }) => {
    const id = idOf(params)
    if (id === into) throw new Refusal('invalid', told('places.itselfAlready'), 'into')
    return visit.write(async (db, moment) => {
      const place = await placeNamed(db, visit.id, id)
      const other = await placeNamed(db, visit.id, into)
      if (other.retiredOn || other.within === id)
        throw new Refusal('invalid', told('places.cannotTakeIn', { other: other.name }), 'into')
      const parts = (await placesOf(db, visit.id)).filter((one) => one.within === id)
      const moved: string[] = []
      for (const from of [place, ...parts]) {
        for (const code of await codesIn(db, visit.id, from.id)) {
          await writeAct(db, moment, code, { act: 'move', placeId: into }, requestId)
          moved.push(code)
        }
      }
      await retire(db, visit.id, id, moment.today)
      return { moved }
    })
  })

  server.household(strikeReadingsEndpoint, async (visit, { params, body: { from, to, struck } }) => {
    const { timeZone } = visit.moment
    if (to < from) throw new Refusal('invalid', told('places.lastBeforeFirst'), 'to')
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
