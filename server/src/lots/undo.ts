import { cropIn } from '@vadose/core/forecast'
import { standing, undoing } from '@vadose/core/lots'
import { Refusal } from '@vadose/core/refusal'
import { almanacOf } from '../almanac'
import type { Client } from '../database'
import { eventsOfLots } from '../projections'
import type { Moment } from '../serve'
import { enter } from './ledger'
import { lockLot, requestOf, touchedBy } from './queries'

const cameAfter = (code: string) =>
  new Refusal('not-last', `Something came after it on ${code}: undo that first, or put it right there.`, 'event')

/**
 * Undoes the last act on a lot, with everything it wrote on others.
 * @param event the number of its last entry on this lot
 * @returns codes of the lots it touched. @throws Refusal `not-last` where something came after it
 */
export async function undoAct(
  db: Client,
  { householdId, nowMs }: Moment,
  code: string,
  event: number,
  requestId: string,
): Promise<string[]> {
  const lot = await lockLot(db, householdId, code)
  if (!lot) throw new Refusal('not-found', `There is no lot ${code}.`)
  const last = standing(await eventsOfLots(db, householdId, [lot.id])).at(-1)
  if (last?.id !== event) throw cameAfter(code)
  const act = await requestOf(db, householdId, event)
  if (act === null) {
    throw new Refusal('invalid', 'It came with a file or the sample data: put it right with Correct.', 'event')
  }
  const almanac = await almanacOf(db, householdId)
  const touched = await touchedBy(db, householdId, act)
  for (const one of touched) {
    const own = await lockLot(db, householdId, one.code)
    const events = standing(await eventsOfLots(db, householdId, [own!.id]))
    const written = events.filter(({ id }) => one.events.includes(id))
    if (events.at(-1)?.id !== written.at(-1)?.id) throw cameAfter(one.code)
    await enter(db, householdId, own!.id, new Date(nowMs), undoing(written), requestId, cropIn(almanac, own!.crop))
  }
  return touched.map((one) => one.code)
}
