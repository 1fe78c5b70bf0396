import { randomUUID } from 'node:crypto'
import { curingOfLot } from '@vadose/core/forecast'
import { householdAddress, instantOf } from '@vadose/core/households'
import { curingOf, weightShare } from '@vadose/core/line'
import type { LotAct } from '@vadose/core/lots'
import { quarryHouse, steps, type Step } from '@vadose/demo/quarry-house'
import { addBedEntry } from './beds'
import { inTransaction, type Client, type Pool } from './database'
import { addHousehold, allHouseholds, householdById, removeHousehold, setPracticeNow, setWhole } from './households'
import { furnish } from './households/write'
import { writeHarvest } from './intake/write'
import { writeWholeCount } from './count'
import { writeDish } from './kitchen'
import { writeStock } from './larder'
import { writeAct } from './lots'
import { senseUntil } from './practice'
import { Houses } from './projections'

/** Loads Quarry House unless it is there; `say` hears about the long parts. */
export async function ensureDemo(pool: Pool, say: (line: string) => void): Promise<void> {
  const demo = (await allHouseholds(pool)).filter((household) => household.demo)
  if (demo.some((household) => household.whole)) return
  // a start that was cut off left half a demo: half a demo is none
  if (demo.length > 0) await removeDemo(pool)
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

interface Playing {
  pool: Pool
  houses: Houses
  id: string
  timeZone: string
  places: Map<string, string>
}

async function loadDemo(pool: Pool, say: (line: string) => void): Promise<void> {
  const id = randomUUID()
  const { name, timeZone, latitudeDeg, altitudeM, seasonStart, firstReadingOn, today } = quarryHouse
  const startMs = instantOf(firstReadingOn, 0, timeZone)
  const taken = new Set((await allHouseholds(pool)).map((h) => h.address))
  const household = {
    id,
    address: householdAddress(name, taken),
    name,
    timeZone,
    latitudeDeg,
    altitudeM,
    seasonStart,
    demo: true,
    whole: false,
    practiceNow: new Date(startMs),
  }
  try {
    const places = await inTransaction(pool, id, async (db) => {
      await addHousehold(db, household)
      const made = await furnish(db, household, quarryHouse.places)
      await senseUntil(db, household, startMs, instantOf(today, 7, timeZone))
      return made
    })
    say('  the weather and every sensor are in')
    const playing = { pool, houses: new Houses(pool), id, timeZone, places }
    let quarter = 1
    for (const [i, step] of steps.entries()) {
      await play(playing, step)
      if ((i + 1) * 4 >= quarter * steps.length) say(`  ${quarter++ * 25} % of what happened there`)
    }
    const nowMs = instantOf(today, 7, timeZone) + 30 * 60_000
    await inTransaction(pool, id, async (db) => {
      await setPracticeNow(db, id, new Date(nowMs))
      await setWhole(db, id)
    })
  } catch (error) {
    // half a demo is none
    await inTransaction(pool, id, (db) => removeHousehold(db, id)).catch(() => undefined)
    throw error
  }
}

async function play(playing: Playing, step: Step): Promise<void> {
  const { pool, id, timeZone, places } = playing
  const nowMs = instantOf(step.on, step.hour, timeZone)
  const moment = { householdId: id, nowMs, today: step.on, timeZone, setupRevision: -1 }
  const placeId = (name: string) => places.get(name)!
  const inMoment = (work: (db: Client) => Promise<unknown>) =>
    inTransaction(pool, id, async (db) => {
      await setPracticeNow(db, id, new Date(nowMs))
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
    const weightG = await scaleShows(playing, step)
    await inMoment((db) => writeAct(db, moment, step.code, { act: 'weigh', weightG, basis: 'bunch', sure: true }, null))
    return
  }
  if (step.do === 'look') {
    const { on, crop, variety, bed, what, value = null } = step
    await inMoment((db) =>
      addBedEntry(db, id, { on, crop, variety, bed, growsIn: 'bed', what, value, pieces: null, weightG: null }),
    )
    return
  }
  if (step.do === 'stock') {
    const lines = step.lines.map(({ place, ...line }) => ({ ...line, placeId: placeId(place!) }))
    await inMoment((db) => writeStock(db, moment, lines, null))
    return
  }
  if (step.do === 'dish') {
    const { place, ...dish } = step.dish
    await inMoment((db) => writeDish(db, moment, { ...dish, requestId: null, placeId: placeId(place) }))
    return
  }
  if (step.do === 'count') {
    await inMoment((db) => writeWholeCount(db, moment, new Map(Object.entries(step.off))))
    return
  }
  const { act } = step
  const full = ('place' in act ? { ...act, placeId: placeId(act.place), place: undefined } : act) as LotAct
  await inMoment((db) => writeAct(db, moment, step.code, full, null))
}

/** What a scale shows of a marked bunch that has had its lot's air, to 5 g. */
async function scaleShows({ pool, houses, id }: Playing, step: Extract<Step, { do: 'weigh' }>): Promise<number> {
  const house = await houses.settled((await householdById(pool, id))!)
  const lot = house.lot(step.code)!
  const { spentKPaH } = curingOfLot(house, lot).state
  const budget = curingOf(lot.cropData).budget.value * step.budgetFactor
  const swing = 1 + 0.004 * Math.sin(spentKPaH * 1.7)
  return Math.round((step.firstG * weightShare(spentKPaH, budget, step.finalRatio) * swing) / 5) * 5
}
