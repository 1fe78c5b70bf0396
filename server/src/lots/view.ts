import type { CuringView, DryerView, JarView, KeepingView, LotEventView, LotRow, LotView } from '@vadose/contract/lots'
import { mapSpread } from '@vadose/core/chance'
import { soundNow } from '@vadose/core/checks'
import { asGoods, type Crop } from '@vadose/core/almanac'
import {
  cropIn,
  curingOfLot,
  dryerOf,
  expectedG,
  keepingCurve,
  keepingDate,
  keepingOf,
  keepsUntil,
  learntOfLot,
  meanAhead,
  readyDates,
  seedForecast,
  troubled,
  troubleOf,
  type House,
  type LotState,
  testsFailed,
} from '@vadose/core/forecast'
import { addDays } from '@vadose/core/households'
import { endReason, endWord } from '@vadose/core/stores'
import { airflowAt, conditioningDays, conditioningVerdict } from '@vadose/core/line'
import { eventSays, jarDay, lastActed, standing, struckIn, type LotEvent } from '@vadose/core/lots'
import type { FullLotRow } from './queries'

const iso = (ms: number) => new Date(ms).toISOString()

/** A lot as a line of a list. */
export const lotRow = (house: House, lot: LotState): LotRow => ({
  code: lot.code,
  crop: lot.crop,
  heap: lot.heap,
  fate: lot.fate,
  variety: lot.variety,
  bed: lot.bed,
  broughtOn: lot.broughtOn,
  broughtAt: iso(lot.history.broughtAtMs),
  stage: lot.stage,
  placeId: lot.placeId,
  place: house.place(lot.placeId)?.name ?? null,
  weightG: lot.weightG,
  pieces: lot.pieces,
  guessed: lot.history.guessed,
  form: lot.form,
  name: lot.history.named,
  unit: lot.history.unit,
  size: lot.history.size,
  source: lot.history.source,
  aside: asideOf(house, lot),
  ...troubleIn(house, lot),
})

const asideOf = (house: House, { history: { aside } }: LotState): LotRow['aside'] =>
  aside && { why: aside.why, until: addDays(house.dateOf(aside.atMs), aside.days) }

function troubleIn(house: House, lot: LotState): Pick<LotRow, 'trouble'> {
  const trouble = troubleOf(house, lot)
  return trouble === undefined ? {} : { trouble }
}

/** The lots that cannot be worked out, each with why: shown apart, where they take nothing else with them. */
export const troubledRows = (house: House): LotRow[] => troubled(house).map(({ lot }) => lotRow(house, lot))

export function keepingView(house: House, lot: LotState): KeepingView {
  const keeping = keepingOf(house, lot)
  const { forecast, belief } = keeping
  const { overdueSince, nineInTenUntil, beyond } = keepsUntil(house, lot)
  const air = meanAhead(house, house.placeOf(lot)!)
  const lastCheck = lot.history.checks.at(-1)
  const from = lastCheck ? house.dateOf(lastCheck.atMs) : house.dateOf(keeping.startMs)
  const due = addDays(from, keeping.nextCheckInDays)
  return {
    overdueSince,
    nineInTenUntil,
    halfUntil: mapSpread(forecast.halfDay, (day) => keepingDate(house, keeping, day)),
    beyond,
    curve: keepingCurve(house, lot),
    endedBy: forecast.endedBy
      .filter((e) => e.share >= 0.02)
      .map((e) => ({
        ...e,
        end: endWord(lot.cropData, e.end),
        why: endReason(lot.cropData, e.end, air.temperatureC, air.relativeHumidityPct),
      })),
    weightLossPctPerMonth: forecast.weightLossPctPerMonth,
    soundNow: soundNow(belief),
    nextCheckOn: due < house.today ? house.today : due,
    lookAt: keeping.lookAt,
    learnt: learntOfLot(house, lot),
  }
}

export function curingView(house: House, lot: LotState): CuringView {
  const { lot: curing, state: now } = curingOfLot(house, lot)
  const last = lot.history.weighings.at(-1)
  return {
    progress: now.progress,
    ready: readyDates(house, now.readyAtMs),
    readyNow: now.readyNow,
    stalledHours: now.stalledHours,
    stalledForHours: now.stalledForHours,
    mouldRiskHours: now.mouldRiskHours,
    airflow: airflowAt(curing.airflow, house.nowMs),
    reasons: now.reasons,
    testsFailed: testsFailed(lot),
    basis: last?.basis ?? null,
    lastWeighedG: last?.weightG ?? null,
    expectedG: expectedG(house, lot),
  }
}

