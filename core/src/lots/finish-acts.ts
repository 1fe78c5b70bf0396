import { surpriseShare, trimmedShare } from '../assumptions'
import { grams, term, told } from '../message'
import { Refusal } from '../refusal'
import { requireDrying, type ActContext, type ActOutcome, type Grade, type LotAct } from './act'
import { draft, type EventDetails, type EventDraft } from './event'
import type { LotHistory } from './history-type'
import { piecesOfGrams } from './quantity'

/** Taking down, sorting by size, threshing: what a lot goes through on its way into store. */
export function finished(act: Extract<LotAct, { act: 'finish' }>, { crop, lot }: ActContext): ActOutcome {
  requireDrying(lot)
  if (crop.necks.length > 0 ? !crop.necks.some((n) => n.id === act.neck) : act.neck !== undefined) {
    throw new Refusal('invalid', told('lots.noNeck', { neck: act.neck }), 'neck')
  }
  if (!crop.packs.some((p) => p.id === act.pack))
    throw new Refusal('invalid', told('lots.noPack', { pack: act.pack }), 'pack')
  if (act.ofG !== undefined && act.ofG < lot.quantity.weightG) return partFinished(act, act.ofG, lot, crop)
  const { weightG: before, pieces: piecesBefore } = lot.quantity
  if (!act.sure && act.weightG > before * surpriseShare) {
    throw new Refusal(
      'surprise',
      told('lots.moreThanWentOnLine', { weight: grams(act.weightG), before: grams(before) }),
      'weightG',
    )
  }
  const most = trimmedShare[crop.group]
  if (!act.sure && act.wasteG !== undefined && act.wasteG > before * most) {
    throw new Refusal(
      'surprise',
      told('lots.muchTrimmed', {
        waste: grams(act.wasteG),
        share: Math.round((100 * act.wasteG) / before),
        crop: term(crop.name.toLowerCase()),
        most: Math.round(100 * most),
      }),
      'wasteG',
    )
  }
  const { pack, placeId, units, wasteG, grades = [] } = act
  const details = { ...(act.neck ? { neck: act.neck } : {}), pack }
  const pieces = act.pieces ?? piecesBefore ?? 0
  const main = draft('finished', {
    weightG: act.weightG - before,
    pieces: pieces - (piecesBefore ?? 0),
    placeId,
    details: {
      ...details,
      scaleG: act.weightG,
      ...(act.guessed ? { guessed: 'weight' as const } : {}),
      ...(act.pieces === undefined ? {} : { counted: act.pieces }),
      ...(units ? { units } : {}),
      ...(wasteG ? { wasteG } : {}),
    },
  })
  const sizes = graded(grades, act.weightG, pieces, placeId, details)
  return { ...sizes, events: [main, ...sizes.events] }
}

/** Some bunches are ready, others hang on: what is taken down becomes a lot of its own. */
function partFinished(
  act: Extract<LotAct, { act: 'finish' }>,
  ofG: number,
  lot: LotHistory,
  crop: ActContext['crop'],
): ActOutcome {
  if (act.grades?.length) {
    throw new Refusal('invalid', told('lots.partDownFirst'), 'grades')
  }
  const pieces = piecesOfGrams(lot.quantity, ofG)
  const part: LotHistory = { ...lot, quantity: { weightG: ofG, pieces: pieces || null } }
  const { ofG: _, ...whole } = act
  const { events } = finished(whole, { crop, lot: part, nowMs: 0, airflowOf: () => 'still' })
  return {
    events: [draft('split-out', { weightG: -ofG, pieces: 0 - pieces, details: { why: 'taken down' } })],
    splitsOff: [
      {
        heap: null,
        events: [
          draft('split-in', {
            weightG: ofG,
            pieces,
            placeId: lot.placeId,
            details: { stage: 'drying', ...(pieces ? { guessed: 'pieces' } : {}) },
          }),
          ...events,
        ],
      },
    ],
  }
}

/** Sizes taken out of a lot, each as a lot of its own. */
export function graded(
  grades: readonly Grade[],
  weightG: number,
  pieces: number,
  placeId: string | null,
  details: EventDetails,
): ActOutcome {
  const sum = grades.reduce((all, g) => ({ g: all.g + g.weightG, n: all.n + (g.pieces ?? 0) }), { g: 0, n: 0 })
  if (grades.length > 0 && (sum.g >= weightG || (pieces > 0 && sum.n >= pieces))) {
    throw new Refusal('invalid', told('lots.sizesBeyondWhole'), 'grades')
  }
  if (new Set(grades.map((g) => g.grade)).size < grades.length) {
    throw new Refusal('invalid', told('lots.sizeOnce'), 'grades')
  }
  const given = new Set(grades.flatMap((g) => (g.pieces === undefined ? [] : [g.grade])))
  const sizes = grades.map((g) => ({
    ...g,
    // an uncounted size of a counted lot gets its share by weight
    pieces: g.pieces ?? (pieces > 0 ? piecesOfGrams({ weightG, pieces }, g.weightG) : 0),
  }))
  return {
    events: sizes.map((g) =>
      draft('split-out', {
        weightG: -g.weightG,
        pieces: g.pieces ? -g.pieces : 0,
        details: { why: `${g.grade} ones` },
      }),
    ),
    splitsOff: sizes.map((g) => ({
      heap: g.grade,
      events: [
        draft('split-in', {
          weightG: g.weightG,
          pieces: g.pieces,
          placeId,
          details: { ...details, ...(given.has(g.grade) || !g.pieces ? {} : { guessed: 'pieces' as const }) },
        }),
      ],
    })),
  }
}

export function cleaned(act: Extract<LotAct, { act: 'clean' }>, { crop, lot }: ActContext): EventDraft {
  if (!crop.cleaning?.includes(act.step)) {
    throw new Refusal('invalid', told('lots.asksNoStep', { crop: term(crop.name), step: act.step }), 'step')
  }
  if (act.weightG > lot.quantity.weightG) {
    throw new Refusal(
      'invalid',
      told('lots.heavierAfterStep', { step: act.step, were: grams(lot.quantity.weightG) }),
      'weightG',
    )
  }
  return draft('cleaned', {
    weightG: act.weightG - lot.quantity.weightG,
    details: { step: act.step, scaleG: act.weightG },
  })
}
