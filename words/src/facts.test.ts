import { degrees, grams, listing, onDay, rain, sentence, term, told, type Message } from '@vadose/core/message'
import { describe, expect, it } from 'vitest'
import { inAmerican } from './american'
import { said, saidPart } from '.'

const british = { language: 'en-GB', units: 'metric' } as const
const american = { language: 'en-US', units: 'us' } as const

/** What is meant, as Britain and as America say it. */
const sentences: [Message, string, string][] = [
  [
    told('alarms.frost', {
      colder: 'no',
      coldest: degrees(-3.2, 1),
      night: 0,
      lots: listing([term('courgettes'), term('squash')]),
    }),
    'Down to about −3.2 °C tonight: courgettes, squash will not stand it.',
    'Down to about 26 °F tonight: zucchini, squash will not stand it.',
  ],
  [
    told('alarms.frost', { colder: 'yes', coldest: degrees(0.4, 1), night: 3, lots: term('squash') }),
    'About 0.4 °C in 3 days, and it may be colder: squash will not stand it.',
    'About 33 °F in 3 days, and it may be colder: squash will not stand it.',
  ],
  [
    told('alarms.frostTodo', { carried: 'yes', n: 1, place: 'cellar', night: 1 }),
    'Carry it to cellar, or cover with sacks and straw, off the floor, before then.',
    'Carry it to cellar, or cover with sacks and straw, off the floor, before then.',
  ],
  [
    told('alarms.frostTodo', { carried: 'no', n: 2, place: null, night: 0 }),
    'Cover with sacks and straw, off the floor, tonight.',
    'Cover with sacks and straw, off the floor, tonight.',
  ],
  [
    told('alarms.damp', { hours: 60, of: 72, lots: term('onions'), n: 1 }),
    'Damp enough for mould in 60 of the last 72 hours: onions lies there.',
    'Damp enough for mold in 60 of the last 72 hours: onions lies there.',
  ],
  [
    told('alarms.warm', { limit: degrees(-12, 1), hours: 8, of: 12, warmest: degrees(-7, 1) }),
    'Above −12.0 °C for 8 of the last 12 hours, up to −7.0 °C.',
    'Above 10 °F for 8 of the last 12 hours, up to 19 °F.',
  ],
  [
    told('alarms.worse', {
      on: onDay('2026-11-18'),
      bad: 12,
      lookedAt: 60,
      now: onDay('2026-12-20'),
      was: onDay('2027-02-03'),
    }),
    'The look of 18 November found 12 of 60 bad: nine in ten are good to 20 December, not to 3 February as was thought.',
    'The look of November 18 found 12 of 60 bad: nine in ten are good to December 20, not to February 3 as was thought.',
  ],
  [told('round.ago', { days: 0 }), 'today', 'today'],
  [told('round.ago', { days: 1 }), 'yesterday', 'yesterday'],
  [told('round.ago', { days: 12 }), '12 days ago', '12 days ago'],
  [
    told('round.title', { kind: 'use', what: term('courgettes'), whole: 'no', feels: null, marked: null }),
    'Use up the courgettes',
    'Use up the zucchini',
  ],
  [
    told('round.title', { kind: 'weigh', what: term('onions'), whole: 'no', feels: null, marked: term('bunch') }),
    'Weigh the marked bunch of onions',
    'Weigh the marked bunch of onions',
  ],
  [
    told('round.title', { kind: 'take-out', what: term('chillies'), whole: 'no', feels: null, marked: null }),
    'Take the chillies out of the dryer',
    'Take the chilies out of the dryer',
  ],
  [
    told('round.done', { weight: grams(451), from: '11:00', to: '17:00' }),
    'Done at 451 g, likely between 11:00 and 17:00.',
    'Done at 16 oz, likely between 11:00 and 17:00.',
  ],
  [
    told('round.setAside', { why: 'cut-round', left: 1 }),
    'Set aside, cut round and cook: 1 day left.',
    'Set aside, cut round and cook: 1 day left.',
  ],
  [
    told('round.planting', {
      over: 'no',
      months: told('round.months', { n: 1, from: onDay('2026-10-01', 'month'), to: onDay('2026-11-30', 'month') }),
    }),
    'Planting time is October and November.',
    'Planting time is October and November.',
  ],
  [
    told('verdict.stalled', { heals: 'no', days: 1, hours: 30 }),
    'too damp to dry for 1 day',
    'too damp to dry for 1 day',
  ],
  [
    told('verdict.stalled', { heals: 'yes', days: 0, hours: 14 }),
    'too cold or hot to heal for 14 hours',
    'too cold or hot to heal for 14 hours',
  ],
  [told('verdict.threat', { end: term('mould'), code: 'N26-4' }), 'mould threatens N26-4', 'mold threatens N26-4'],
  [
    told('weather.rain', { on: onDay('2026-10-04', 'weekday-only'), rain: rain(14) }),
    'Rain on Sunday, 14 mm.',
    'Rain on Sunday, 0.6 in.',
  ],
  [
    told('beds.liftBy', {
      seen: sentence(told('beds.counted', { n: '5', of: 9, what: 'leaves' })),
      late: 'no',
      to: onDay('2026-07-20'),
      skied: 'yes',
      sky: told('intake.dryNow'),
    }),
    '5 of 9 leaves brown: lift by 20 July. Dry today and tomorrow: lift now.',
    '5 of 9 leaves brown: lift by July 20. Dry today and tomorrow: lift now.',
  ],
  [
    told('beds.dryOnly', { days: 1, by: 'can', wanted: 7 }),
    'Only 1 day since the can; about 7 dry ones are wanted before lifting.',
    'Only 1 day since the can; about 7 dry ones are wanted before lifting.',
  ],
  [
    told('intake.frost', { tonight: 'no', on: onDay('2026-09-15', 'weekday') }),
    'Frost is likely on Tuesday 15 September: bring them in before, ready or not. A touch of it and they will not keep.',
    'Frost is likely on Tuesday, September 15: bring them in before, ready or not. A touch of it and they will not keep.',
  ],
  [
    told('stores.frostNights', { nights: 1, month: onDay('2026-11-15', 'month'), lots: term('beetroots') }),
    '1 night below freezing to be expected in here from November on: beetroots',
    '1 night below freezing to be expected in here from November on: beets',
  ],
  [
    told('stores.mice', { lots: term('swedes') }),
    'mice get in: swedes in wire or metal, or hung free',
    'mice get in: rutabagas in wire or metal, or hung free',
  ],
  [told('lots.counted', { n: 3, unit: 'tin' }), '3 tins', '3 cans'],
  [
    told('lots.fed', { to: 'guinea-fowl', took: grams(900), cause: null, caused: 'no' }),
    'fed to guinea-fowl: 900 g',
    'fed to guinea-fowl: 1.98 lb',
  ],
]