const eventView = (
  crop: Crop,
  event: LotEvent,
  placeName: string | null,
  on: string,
  struck: ReadonlySet<number>,
  last: LotEvent | undefined,
): LotEventView => ({
  id: event.id!,
  kind: event.kind,
  at: new Date(event.atMs).toISOString(),
  on,
  weightG: event.weightG,
  pieces: event.pieces,
  place: placeName,
  says: eventSays(crop, event, placeName),
  struck: struck.has(event.id!),
  undoable: event === last && event.acted === true,
  other: event.details.code ?? null,
})

export function dryerView(house: House, lot: LotState): DryerView {
  const { loads } = lot.history
  const load = loads.at(-1)!
  const now = dryerOf(house, lot)
  return {
    trays: load.trays,
    airC: load.airC,
    loadedAt: iso(load.atMs),
    targetG: Math.round(now.targetG),
    moisturePct: now.moisturePct,
    progress: now.progress,
    doneAt: mapSpread(now.doneAtMs, iso),
    rotateAt: iso(now.rotateAtMs),
    rotated: load.rotatedAtMs !== null,
    again: loads.length > 1,
  }
}

export function jarView(house: House, lot: LotState): JarView {
  const looks = lot.history.jar?.looks ?? []
  const last = looks.at(-1)
  const day = jarDay(lot.history, house.nowMs)
  return {
    day,
    of: conditioningDays.least,
    shakenToday: last !== undefined && house.dateOf(last.atMs) === house.today,
    says: last ? conditioningVerdict({ ...last, day }).says : null,
  }
}

/** The day its tag was put right, where it was not printed since. */
function tagSince(house: House, events: readonly LotEvent[]): string | null {
  const told = standing(events)
  const changed = told.findLast((e) => e.kind === 'relabelled')
  const printed = told.findLast((e) => e.kind === 'tagged')
  return changed && !(printed && printed.atMs >= changed.atMs) ? house.dateOf(changed.atMs) : null
}

const cropOfRow = (grown: Crop, { form, name, unit }: LotRow): Crop =>
  asGoods(grown, form, { name, unit, lifeDays: null, dish: false })

/**
 * A lot's page. One that nothing is left of has its ledger and no forecast.
 * @param row the lot as it is listed
 * @param events its ledger, oldest first
 */
export function lotView(
  house: House,
  row: FullLotRow,
  events: readonly LotEvent[],
  { pictured, harvest }: { pictured: boolean; harvest: string[] },
): LotView {
  const crop = cropIn(house.almanac, row.crop)
  const listedLot = house.lot(row.code)
  const lot = listedLot && !troubleOf(house, listedLot) ? listedLot : undefined
  const struck = struckIn(events)
  const last = lastActed(events)
  const { id: _, ...listed } = row
  // before it was frozen or made into something it was counted as it grew
  const asItGrew = events.findIndex(({ kind }) => kind === 'made' || kind === 'frozen')
  const now = listedLot?.cropData ?? cropOfRow(crop, row)
  return {
    ...(listedLot ? lotRow(house, listedLot) : listed),
    events: events.map((e, i) =>
      eventView(i > asItGrew ? now : crop, e, house.place(e.placeId)?.name ?? null, house.dateOf(e.atMs), struck, last),
    ),
    keeping: lot?.stage === 'stored' ? keepingView(house, lot) : null,
    curing: lot?.stage === 'drying' ? curingView(house, lot) : null,
    dryer: lot?.stage === 'dryer' ? dryerView(house, lot) : null,
    jar: lot?.stage === 'conditioning' ? jarView(house, lot) : null,
    note: lot?.history.note?.text ?? null,
    seed: lot ? seedForecast(house, lot) : null,
    made: events.some(({ kind, details }) => kind === 'split-in' || (kind === 'added' && !details.source)),
    pictured,
    harvest,
    hangsAgain:
      lot?.stage === 'stored' &&
      lot.form === 'fresh' &&
      lot.history.hungAtMs !== null &&
      lot.grown.curing !== undefined,
    tagSince: tagSince(house, events),
    checks: (lot?.history.checks ?? []).map((c) => ({ on: house.dateOf(c.atMs), lookedAt: c.lookedAt, bad: c.bad })),
  }
}
