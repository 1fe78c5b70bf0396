import { guessedAfter } from './guessed'
import type { EventKind, LotEvent } from './event'
import { untold, type LotHistory, type Stage } from './history-type'
import { standing, undoneIn } from './undo'
import { takings } from './restate'

/** Where an event puts a lot, if it does. */
export function stageAfter(e: LotEvent): Exclude<Stage, 'gone'> | undefined {
  switch (e.kind) {
    case 'hung':
      return 'drying'
    case 'loaded':
      return 'dryer'
    case 'jarred':
      return 'conditioning'
    case 'finished':
    case 'frozen':
    case 'made':
      return 'stored'
    case 'split-in':
      return e.details.stage ?? 'stored'
    default:
      return undefined
  }
}

/** Numbers of the entries that later ones strike out or undo. */
export function struckIn(events: readonly LotEvent[]): Set<number> {
  const struck = undoneIn(events)
  for (const { details } of standing(events)) if (details.strikes !== undefined) struck.add(details.strikes)
  return struck
}

const leaves: readonly EventKind[] = [...takings, 'split-out']

/** A lot's history as a part of it has it: what the whole weighed stands for the part's share. */
function scaled(h: LotHistory, share: number): void {
  const part = <T extends { weightG: number; basis?: string }>(w: T): T =>
    w.basis === 'bunch' ? w : { ...w, weightG: w.weightG * share }
  h.weighings = h.weighings.map(part)
  h.loads = h.loads.map((load) => ({ ...part(load), weighings: load.weighings.map(part) }))
}

/** What a part takes over from the lot it was taken from: all but how much there is. */
function inherit(h: LotHistory, from: LotHistory): void {
  const { broughtAtMs, hungAtMs, placeId, stays, hungIn, turnedAtMs, airflow } = from
  const { weighings, tests, checks, pack, loads, jar, frozen } = from
  const { made, named, unit, size, source, lifeDays } = from
  Object.assign(h, { broughtAtMs, hungAtMs, placeId, hungIn, turnedAtMs, pack, jar, frozen })
  Object.assign(h, { made, named, unit, size, source, lifeDays })
  Object.assign(h, {
    stays: [...stays],
    airflow: [...airflow],
    weighings: [...weighings],
    tests: [...tests],
    checks: [...checks],
    loads: [...loads],
  })
}

/** What an entry says a thing is. What is made of it is told from then on: the looks at it as it was are over. */
function nameIt(h: LotHistory, { kind, atMs, details: d }: LotEvent): void {
  h.named = d.name ?? h.named
  h.unit = d.unit ?? h.unit
  h.size = d.size ?? h.size
  h.source = d.source ?? h.source
  h.lifeDays = d.lifeDays ?? null
  if (kind !== 'made') return
  Object.assign(h, { checks: [], loads: [], jar: null, frozen: null, pack: d.pack ?? null })
  const { form = 'cooked', prepared = '', dish = false, recipe, tasteAfterDays } = d
  h.made = {
    atMs,
    form,
    prepared,
    dish,
    ...(recipe ? { recipe } : {}),
    ...(tasteAfterDays ? { tasteAfterDays } : {}),
  }
}

/**
 * Reads a lot's events, oldest first. The lot is counted once an event has named pieces.
 * @param origin the lot it was taken from, as that was just before: a part goes on with its clock
 */
