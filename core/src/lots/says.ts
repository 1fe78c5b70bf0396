import { hungInWords, units, type Crop, type Form, type Unit } from '../almanac'
import { asideWords } from './aside'
import type { EventDetails, EventDraft, EventKind } from './event'

const grams = (g: number) => (Math.abs(g) >= 10_000 ? `${(g / 1000).toFixed(1)} kg` : `${g.toLocaleString('en-GB')} g`)

/** What was undone, by what it was. */
const undoneWords: Record<EventKind, string> = {
  'brought-in': 'bringing in',
  hung: 'hanging up',
  weighed: 'the weighing',
  tested: 'the test',
  fan: 'the fan',
  finished: 'taking down',
  'split-out': 'splitting off',
  'split-in': 'being split off',
  moved: 'the move',
  checked: 'the look',
  used: 'the use',
  lost: 'what was gone',
  given: 'giving away',
  planted: 'planting',
  corrected: 'the correction',
  noted: 'the note',
  cleaned: 'cleaning',
  loaded: 'loading the dryer',
  rotated: 'turning',
  jarred: 'putting into jars',
  shaken: 'shaking the jar',
  undone: 'undoing',
  restated: 'putting right',
  relabelled: 'the new tag',
  fed: 'feeding',
  tagged: 'the printed tag',
  frozen: 'freezing',
  added: 'putting in',
  made: 'making it',
}

const labelWords = { crop: 'crop', variety: 'variety', bed: 'bed', heap: 'heap', broughtOn: 'day' } as const

const many = (n: number, unit: Unit) => `${n} ${n === 1 ? unit : units[unit]}`
const arrived = { grown: 'was there already', bought: 'bought', given: 'given', caught: 'caught', cooked: 'cooked' }
const madeWords: Record<Form, string> = {
  fresh: 'put by',
  dried: 'dried',
  frozen: 'frozen',
  jarred: 'in jars',
  brined: 'in brine',
  cooked: 'cooked',
}

export const verdictWords = { more: 'more of it', same: 'as much again', never: 'never again' } as const

/** What a tag said and says now, part by part. */
const labelSays = ({ was = {}, is = {} }: EventDetails): string =>
  (Object.keys(labelWords) as (keyof typeof labelWords)[])
    .filter((k) => k in is)
    .map((k) => {
      return `${labelWords[k]} ${was[k] ?? 'none'} → ${is[k] ?? 'none'}`
    })
    .join(', ')

