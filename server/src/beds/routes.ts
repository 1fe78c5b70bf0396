import { addBedEntry as addEndpoint, listBeds, strikeBedEntry as strikeEndpoint } from '@vadose/contract/beds'
import { requireSeeable } from '@vadose/core/beds'
import { cropIn } from '@vadose/core/forecast'
import { requireDay } from '@vadose/core/intake'
import { told } from '@vadose/core/message'
import { Refusal } from '@vadose/core/refusal'
import { almanacOf } from '../almanac'
import { isUuid } from '../households'
import type { Server } from '../serve'
import { addBedEntry, strikeBedEntry } from './queries'
import { bedsView } from './view'

export function serveBeds(server: Server): void {
  server.household(listBeds, async (visit) => {
    const house = await visit.house()
    return house.shown('beds', [], () => bedsView(house))
  })

  server.household(addEndpoint, (visit, { body }) =>
    visit.write(async (db, { today }) => {
      const crop = cropIn(await almanacOf(db, visit.id), body.crop)
      const entry = {
        on: body.on ?? today,
        crop: crop.id,
        variety: body.variety?.trim() || null,
        bed: body.bed.trim(),
        growsIn: body.growsIn,
        what: body.what,
        value: body.value ?? null,
        pieces: body.pieces ?? null,
        weightG: body.weightG ?? null,
      }
      requireDay(entry.on, today, 'on')
      requireSeeable(crop, entry)
      return { id: await addBedEntry(db, visit.id, entry) }
    }),
  )

  server.household(strikeEndpoint, async (visit, { params: { id }, body }) => {
    const struck = isUuid(id) ? await visit.write((db) => strikeBedEntry(db, visit.id, id, body.struck)) : 0
    if (struck === 0) throw new Refusal('not-found', told('beds.noSuchEntry'))
    return { ok: true }
  })
}