export function lotHistory(events: readonly LotEvent[], origin?: LotHistory): LotHistory {
  let weightG = 0
  let pieces = 0
  let counted = false
  let stage: Exclude<Stage, 'gone'> = 'fresh'
  const h = untold(events, origin)
  if (origin) inherit(h, origin)
  const struck = struckIn(events)
  // what was undone never happened
  for (const e of standing(events)) {
    h.lastAtMs = e.atMs
    const beforeG = weightG
    weightG += e.weightG
    pieces += e.pieces
    if (e.pieces !== 0) counted = true
    if (e.placeId !== null && e.placeId !== h.placeId) {
      h.placeId = e.placeId
      h.stays.push({ atMs: e.atMs, placeId: e.placeId })
    }
    const d = e.details
    if (!struck.has(e.id ?? -1)) h.guessed = guessedAfter(h.guessed, e, origin?.guessed)
    if (d.pack) h.pack = d.pack
    stage = stageAfter(e) ?? stage
    // how the air moves counts for what hangs
    if (d.airflow && stage === 'drying') {
      const gain = d.gain ?? (e.kind === 'hung' ? undefined : h.airflow.at(-1)?.gain)
      h.airflow.push({ atMs: e.atMs, airflow: d.airflow, ...(gain === undefined ? {} : { gain }) })
    }
    if (e.kind === 'hung') {
      // hung again it goes on where it was
      h.hungAtMs ??= e.atMs
      h.hungIn = d.hungIn ?? h.hungIn
    }
    if (e.kind === 'split-in') {
      if (origin && origin.quantity.weightG > 0) scaled(h, e.weightG / origin.quantity.weightG)
      // a part of what was set aside has the same days
      h.aside = d.aside ? { ...d.aside, atMs: e.atMs } : (origin?.aside ?? null)
    }
    if (leaves.includes(e.kind) && beforeG > 0 && weightG > 0) scaled(h, weightG / beforeG)
    if (e.kind === 'weighed' && d.scaleG && !struck.has(e.id ?? -1)) {
      const load = stage === 'dryer' ? h.loads.at(-1) : undefined
      if (load) load.weighings.push({ atMs: e.atMs, weightG: d.scaleG })
      else h.weighings.push({ atMs: e.atMs, weightG: d.scaleG, basis: d.basis ?? 'lot' })
    }
    // what joins later was not weighed with the rest
    if (e.kind === 'brought-in') h.weighings = h.weighings.filter((w) => w.basis === 'bunch')
    // chaff is not water: what was weighed with it says nothing of the grain
    if (e.kind === 'cleaned') h.weighings = []
    if (e.kind === 'loaded') {
      h.loads.push({ atMs: e.atMs, weightG, trays: d.trays ?? 1, airC: d.airC ?? 55, weighings: [], rotatedAtMs: null })
    }
    if (e.kind === 'rotated') {
      const load = stage === 'dryer' ? h.loads.at(-1) : undefined
      if (load) load.rotatedAtMs = e.atMs
      else h.turnedAtMs = e.atMs
    }
    if (e.kind === 'frozen') h.frozen = { atMs: e.atMs, prepared: d.prepared ?? '' }
    // refrozen, it has less time left
    if (e.kind === 'noted' && d.lifeDays) h.lifeDays = d.lifeDays
    if (e.kind === 'noted' && d.sown) h.germination = { atMs: e.atMs, sown: d.sown, came: d.came ?? 0 }
    if (e.kind === 'noted' && d.verdict) h.verdict = d.verdict
    else if (e.kind === 'noted' && !d.sown)
      h.note = d.text ? { atMs: e.atMs, text: d.text, mindOn: d.mindOn ?? null } : null
    // what goes into a dish has names of its own
    if (e.kind === 'made' || (e.kind === 'added' && h.made === null)) nameIt(h, e)
    if (e.kind === 'jarred') h.jar = { atMs: e.atMs, looks: [] }
    if (e.kind === 'shaken' && h.jar) {
      h.jar.looks.push({
        atMs: e.atMs,
        beads: d.beads ?? false,
        mould: d.mould ?? false,
        ...(d.jarHumidityPct === undefined ? {} : { jarHumidityPct: d.jarHumidityPct }),
      })
    }
    if (e.kind === 'tested') for (const r of d.results ?? []) h.tests.push({ atMs: e.atMs, ...r })
    if (e.kind === 'checked') {
      const size = counted && pieces > 0 ? pieces : d.lotSize
      h.checks.push({
        atMs: e.atMs,
        lookedAt: d.why === 'sorted through' ? (size ?? d.lookedAt ?? 0) : (d.lookedAt ?? 0),
        bad: d.bad ?? 0,
        faults: d.faults ?? [],
        ...(size ? { lotSize: size } : {}),
      })
    }
    // a corrected finishing weight is what the lot began with in store, a use is not
    if (
      [
        'brought-in',
        'split-in',
        'finished',
        'split-out',
        'corrected',
        'cleaned',
        'loaded',
        'jarred',
        'frozen',
        'added',
        'made',
      ].includes(e.kind)
    ) {
      h.weightAtFirstG = weightG
      h.piecesAtFirst = counted ? pieces : null
    }
    if (stage === 'stored' && stageAfter(e)) {
      // a part of what is in store goes on with its clock
      const since = e.kind === 'split-in' && origin?.stage === 'stored' ? origin.storedAtMs : e.atMs
      // what a bag is topped up with makes it no younger
      if (!(e.kind === 'split-in' && beforeG > 0 && h.storedAtMs !== null)) h.storedAtMs = since
    }
  }
  // what was cut up is counted no longer
  h.quantity = { weightG, pieces: counted && (pieces > 0 || weightG <= 0) ? pieces : null }
  if (stage !== 'stored') h.storedAtMs = null
  if (stage !== 'fresh') h.aside = null
  h.stage = weightG <= 0 ? 'gone' : stage
  return h
}
