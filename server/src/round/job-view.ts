import type { JobView } from '@vadose/contract/round'
import { markedWords } from '@vadose/core/almanac'
import { asHousehold, type Pool } from '../database'
import type { HouseholdState, LotState } from '../households'
import { curingView } from '../lots'
import { openJobs, type OpenJob } from './queries'
import { feelsOf, syncJobs } from './sync'

const titles: Record<JobView['kind'], (what: string, feels: string, marked: string) => string> = {
  weigh: (what, _feels, marked) => `Weigh the marked ${marked} of ${what}`,
  test: (what, feels) => `Feel the ${what}: ${feels}`,
  'take-down': (what) => `Take down the ${what}`,
  unstall: (what) => `Help the ${what} along`,
  check: (what) => `Look over the ${what}`,
  use: (what) => `Use up the ${what}`,
  read: (what) => `Read the ${what}`,
  turn: (what) => `Turn the ${what}`,
  rotate: (what) => `Change the trays of ${what} round`,
  'take-out': (what) => `Take the ${what} out of the dryer`,
  shake: (what) => `Shake the jar of ${what}`,
}

/** A job in the household's words. */
export function jobView(state: HouseholdState, job: OpenJob): JobView {
  const lot = state.lots.find((l) => l.id === job.lotId)
  const place = state.place(job.placeId)
  const curing = lot?.stage === 'drying' && job.kind === 'weigh' ? curingView(state, lot) : null
  const heap = lot?.cropData.heaps.find((h) => h.id === lot.heap)
  const what = lot ? lotWords(lot, heap?.label) : (place?.name.toLowerCase() ?? '')
  return {
    id: job.id,
    kind: job.kind,
    dueOn: job.dueOn,
    why: job.why,
    code: lot?.code ?? null,
    crop: lot?.crop ?? null,
    title:
      curing?.basis === 'lot'
        ? `Weigh all the ${what}`
        : titles[job.kind](
            what,
            lot ? feelsOf(lot.cropData) : '',
            markedWords[lot?.history.hungIn ?? lot?.cropData.curing?.hangs[0] ?? 'bunch'],
          ),
    expectedG: curing?.expectedG ?? null,
    basis: curing?.basis ?? null,
  }
}

/** “nicked garlic”, “onions”: the sound heap goes without saying. */
const lotWords = (lot: LotState, heapLabel?: string): string =>
  lot.heap === 'sound' || lot.heap === 'small' || !heapLabel
    ? lot.cropData.plural
    : `${lot.cropData.plural}, ${heapLabel.toLowerCase()}`

/** Every open job, the plan brought up to date first, with the place where it is done. */
export async function allJobs(pool: Pool, state: HouseholdState): Promise<(JobView & { place: string | null })[]> {
  await syncJobs(pool, state)
  const jobs = await asHousehold(pool, state.household.id, (db) => openJobs(db, state.household.id))
  return jobs.map((job) => {
    const placeId = job.placeId ?? state.lots.find((lot) => lot.id === job.lotId)?.placeId ?? null
    return { ...jobView(state, job), place: state.place(placeId)?.name ?? null }
  })
}
