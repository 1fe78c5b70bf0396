import { muteAlarm, readAlarms, readRound } from '@vadose/contract/round'
import type { Server } from '../serve'
import { alarmsView, mutedKeys, setMuted } from './alarms'
import { roundView } from './view'

export function serveRound(server: Server): void {
  server.household(readRound, async (visit, { query }) => {
    const house = await visit.house()
    const moves = await visit.moves()
    // what is past is done or due today
    const on = query.on && query.on > house.today ? query.on : house.today
    return on === house.today
      ? house.shown('round', [moves], () => roundView(house, moves, on))
      : roundView(house, moves, on)
  })

  server.household(readAlarms, async (visit) =>
    alarmsView(await visit.house(), await visit.read((db) => mutedKeys(db, visit.id))),
  )

  server.household(muteAlarm, async (visit, { body: { key, muted } }) =>
    visit.write(async (db, { nowMs }) => {
      await setMuted(db, visit.id, key, muted ? new Date(nowMs) : null)
      return { ok: true }
    }),
  )
}