/** What an event says in the household's words. */
export function eventSays(crop: Crop, event: EventDraft, placeName: string | null): string {
  const d = event.details
  const count = (n: number) => `${n} ${n === 1 ? crop.piece.one : crop.piece.many}`
  const took = event.pieces ? `${count(-event.pieces)}, ${grams(-event.weightG)}` : grams(-event.weightG)
  switch (event.kind) {
    case 'brought-in':
      return `brought in, ${grams(event.weightG)}${event.pieces ? `, ${count(event.pieces)}` : ''}`
    case 'hung': {
      if (d.why === 'hung again') return `hung again${placeName ? ` in ${placeName.toLowerCase()}` : ''}`
      const where = placeName ? `${d.hungIn ? ',' : ' in'} ${placeName.toLowerCase()}` : ''
      return `hung${d.hungIn ? ` ${hungInWords[d.hungIn]}` : ''}${where}`
    }
    case 'weighed': {
      if (d.why === 'topped up')
        return `topped up: ${event.pieces ? `${event.pieces} more, ` : ''}${grams(-event.weightG)} went as water and trimmings`
      const water = event.weightG < 0 ? `; ${grams(-event.weightG)} of water gone from the lot` : ''
      return `${d.basis === 'bunch' ? 'marked bunch' : 'lot'} weighed ${grams(d.scaleG ?? 0)}${water}`
    }
    case 'tested':
      return (d.results ?? [])
        .map((r) => {
          const test = crop.curing?.endTests.find((t) => t.id === r.test)
          return `${test?.label.toLowerCase() ?? r.test}: ${r.passed ? test?.passed : test?.failed}`
        })
        .join('; ')
    case 'fan':
      if (d.gain) return 'hung in smaller bunches or spread thinner'
      return d.airflow === 'fan' ? 'fan on' : 'fan off'
    case 'finished': {
      const pack = crop.packs.find((p) => p.id === d.pack)?.label ?? d.pack
      if (event.weightG === 0 && !d.neck) return `put by: ${pack}${placeName ? `, in ${placeName.toLowerCase()}` : ''}`
      const neck = crop.necks.find((n) => n.id === d.neck)?.label
      return `cleaned and packed: ${neck ? `${neck}, ` : ''}${d.units && d.units > 1 ? `${d.units} × ` : ''}${pack}${placeName ? `, to ${placeName.toLowerCase()}` : ''}; ${grams(-event.weightG)} of trimmings and water off${d.wasteG ? `, ${grams(d.wasteG)} of it trimmings` : ''}`
    }
    case 'split-out': {
      const cause = d.cause ? `, ${d.cause.toLowerCase()}` : ''
      if (d.aside) return `${took} set aside${d.code ? ` as ${d.code}` : ''}: ${asideWords[d.aside.why]}${cause}`
      return `${took} split off${d.code ? ` as ${d.code}` : ''}${d.why ? ` (${d.why})` : ''}${cause}`
    }
    case 'split-in': {
      const from = d.code ? ` from ${d.code}` : ' off'
      if (d.aside)
        return `${grams(event.weightG)} set aside${from}: ${asideWords[d.aside.why]} within ${d.aside.days} days`
      return `${grams(event.weightG)} split${from}`
    }
    case 'moved':
      return `moved to ${placeName?.toLowerCase() ?? 'another place'}`
    case 'checked':
      if (d.why === 'sorted through') return `sorted through${d.bad ? `, ${d.bad} not right` : ''}`
      return `looked at ${d.lookedAt}${d.lotSize ? ` of ${d.lotSize}` : ''}, ${d.bad ? `${d.bad} not right` : 'all sound'}`
    case 'used':
      return `used ${took}${d.cause ? ` (${d.cause.toLowerCase()})` : ''}`
    case 'lost':
      return `${d.to ? `to the ${d.to === 'burn' ? 'fire' : d.to}` : 'gone'}: ${took}${d.cause ? ` (${d.cause.toLowerCase()})` : ''}`
    case 'fed':
      return `fed to ${d.to ?? 'animals'}: ${took}${d.cause ? ` (${d.cause.toLowerCase()})` : ''}`
    case 'given':
      return `given away ${took}`
    case 'planted':
      return `planted ${took}${d.bed ? ` in ${d.bed}` : ''}${d.cause ? ` (${d.cause.toLowerCase()})` : ''}`
    case 'corrected':
      if (d.strikes !== undefined) return `a weighing struck out: ${d.why}`
      return `corrected by ${event.weightG > 0 ? '+' : ''}${grams(event.weightG)}${d.why ? `: ${d.why}` : ''}`
    case 'cleaned':
      return `${d.step === 'thresh' ? 'threshed' : d.step === 'sieve' ? 'sieved' : 'winnowed'}: ${grams(d.scaleG ?? 0)} clean, ${grams(-event.weightG)} of straw and chaff off`
    case 'loaded':
      return `${d.why === 'back from the jar' ? 'back in the dryer' : 'in the dryer'}: ${grams(d.scaleG ?? 0)} on ${d.trays === 1 ? 'one tray' : `${d.trays} trays`} at ${d.airC} °C`
    case 'rotated':
      return 'turned'
    case 'jarred':
      return `out of the dryer, ${grams(d.scaleG ?? 0)} into jars to condition`
    case 'shaken':
      return `jar shaken: ${d.mould ? 'mould' : d.beads ? 'beads on the glass' : 'no beads'}${d.jarHumidityPct === undefined ? '' : `, ${Math.round(d.jarHumidityPct)} % in the jar`}`
    case 'undone':
      return `${d.why ? 'struck out' : 'undone'}: ${undoneWords[d.of ?? 'noted']}${d.why ? ` (${d.why})` : ''}`
    case 'restated':
      return `put right: ${undoneWords[d.of ?? 'noted']}${d.why ? ` (${d.why})` : ''}`
    case 'relabelled':
      return `the tag put right: ${labelSays(d)}`
    case 'frozen':
      return `frozen: ${d.prepared ?? 'as it was'}, ${d.counted ? `${d.counted} ${d.counted === 1 ? 'bag' : 'bags'}, ` : ''}${grams(d.scaleG ?? 0)}${placeName ? `, in ${placeName.toLowerCase()}` : ''}`
    case 'added':
      // with a name of its own it is the thing itself, otherwise what went into a dish
      if (d.source)
        return `${arrived[d.source]}, ${event.pieces && d.unit ? `${many(event.pieces, d.unit)}, ` : ''}${grams(event.weightG)}`
      return `${d.text ?? 'something bought'} put in, ${grams(event.weightG)}`
    case 'made': {
      const where = placeName ? `, in ${placeName.toLowerCase()}` : ''
      const how = [madeWords[d.form ?? 'cooked'], d.prepared, d.size].filter(Boolean).join(', ')
      const by = d.recipe ? `, by “${d.recipe}”${d.processed ? `, ${d.processed}` : ''}` : ''
      const count = d.counted && d.unit ? `${many(d.counted, d.unit)}, ` : ''
      const off =
        event.weightG < 0
          ? `; ${grams(-event.weightG)} went as water${d.wasteG ? ` and trimmings, ${grams(d.wasteG)} of it trimmings` : ''}`
          : ''
      return `${how}: ${count}${d.scaleG ? grams(d.scaleG) : 'as it was'}${where}${by}${off}`
    }
    case 'tagged':
      return 'its tag printed'
    case 'noted':
      return d.verdict
        ? `judged: ${verdictWords[d.verdict]}`
        : `${d.text ?? ''}${d.mindOn ? ` (a reminder for ${d.mindOn})` : ''}`
  }
}
