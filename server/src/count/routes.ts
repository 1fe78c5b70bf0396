import { countOne, finishCount, readCount, uncountOne } from '@vadose/contract/count'
import { codeIn } from '../lots'
import type { Server } from '../serve'
import { countView } from './view'
import { dropCounted, writeCounted, writeFinished } from './write'

export function serveCount(server: Server): void {
  server.household(readCount, async (visit) => {
    const house = await visit.house()
    return visit.read((db) => countView(db, visit.id, house))
  })

  server.household(countOne, async (visit, { params, body }) => {
    const code = codeIn(params.code)
    await visit.write((db, moment) => writeCounted(db, moment, code, body))
    return { ok: true }
  })

  server.household(uncountOne, async (visit, { params }) => {
    const code = codeIn(params.code)
    await visit.write((db, moment) => dropCounted(db, moment, code))
    return { ok: true }
  })

  server.household(finishCount, (visit, { body: { causes, requestId } }) =>
    visit.write((db, moment) => writeFinished(db, moment, causes, requestId)),
  )
}
