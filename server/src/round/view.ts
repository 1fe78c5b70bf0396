import type { JobView, RoundView } from '@vadose/contract/round'
import { markedWords } from '@vadose/core/almanac'
import {
  curingOfLot,
  eatFirstOf,
  expectedG,
  feelsOf,
  jobsByDay,
  keepingOf,
  planOf,
  verdictOn,
  weatherOf,
  type House,
  type LotState,
  type PlannedJob,
} from '@vadose/core/forecast'
import type { Stand } from '@vadose/core/beds'
import { addedTo } from '@vadose/core/grown'
import { addDays } from '@vadose/core/households'
import { term, told, type Message } from '@vadose/core/message'
import { weatherSays } from '@vadose/core/round'
import { troubledRows } from '../lots'
import { placeView } from '../places'
import type { Move } from '../projections'

const views = new WeakMap<PlannedJob, JobView>()

/** A job as screens, files and calendars show it. It is planned anew where anything it says is another. */
export function jobView(house: House, job: PlannedJob): JobView {
  const view = views.get(job) ?? viewOf(house, job)
  views.set(job, view)
  return view
}

function viewOf(house: House, job: PlannedJob): JobView {
  const { lot, place, stand, kind } = job
  const basis =
    lot?.stage === 'drying' && kind === 'weigh' && curingOfLot(house, lot)
      ? (lot.history.weighings.at(-1)?.basis ?? null)
      : null
  const heap = lot?.cropData.heaps.find((h) => h.id === lot.heap)
  const what = lot
    ? lotWords(lot, heap?.label)
    : stand
      ? standWords(house, stand)
      : told('round.place', { name: place?.name.toLowerCase() })
  return {
    id: `${kind}-${lot?.code ?? stand?.key ?? place?.id}`,
    kind,
    dueOn: job.dueOn,
    why: job.why,
    code: lot?.code ?? null,
    crop: lot?.crop ?? stand?.crop ?? null,
    stand: stand ? { key: stand.key, bed: stand.bed, variety: stand.variety, growsIn: stand.growsIn } : null,
    title: told('round.title', {
      kind,
      what,
      whole: basis === 'lot' ? 'yes' : 'no',
      feels: lot ? feelsOf(lot.cropData) : null,
      marked: term(markedWords[lot?.history.hungIn ?? lot?.cropData.curing?.hangs[0] ?? 'bunch']),
    }),
    expectedG: basis && lot ? expectedG(house, lot) : null,
    basis,
    overdue: kind === 'overdue' && lot ? { lookAt: keepingOf(house, lot).lookAt, weightG: lot.weightG } : null,
    plantG: kind === 'plant' && lot ? lot.weightG : null,
    jars: kind === 'seal' && lot ? (lot.pieces ?? 1) : null,
    useG: kind === 'use' && lot ? lot.weightG : null,
  }
}

/** “garlic, nicked or torn”, “onions”: the sound heap goes without saying. */
const lotWords = (lot: LotState, heapLabel?: string): Message =>
  told('round.lot', {
    // what somebody named is called as they did
    plural: lot.history.named ? lot.cropData.plural : term(lot.cropData.plural),
    heap: heapLabel ? term(heapLabel.toLowerCase()) : null,
    heaped: heapLabel && lot.heap !== 'sound' && lot.heap !== 'small' ? 'yes' : 'no',
  })

/** “garlic Red Moor, Bed 3” */
const standWords = (house: House, { crop, variety, bed }: Stand): Message =>
  told('round.stand', {
    plural: term(house.almanac.byId.get(crop)?.plural ?? crop),
    variety,
    named: variety ? 'yes' : 'no',
    bed,
  })

const eatFirstShown = 4
const nextDaysShown = 5
const weatherBackDays = 2
/** a loss avoided above this share in a fortnight is urgent */
const urgentShare = 0.15

/**
 * What needs the household on a day, by place in walking order.
 * @param on today or a day to come
 */
export function roundView(house: House, moves: Iterable<Move>, on: string): RoundView {
  const { today } = house
  const plan = planOf(house)
  const due = plan.filter((job) => (on === today ? job.dueOn <= today : job.dueOn === on))
  const weather = weatherOf(house, weatherBackDays)
  return {
    today: on,
    troubled: troubledRows(house),
    places: house.places
      .map((place) => {
        const view = placeView(house, place)
        return {
          id: place.id,
          name: place.name,
          temperatureC: view.air.temperatureC,
          relativeHumidityPct: view.air.relativeHumidityPct,
          recent: view.recent.map((r) => r.relativeHumidityPct),
          verdict: verdictOn(house, place),
          jobs: due.filter((job) => job.place?.id === place.id).map((job) => jobView(house, job)),
        }
      })
      .filter((place) => place.jobs.length > 0),
    eatFirst: eatFirstOf(house)
      .slice(0, eatFirstShown)
      .map(({ lot, why, lossAvoidedPerKg }) => ({
        code: lot.code,
        crop: lot.crop,
        heap: lot.heap,
        weightG: lot.weightG,
        pieces: lot.pieces,
        form: lot.form,
        name: lot.history.named,
        unit: lot.history.unit,
        why,
        urgent: lossAvoidedPerKg > urgentShare,
      })),
    weather,
    weatherSays: weatherSays(
      weather.filter((day) => day.ahead),
      house.lots.filter((lot) => house.place(lot.placeId)?.kind === 'veranda').length,
    ),
    lastWeek: lastWeek(house, moves),
    nextJobs: jobsByDay(plan, today).slice(0, nextDaysShown),
  }
}

/** Moves of one week, g, by what they were; told from the whole ledger once a day, and then from what is added to it. */
interface WeekOfMoves {
  today: string
  moves: Iterable<Move>
  sums: ReadonlyMap<string, number>
}

/** Grams brought in, used, lost and dried off in the last seven days. */
function lastWeek(house: House, moves: Iterable<Move>): RoundView['lastWeek'] {
  const { today } = house
  const { sums } = house.once<WeekOfMoves>(null, 'last week', [moves, today], (was) => {
    const added = was?.today === today ? addedTo(was.moves, moves) : undefined
    const since = addDays(today, -7)
    const sums = new Map(added && was!.sums)
    for (const { on, kind, weightG } of added ?? moves) if (on > since) sums.set(kind, (sums.get(kind) ?? 0) + weightG)
    return { today, moves, sums }
  })
  const sum = (...kinds: string[]) => kinds.reduce((g, kind) => g + (sums.get(kind) ?? 0), 0)
  return {
    broughtInG: sum('brought-in'),
    usedG: 0 - sum('used'),
    lostG: 0 - sum('lost'),
    waterG: 0 - sum('weighed', 'finished'),
  }
}
