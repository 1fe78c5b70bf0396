import { actOnLot, listLots, readElsewhere, readLot, readMoved, undoAct } from '@vadose/contract/lots'
import {
  previewLabel,
  relabel as relabelEndpoint,
  restateEntry as restateEndpoint,
  strikeEntry as strikeEndpoint,
  strikeHarvest as strikeHarvestEndpoint,
} from '@vadose/contract/put-right'
import { ifRelabelled, keepsElsewhere, keepsIfTakenDown, movedSince } from '@vadose/core/forecast'
import type { LotAct } from '@vadose/core/lots'
import { endWord } from '@vadose/core/stores'
import { told } from '@vadose/core/message'
import { Refusal } from '@vadose/core/refusal'
import { eventsOfLots } from '../projections'
import type { Server } from '../serve'
import { codeIn } from './code'
import { besideLot, lotByCode, lotsGone } from './queries'
import { lotRow, lotView } from './view'
import { lastOn, relabel, restateEntry, strikeEntry, strikeHarvest, undoAct as undoLastAct } from './put-right'
import { lotActedOn, writeActOn } from './write'

export function serveLots(server: Server): void {
  server.household(listLots, async (visit, { query }) => {
    if (query.gone === 'yes') {
      return (await visit.read((db) => lotsGone(db, visit.id))).map(({ id: _, ...row }) => row)
    }
    const house = await visit.house()
    return house.once(null, 'list', [house.lots, house.places], () => house.lots.map((lot) => lotRow(house, lot)))
  })

  server.household(readMoved, async (visit, { params }) => {
    const house = await visit.house()
    const lot = house.lot(codeIn(params.code))
    return { moved: lot ? movedSince(house, lot) : null }
  })

  server.household(readLot, async (visit, { params }) => {
    const code = codeIn(params.code)
    const house = await visit.house()
    const here = house.lot(code)
    if (here) {
      // asked for again only where something besides the lots' own entries may have changed
      const known = house.once<{ beside?: Awaited<ReturnType<typeof besideLot>> }>(
        here,
        'beside',
        [house.besides],
        () => ({}),
      )
      known.beside ??= await visit.read((db) => besideLot(db, visit.id, here.id))
      return lotView(house, { ...lotRow(house, here), id: here.id }, here.history.events, known.beside)
    }
    const { row, events, beside } = await visit.read(async (db) => {
      const row = await lotByCode(db, visit.id, code)
      if (!row) throw new Refusal('not-found', told('lots.noLot', { code }))
      return { row, events: await eventsOfLots(db, visit.id, [row.id]), beside: await besideLot(db, visit.id, row.id) }
    })
    return lotView(house, row, events, beside)
  })

  server.household(readElsewhere, async (visit, { params }) => {
    const code = codeIn(params.code)
    const house = await visit.house()
    const lot = house.lot(code)
    if (!lot || !['stored', 'drying'].includes(lot.stage)) return []
    const places = lot.stage === 'drying' ? keepsIfTakenDown(house, lot) : keepsElsewhere(house, lot)
    return places.map(({ place, nineInTenUntil, beyond, endedBy }) => ({
      placeId: place.id,
      place: place.name,
      nineInTenUntil: nineInTenUntil.p50,
      beyond,
      endedBy: endWord(lot.cropData, endedBy),
    }))
  })

  server.household(
    actOnLot,
    async (visit, { params, body }) => {
      const code = codeIn(params.code)
      const { requestId, ...act } = body
      const known = await visit.byHeart(code)
      const written = await visit.writeWith(
        (db) => lotActedOn(db, visit.id, code, known),
        async (db, moment, begun, household) => {
          // somebody else was quicker
          const late = known && household.revision !== known.revision
          const lot = late ? await lotActedOn(db, visit.id, code) : begun
          return writeActOn(lot, db, moment, code, act as LotAct, requestId)
        },
      )
      const house = await visit.house()
      const lot = house.lot(code)
      if (lot) return { lot: lotRow(house, lot), ...written }
      const { id: _, ...gone } = (await visit.read((db) => lotByCode(db, visit.id, code)))!
      return { lot: gone, ...written }
    },
    { locksFirst: true },
  )

  server.household(undoAct, async (visit, { params, body: { event, requestId } }) => {
    const code = codeIn(params.code)
    return { undone: await visit.write((db, moment) => undoLastAct(db, moment, code, event, requestId)) }
  })

  server.household(strikeEndpoint, async (visit, { params, body: { requestId, ...what } }) => {
    const code = codeIn(params.code)
    return visit.write(async (db, moment) => ({
      lots: await strikeEntry(db, moment, code, what, requestId),
      ...(await lastOn(db, moment, code)),
    }))
  })

  server.household(restateEndpoint, async (visit, { params, body: { requestId, ...what } }) => {
    const code = codeIn(params.code)
    return visit.write(async (db, moment) => ({
      lots: await restateEntry(db, moment, code, what, requestId),
      ...(await lastOn(db, moment, code)),
    }))
  })

  server.household(relabelEndpoint, async (visit, { params, body: { requestId, ...what } }) => {
    const code = codeIn(params.code)
    return visit.write(async (db, moment) => ({
      lots: await relabel(db, moment, code, what, requestId),
      ...(await lastOn(db, moment, code)),
    }))
  })

  server.household(strikeHarvestEndpoint, async (visit, { params, body: { requestId, why } }) => {
    const code = codeIn(params.code)
    return visit.write(async (db, moment) => ({
      lots: await strikeHarvest(db, moment, code, why, requestId),
      ...(await lastOn(db, moment, code)),
    }))
  })

  server.household(previewLabel, async (visit, { params, query }) => {
    const code = codeIn(params.code)
    const house = await visit.house()
    const lot = house.lot(code)
    if (!lot) throw new Refusal('not-found', told('lots.noneLeftOf', { code }))
    return ifRelabelled(house, lot, query, visit.moment.timeZone)
  })
}
