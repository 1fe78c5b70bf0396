import type { Crop } from '../almanac'
import { grams, listing, onDay, term, told, type Listing, type Message, type Part } from '../message'
import type { EventDetails, EventDraft } from './event'

/** Reasons that acts give by themselves; any other is somebody's own words, which no language retells. */
const ownReasons = new Set([
  'counted on the shelf',
  'found at the count',
  'kept apart',
  'miscounted before',
  'more at the count, cause unknown',
  'taken down',
  'to freeze',
  'to the dryer',
])
const reason = (why: string | undefined): Part => (why !== undefined && ownReasons.has(why) ? term(why) : why)

const labelParts = ['crop', 'variety', 'bed', 'heap', 'broughtOn'] as const

/** What a tag said and says now, part by part. */
const labelSays = ({ was = {}, is = {} }: EventDetails): Listing =>
  listing(
    labelParts
      .filter((part) => part in is)
      .map((part) => told('ledger.labelPart', { part, was: was[part] ?? null, is: is[part] ?? null })),
  )

/** What an event says. */
export function eventSays(crop: Crop, event: EventDraft, placeName: string | null): Message {
  const d = event.details
  const place = placeName?.toLowerCase() ?? null
  const count = (n: number) => told('lots.pieces', { n, one: term(crop.piece.one), many: term(crop.piece.many) })
  const took = event.pieces ? listing([count(-event.pieces), grams(-event.weightG)]) : grams(-event.weightG)
  const cause = d.cause ? term(d.cause.toLowerCase()) : null
  /** a word of its own where there is none */
  const whether = (what: unknown) => (what ? 'yes' : 'no')
  switch (event.kind) {
    case 'brought-in':
      return told('lots.broughtIn', {
        what: listing([grams(event.weightG), event.pieces ? count(event.pieces) : null]),
      })
    case 'hung':
      if (d.why === 'hung again') return told('ledger.hungAgain', { place, placed: whether(place) })
      return told('lots.hung', { way: d.hungIn ?? 'none', place, placed: whether(place) })
    case 'weighed':
      if (d.why === 'topped up')
        return told('lots.toppedUp', {
          pieces: event.pieces,
          counted: whether(event.pieces),
          off: grams(-event.weightG),
        })
      return told('lots.weighed', {
        basis: d.basis ?? 'lot',
        weight: grams(d.scaleG ?? 0),
        water: grams(-event.weightG),
        lost: whether(event.weightG < 0),
      })
    case 'tested':
      return told('lots.tested', {
        results: listing(
          (d.results ?? []).map((r) => {
            const test = crop.curing?.endTests.find((t) => t.id === r.test)
            return told('lots.testResult', {
              test: test ? term(test.label.toLowerCase()) : r.test,
              result: test ? term(r.passed ? test.passed : test.failed) : null,
            })
          }),
          '; ',
        ),
      })
    case 'fan':
      if (d.gain) return told('lots.thinner')
      return told('lots.fan', { on: whether(d.airflow === 'fan') })
    case 'finished': {
      const label = crop.packs.find((p) => p.id === d.pack)?.label
      const pack = label ? term(label) : (d.pack ?? null)
      if (event.weightG === 0 && !d.neck) return told('lots.putBy', { pack, place, placed: whether(place) })
      const neck = crop.necks.find((n) => n.id === d.neck)?.label
      return told('ledger.finished', {
        what: listing([
          neck ? term(neck) : null,
          told('ledger.packs', { units: d.units ?? 1, pack }),
          place ? told('lots.toPlace', { place }) : null,
        ]),
        off: grams(-event.weightG),
        waste: grams(d.wasteG ?? 0),
        wasted: whether(d.wasteG),
      })
    }
    case 'split-out':
      if (d.aside)
        return told('ledger.setAside', {
          took,
          code: d.code,
          named: whether(d.code),
          why: d.aside.why,
          cause,
          caused: whether(cause),
        })
      return told('ledger.splitOff', {
        took,
        code: d.code,
        named: whether(d.code),
        why: reason(d.why),
        reasoned: whether(d.why),
        cause,
        caused: whether(cause),
      })
    case 'split-in':
      if (d.aside)
        return told('ledger.setAsideFrom', {
          took: grams(event.weightG),
          code: d.code,
          named: whether(d.code),
          why: d.aside.why,
          days: d.aside.days,
        })
      return told('ledger.splitFrom', { took: grams(event.weightG), code: d.code, named: whether(d.code) })
    case 'moved':
      return told('lots.moved', { place, placed: whether(place) })
    case 'checked':
      if (d.why === 'sorted through') return told('ledger.sortedThrough', { bad: d.bad ?? 0 })
      return told('lots.lookedAt', {
        lookedAt: d.lookedAt,
        lotSize: d.lotSize,
        sized: whether(d.lotSize),
        bad: d.bad ?? 0,
      })
    case 'used':
      return told('lots.used', { took, cause, caused: whether(cause) })
    case 'lost':
      return told('lots.lost', { to: d.to ?? 'none', took, cause, caused: whether(cause) })
    case 'fed':
      return told('lots.fed', { to: d.to ?? 'animals', took, cause, caused: whether(cause) })
    case 'given':
      return told('lots.givenAway', { took })
    case 'planted':
      return told('ledger.planted', { took, bed: d.bed, bedded: whether(d.bed), cause, caused: whether(cause) })
    case 'corrected':
      if (d.strikes !== undefined) return told('ledger.weighingStruck', { why: d.why })
      return told('ledger.corrected', {
        by: grams(event.weightG),
        more: whether(event.weightG > 0),
        why: reason(d.why),
        reasoned: whether(d.why),
      })
    case 'cleaned':
      return told('ledger.cleaned', {
        step: d.step ?? 'winnow',
        clean: grams(d.scaleG ?? 0),
        off: grams(-event.weightG),
      })
    case 'loaded':
      return told('ledger.loaded', {
        back: whether(d.why === 'back from the jar'),
        weight: grams(d.scaleG ?? 0),
        trays: d.trays ?? 1,
        air: { c: d.airC ?? 0 },
      })
    case 'rotated':
      return told('ledger.rotated')
    case 'jarred':
      return told('ledger.jarred', { weight: grams(d.scaleG ?? 0) })
    case 'shaken':
      return told('ledger.shaken', {
        seen: d.mould ? 'mould' : d.beads ? 'beads' : 'none',
        pct: d.jarHumidityPct === undefined ? null : Math.round(d.jarHumidityPct),
        measured: whether(d.jarHumidityPct !== undefined),
      })
    case 'undone':
      return told('ledger.undone', { what: d.of ?? 'noted', why: reason(d.why), reasoned: whether(d.why) })
    case 'restated':
      return told('ledger.restated', { what: d.of ?? 'noted', why: reason(d.why), reasoned: whether(d.why) })
    case 'relabelled':
      return told('ledger.relabelled', { parts: labelSays(d) })
    case 'frozen':
      return told('ledger.frozen', {
        prepared: d.prepared,
        how: whether(d.prepared),
        what: listing([
          d.counted ? told('lots.counted', { n: d.counted, unit: 'bag' }) : null,
          grams(d.scaleG ?? 0),
          place ? told('lots.inPlace', { place }) : null,
        ]),
      })
    case 'added':
      // with a name of its own it is the thing itself, otherwise what went into a dish
      if (d.source)
        return told('ledger.arrived', {
          how: d.source,
          what: listing([
            event.pieces && d.unit ? told('lots.counted', { n: event.pieces, unit: d.unit }) : null,
            grams(event.weightG),
          ]),
        })
      return told('ledger.putIn', { what: d.text, named: whether(d.text), weight: grams(event.weightG) })
    case 'made':
      return madeSays(event, place)
    case 'tagged':
      return told('ledger.tagged')
    case 'noted':
      if (d.verdict) return told('ledger.judged', { verdict: d.verdict })
      return told('lots.noted', {
        text: d.text ?? '',
        on: d.mindOn ? onDay(d.mindOn) : null,
        minded: whether(d.mindOn),
      })
  }
}

function madeSays({ details: d, weightG }: EventDraft, place: string | null): Message {
  const recipe: Part = d.recipe
    ? told('ledger.byRecipe', { recipe: d.recipe, processed: d.processed, how: d.processed ? 'yes' : 'no' })
    : null
  return told('ledger.made', {
    how: listing([told('ledger.form', { form: d.form ?? 'cooked' }), d.prepared, d.size]),
    what: listing([
      d.counted && d.unit ? told('lots.counted', { n: d.counted, unit: d.unit }) : null,
      d.scaleG ? grams(d.scaleG) : told('ledger.asItWas'),
      place ? told('lots.inPlace', { place }) : null,
      recipe,
    ]),
    lost: weightG < 0 ? 'yes' : 'no',
    off: grams(-weightG),
    wasted: d.wasteG ? 'yes' : 'no',
    waste: grams(d.wasteG ?? 0),
  })
}