describe('what is meant', () => {
  it.each(sentences)('%j', (message, gb, us) => {
    // a comma after the weekday is the machine's Intl to decide
    expect(said(message, british).replace('Tuesday, ', 'Tuesday ')).toBe(gb)
    expect(said(message, american)).toBe(us)
  })
  it('is said in parts as it is whole', () => {
    expect(saidPart(null, british)).toBe('')
    expect(saidPart(12, british)).toBe('12')
    expect(saidPart(sentence(term('mould')), american)).toBe('Mold')
    expect(saidPart(listing([grams(12_400), null, told('round.ago', { days: 1 })], ' · '), british)).toBe(
      '12.4 kg · yesterday',
    )
  })
})

describe('American words', () => {
  it('are whole words in the case they had, whatever stands round them', () => {
    for (const [british, us] of [
      ['Mould, moulds; MOULD', 'Mold, molds; Mold'],
      ['the mouldy colour-fast autumnal tinker', 'the moldy color-fast autumnal tinker'],
      ['Broad beans and a broad bean', 'Fava beans and a fava bean'],
      ['in a fortnight; the next fortnight', 'in two weeks; the next two weeks'],
      ['Bean, broad', 'Bean, fava'],
    ] as const) {
      expect(inAmerican(british)).toBe(us)
      // said again it stays
      expect(inAmerican(us)).toBe(us)
    }
  })
})
