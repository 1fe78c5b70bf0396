import { grams, told, onDay, type Message } from '@vadose/core/message'
import type { CountView } from '@vadose/contract/count'
import { keepingOf, troubleOf, type House, type LotState } from '@vadose/core/forecast'
import { dayMs } from '@vadose/core/households'
import { offOf, proposalsFor, truthOf, type CountContext } from '@vadose/core/count'
import { standing } from '@vadose/core/lots'
import type { Client } from '../database'
import { lotRow } from '../lots'
import { entriesOf, finishedLines, openCount, type CountEntry } from './queries'

/** What stands on shelves to be counted: not what hangs, dries or is conditioned. */
export const countable = (house: House): LotState[] =>
  house.lots.filter(({ stage }) => stage === 'stored' || stage === 'fresh')

/** What was used of a lot since it was put by, in pieces where it is counted. */
function usedOf({ history, pieces }: LotState): { amount: number; times: number } {
  const used = standing(history.events).filter(({ kind }) => kind === 'used')
  const amount = used.reduce((sum, e) => sum - (pieces === null ? e.weightG : e.pieces), 0)
  return { amount, times: used.length }
}

function sinceSaid(house: House, lot: LotState): Message {
  const { amount } = usedOf(lot)
  const { storedAtMs, piecesAtFirst, weightAtFirstG } = lot.history
  const on = storedAtMs === null ? lot.broughtOn : house.dateOf(storedAtMs)
  const what = (n: number, g: number) => (lot.pieces === null ? grams(Math.round(g)) : n)
  return told('larder.sincePutBy', {
    what: what(piecesAtFirst ?? 0, weightAtFirstG),
    on: onDay(on, 'month'),
    year: on.slice(0, 4) === house.today.slice(0, 4) ? '' : on.slice(0, 4),
    used: amount > 0 ? what(amount, amount) : null,
    some: amount > 0 ? 'yes' : 'no',
  })
}

function contextOf(house: House, lot: LotState, counted: boolean): CountContext {
  const { amount, times } = usedOf(lot)
  const since = lot.history.storedAtMs ?? lot.history.broughtAtMs
  const weeks = Math.max(1, (house.nowMs - since) / (7 * dayMs))
  const lastMs = lot.history.lastAtMs
  const weeksSince = Math.max(0, (house.nowMs - lastMs) / (7 * dayMs))
  const perWeek = times > 0 ? amount / weeks : null
  const perUse = perWeek ? Math.max(1, Math.round(7 / perWeek)) : 0
  return {
    usedPerWeek: perWeek,
    used:
      perWeek === null
        ? told('larder.neverUsed')
        : lot.pieces === null
          ? told('larder.usedWeekly', { weight: grams(Math.round(perWeek)) })
          : told('larder.usedEvery', { days: perUse }),
    weeksSince,
    waterG: waterG(house, lot, (house.nowMs - lastMs) / dayMs),
    countedBefore: counted,
  }
}

/** Water a lot in store can have lost in so many days, g. */
function waterG(house: House, lot: LotState, days: number): [number, number] {
  if (lot.stage !== 'stored' || lot.form !== 'fresh' || troubleOf(house, lot)) return [0, 0]
  const { lossPct, nowDay } = keepingOf(house, lot)
  const at = (day: number) => lossPct[Math.max(0, Math.min(lossPct.length - 1, Math.round(day)))] ?? 0
  const g = ((at(nowDay) - at(nowDay - days)) / 100) * lot.weightG
  return [g * 0.6, g * 1.4]
}

function countedOf(house: House, lot: LotState, entry: CountEntry, before: boolean) {
  const off = offOf(entry, { weightG: entry.expectedG, pieces: entry.expectedPieces })
  return {
    typed: entry.typed,
    therePieces: entry.therePieces,
    thereG: entry.thereG,
    offPieces: off.pieces,
    offG: off.weightG,
    at: entry.at.toISOString(),
    cause: entry.cause,
    proposals: proposalsFor(off, contextOf(house, lot, before)),
  }
}

export async function countView(db: Client, householdId: string, house: House): Promise<CountView> {
  const open = await openCount(db, householdId)
  const entries = new Map((open ? await entriesOf(db, householdId, open.id) : []).map((entry) => [entry.lotId, entry]))
  const past = await finishedLines(db, householdId)
  const lots = countable(house)
  const shelves = house.everyPlace
    .map((place) => {
      const own = lots.filter((lot) => (house.place(lot.placeId) ?? house.places[0])?.id === place.id)
      const lines = own.map((lot) => {
        const entry = entries.get(lot.id)
        return {
          ...lotRow(house, lot),
          since: sinceSaid(house, lot),
          counted: entry ? countedOf(house, lot, entry, past.length > 0) : null,
        }
      })
      const at = lines.flatMap(({ counted }) => (counted ? [counted.at] : [])).sort()
      return { placeId: place.id, place: place.name, lines, lastAt: at.at(-1) ?? null }
    })
    .filter(({ lines }) => lines.length > 0)
  const byCount = new Map<string, typeof past>()
  for (const line of past) {
    const on = house.dateOf(line.finishedAt.getTime())
    byCount.set(on, [...(byCount.get(on) ?? []), line])
  }
  const offG = (line: (typeof past)[number]) =>
    offOf(line, { weightG: line.expectedG, pieces: line.expectedPieces }).weightG
  const last = [...byCount.values()].at(-1) ?? []
  return {
    begunAt: open?.begunAt.toISOString() ?? null,
    shelves,
    truth: [...byCount].map(([on, lines]) => ({
      on,
      truePct: Math.round(truthOf(lines.map((line) => ({ expectedG: line.expectedG, offG: offG(line) }))) * 100),
      lines: lines.length,
    })),
    unexplainedG: last.reduce((sum, line) => (line.cause === 'unknown' ? sum + Math.max(0, 0 - offG(line)) : sum), 0),
  }
}
