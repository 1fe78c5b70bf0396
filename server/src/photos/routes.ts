import { addPhoto, readPhoto } from '@vadose/contract/photos'
import { told } from '@vadose/core/message'
import { Refusal } from '@vadose/core/refusal'
import { lockLot, codeIn } from '../lots'
import type { Server } from '../serve'
import { keepPhoto, photoOf } from './queries'
import { pictureOf } from './picture'

export function servePhotos(server: Server): void {
  server.household(addPhoto, async (visit, { params, body }) => {
    const code = codeIn(params.code)
    const jpeg = await pictureOf(body as unknown as Buffer)
    await visit.write(async (db) => {
      const lot = await lockLot(db, visit.id, code)
      if (!lot) throw new Refusal('not-found', told('lots.noLot', { code }))
      await keepPhoto(db, visit.id, lot.id, jpeg)
    })
    return { bytes: jpeg.length }
  })

  server.household(readPhoto, async (visit, { params }, response) => {
    const code = codeIn(params.code)
    const jpeg = await visit.read((db) => photoOf(db, visit.id, code))
    if (!jpeg) throw new Refusal('not-found', told('photos.noneOfLot', { code }))
    return response.type('image/jpeg').send(jpeg)
  })
}
