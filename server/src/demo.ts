import { randomUUID } from 'node:crypto'
import { curingOf, weightShare } from '@vadose/core/line'
import type { LotAct } from '@vadose/core/lots'
import { quarryHouse, steps, type Step } from '@vadose/demo/quarry-house'
import { inTransaction, type Client, type Pool } from './database'
import { senseUntil } from './households/clock'
import { addHousehold, addPerson, allHouseholds, removeHousehold, setPracticeNow } from './households/queries'
import { stateOf } from './households/state'
import { instantOf } from './households/time'
import { writeAct, writeHarvest } from './lots/write'
import { addPlace } from './places/queries'
import { syncJobs } from './round/sync'

/** Loads Quarry House unless it is there; `say` hears about the long parts. */
export async function ensureDemo(pool: Pool, say: (line: string) => void): Promise<void> {
  if ((await allHouseholds(pool)).some((household) => household.demo)) return
  say('Loading Quarry House: two seasons of weather, harvests and meals …')
  await loadDemo(pool, say)
  say('Quarry House is ready.')
}

/** Removes the demo household, if there is one, with all that is its own. */
export async function removeDemo(pool: Pool): Promise<void> {
  for (const household of await allHouseholds(pool)) {
    if (household.demo) await inTransaction(pool, household.id, (db) => removeHousehold(db, household.id))
  }
}

async function loadDemo(pool: Pool, say: (line: string) => void): Promise<void> {
  const id = randomUUID()
  const { name, timeZone, latitudeDeg, altitudeM, seasonStart, firstReadingOn, today } = quarryHouse
  const startMs = instantOf(firstReadingOn, 0, timeZone)
  const household = {
    id,
    name,
    timeZone,
    latitudeDeg,
    altitudeM,
    seasonStart,
    demo: true,
    practiceNow: new Date(startMs),
  }
  try {
    const places = await inTransaction(pool, id, async (db) => {
      await addHousehold(db, household)
      for (const person of quarryHouse.people) await addPerson(db, id, person)
      const made = new Map<string, string>()
      for (const [placeName, kind] of quarryHouse.places)
        made.set(placeName, await addPlace(db, id, placeName, kind, true))
      await senseUntil(db, household, startMs, instantOf(today, 7, timeZone))
      return made
    })
    say('  the weather and every sensor are in')
    let quarter = 1
    for (const [i, step] of steps.entries()) {
      await play(pool, id, timeZone, places, step)
      if ((i + 1) * 4 >= quarter * steps.length) say(`  ${quarter++ * 25} % of what happened there`)
    }
    const nowMs = instantOf(today, 7, timeZone) + 30 * 60_000
    await inTransaction(pool, id, (db) => setPracticeNow(db, id, new Date(nowMs)))
    await syncJobs(pool, await stateOf(pool, id))
  } catch (error) {
    // half a demo is none
    await inTransaction(pool, id, (db) => removeHousehold(db, id)).catch(() => undefined)
    throw error
  }
}

async function play(
  pool: Pool,
  householdId: string,
  timeZone: string,
  places: Map<string, string>,
  step: Step,
): Promise<void> {
  const nowMs = instantOf(step.on, step.hour, timeZone)
  const moment = { householdId, nowMs, today: step.on, timeZone }
  const placeId = (name: string) => places.get(name)!
  const inMoment = (work: (db: Client) => Promise<unknown>) =>
    inTransaction(pool, householdId, async (db) => {
      await setPracticeNow(db, householdId, new Date(nowMs))
      await work(db)
    })
  if (step.do === 'harvest') {
    const { crop, variety, bed, signShare } = step
    const heaps = step.heaps.map(({ place, ...heap }) => ({ ...heap, placeId: placeId(place) }))
    const totalG = heaps.reduce((sum, heap) => sum + heap.weightG, 0)
    await inMoment((db) =>
      writeHarvest(db, moment, {
        requestId: randomUUID(),
        crop,
        variety,
        bed,
        signShare,
        harvestedOn: step.on,
        totalG,
        heaps,
      }),
    )
    return
  }
  if (step.do === 'weigh') {
    await inMoment(async () => undefined)
    const weightG = await scaleShows(pool, householdId, step)
    await inMoment((db) => writeAct(db, moment, step.code, { act: 'weigh', weightG, basis: 'bunch', sure: true }, null))
    return
  }
  const { act } = step
  const full = ('place' in act ? { ...act, placeId: placeId(act.place), place: undefined } : act) as LotAct
  await inMoment((db) => writeAct(db, moment, step.code, full, null))
}

/** What a scale shows of a marked bunch that has had its lot's air, to 5 g. */
async function scaleShows(pool: Pool, householdId: string, step: Extract<Step, { do: 'weigh' }>): Promise<number> {
  const state = await stateOf(pool, householdId)
  const lot = state.lots.find((l) => l.code === step.code)!
  const { spentKPaH } = state.curing(lot).state
  const budget = curingOf(lot.cropData).budget.value * step.budgetFactor
  const swing = 1 + 0.004 * Math.sin(spentKPaH * 1.7)
  return Math.round((step.firstG * weightShare(spentKPaH, budget, step.finalRatio) * swing) / 5) * 5
}
