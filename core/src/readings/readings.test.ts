import { inPlainWords } from '@vadose/words'
import fc from 'fast-check'
import { DateTime } from 'luxon'
import { describe, expect, it } from 'vitest'
import { clockZone, decodeText, guessMapping, readHead, readLoggerFile, winterClock, type ColumnMapping } from './index'

const whole = (text: string, zone = 'Europe/Vienna') => readLoggerFile(text, guessMapping(readHead(text), zone))
const iso = (seconds: number) => new Date(seconds * 1000).toISOString()

describe('a logger file', () => {
  it('is read from under its preamble, with semicolons and decimal commas', () => {
    const text =
      '\ufeffLogger 4711;Cellar\nInterval;300 s\nDatum/Zeit;Temperatur °C;Feuchte %\n01.10.2026 00:05;10,5;88,0\n01.10.2026 00:10;10,4;88,5\n'
    expect(readHead(text)).toMatchObject({ skip: 3, headings: ['Datum/Zeit', 'Temperatur °C', 'Feuchte %'] })
    const file = whole(text)
    expect(file).toMatchObject({ lines: 2, unreadable: 0, repeated: 0, gaps: [], stepS: 300 })
    expect(iso(file.at[0]!)).toBe('2026-09-30T22:05:00.000Z')
    expect(file.temperatureC).toEqual([10.5, 10.4])
    expect(file.relativeHumidityPct).toEqual([88, 88.5])
  })
  it('in °F with twelve-hour times comes out in °C', () => {
    const file = whole(
      'Time,RH (%),Temp (°F)\n10/01/2026 12:05 AM,60,50\n10/01/2026 12:35 PM,61,212\n10/13/2026 1:00 PM,61,14',
    )
    expect(file.at.map(iso)[0]).toBe('2026-09-30T22:05:00.000Z')
    // 50 °F is 10 °C, 14 °F is −10 °C by definition; water does not boil in a cellar
    expect(file.temperatureC).toEqual([10, -10])
    expect(file.why.map(({ line, says }) => [line, inPlainWords(says)])).toEqual([[3, '212 °F cannot be']])
  })
  it('with date and time apart, offsets in the heading, or instants with their own offset', () => {
    expect(whole('Date,Time,T,RH\n2026-10-01,00:05,10,80').at.map(iso)).toEqual(['2026-09-30T22:05:00.000Z'])
    expect(whole('"Date Time, GMT+01:00",Temp,RH\n2026-07-01 00:05,10,80').at.map(iso)).toEqual([
      '2026-06-30T23:05:00.000Z',
    ])
    expect(whole('t,temp,rh\n2026-07-01T00:05:00-05:00,10,80').at.map(iso)).toEqual(['2026-07-01T05:05:00.000Z'])
    expect(whole('t,temp,rh\n1782864300,10,80').at).toEqual([1782864300])
  })
  it('says what it could not read, and reads the rest', () => {
    const file = whole(
      't,temp,rh\n2026-07-01 00:00,10,80\n2026-07-01 00:05,,80\n2026-07-01 00:10,10,180\nend of log,,\n2026-02-30 00:10,10,80\n2026-07-01 00:15,10,103',
    )
    expect(file.unreadable).toBe(4)
    expect(file.why.map((w) => w.line)).toEqual([3, 4, 5, 6])
    expect(file.relativeHumidityPct).toEqual([80, 100])
  })
  it('sorts, drops repeats and names gaps', () => {
    const stamp = (minute: number) =>
      `2026-07-01 ${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')},10,80`
    const minutes = [0, 5, 10, 15, 5, 20, 25, 120, 125, 130]
    const file = whole(['t,temp,rh', ...minutes.map(stamp)].join('\n'))
    expect(file.repeated).toBe(1)
    expect(file.at).toHaveLength(9)
    expect(file.gaps.map((g) => (g.to - g.from) / 60)).toEqual([95])
  })
  it('refuses what is no log, and columns that are not there', () => {
    expect(() => readHead('Dear diary,\nit rained.')).toRefuse(/No line of this file/)
    const text = 't,temp,rh\n2026-07-01 00:00,10,80'
    const mapping = guessMapping(readHead(text), 'UTC')
    expect(() => readLoggerFile(text, { ...mapping, humidity: 9 })).toRefuse(/humidity/)
    expect(() => readLoggerFile(text, { ...mapping, humidity: mapping.temperature })).toRefuse(/same column/)
    expect(() => readLoggerFile(text, { ...mapping, zone: 'Mars/Olympus' })).toRefuse(/no time zone/)
    expect(() => readLoggerFile(text, { ...mapping, order: 'seconds' })).toRefuse(/No line could be read/)
  })
  it('reads rain where a station gives it', () => {
    const file = whole('time,temp C,rh,rain mm\n2026-07-01 00:00,10,80,0\n2026-07-01 01:00,10,80,2.4')
    expect(file.rainMm).toEqual([0, 2.4])
  })
})

describe('a file that lies quietly is asked about', () => {
  const now = Date.parse('2026-07-03T12:00Z')
  const asked = (text: string, part: Partial<ColumnMapping> = {}) =>
    readLoggerFile(text, { ...guessMapping(readHead(text), 'UTC'), ...part }, undefined, now).doubts
  const rows = (line: (i: number) => string, n = 60) =>
    ['t,temp,rh', ...Array.from({ length: n }, (_, i) => line(i))].join('\n')
  const hour = (i: number) =>
    new Date(Date.parse('2026-07-01T00:00Z') + i * 3_600_000).toISOString().slice(0, 16).replace('T', ' ')
  const about = (doubts: { about: string }[]) => doubts.map((doubt) => doubt.about)

  it('and a plain one is not', () => {
    expect(asked(rows((i) => `${hour(i)},${8 + (i % 3)},88`))).toEqual([])
  })
  it('humidity as a share of 1', () => {
    const text = rows((i) => `${hour(i)},8,0.${80 + (i % 9)}`)
    const [doubt] = asked(text)
    expect(doubt).toMatchObject({ about: 'humidity', mend: { share: true } })
    expect(inPlainWords(doubt!.says)).toContain('88 %')
    const mended = readLoggerFile(text, { ...guessMapping(readHead(text), 'UTC'), ...doubt!.mend })
    expect(mended.relativeHumidityPct.slice(0, 3)).toEqual([80, 81, 82].map((pct) => expect.closeTo(pct, 6)))
    expect(about(asked(text, doubt!.mend))).toEqual([])
  })
  it('°F that does not say so, and °C that says °F', () => {
    const text = rows((i) => `${hour(i)},${46 + (i % 3)},88`)
    expect(asked(text)).toMatchObject([{ about: 'unit', mend: { unit: 'F' } }])
    expect(asked(text, { unit: 'F' })).toEqual([])
    expect(
      about(
        asked(
          rows((i) => `${hour(i)},${8 + (i % 3)},88`),
          { unit: 'F' },
        ),
      ),
    ).toEqual(['unit'])
  })
  it('dates that the first lines do not settle', () => {
    // an hourly log over 1–13 July written month first: only its last day shows it
    const us = (i: number) => {
      const at = new Date(Date.parse('2026-07-01T00:00Z') + i * 3_600_000)
      return `${at.getUTCMonth() + 1}/${at.getUTCDate()}/2026 ${at.getUTCHours()}:00,8,88`
    }
    expect(asked(rows(us, 13 * 24))).toMatchObject([{ about: 'order', mend: { order: 'month-first' } }])
    expect(about(asked(rows(us, 13 * 24), { order: 'month-first' }))).not.toContain('order')
    // one day fits both ways: nobody but its reader knows
    expect(about(asked(rows((i) => `3/7/2026 ${i % 24}:00,8,88`, 24)))).toEqual(['order'])
    expect(
      about(
        asked(
          rows((i) => `3/7/2026 ${i % 24}:00,8,88`, 24),
          { order: 'month-first' },
        ),
      ),
    ).toContain('order')
  })
  it('a quotation mark that is never closed', () => {
    const text = rows((i) => (i === 30 ? `${hour(i)},"8,88` : `${hour(i)},8,88`))
    expect(about(asked(text))).toEqual(['quote'])
  })
  it('newest first, which is turned round', () => {
    const text = rows((i) => `${hour(59 - i)},8,88`)
    expect(about(asked(text))).toEqual(['turned'])
    const file = readLoggerFile(text, guessMapping(readHead(text), 'UTC'))
    expect(iso(file.at[0]!)).toBe('2026-07-01T00:00:00.000Z')
    // the hour that autumn repeats is two hours, this way round too
    const autumn = ['03:00', '02:30', '02:00', '02:30', '02:00'].map((t) => `2026-10-25 ${t},10,80`)
    const turned = whole(['t,temp,rh', ...autumn].join('\n'))
    expect(turned.at.map(iso).map((t) => t.slice(11, 16))).toEqual(['00:00', '00:30', '01:00', '01:30', '02:00'])
  })
  it('a clock that is years off, or leaps', () => {
    expect(about(asked(rows((i) => `${hour(i).replace('2026', '2019')},8,88`)))).toEqual(['years'])
    expect(about(asked(rows((i) => `${i < 30 ? hour(i).replace('2026', '2000') : hour(i)},8,88`)))).toEqual(['years'])
  })
})

describe('the bytes of a file', () => {
  const text = 'Zeit;Temperatur °C;Feuchte %\n01.10.2026 00:05;10,5;88\n'
  const swapped = (bytes: Buffer) => Buffer.from(bytes).swap16()
  it('are read in the letters they are written in', () => {
    for (const bytes of [
      Buffer.from(text, 'utf8'),
      Buffer.from(`\ufeff${text}`, 'utf8'),
      Buffer.from(`\ufeff${text}`, 'utf16le'),
      Buffer.from('Zeit;Temp;RH\n', 'utf16le'),
      swapped(Buffer.from(`\ufeff${text}`, 'utf16le')),
      Buffer.from(text, 'latin1'),
    ]) {
      expect(decodeText(bytes).replace('\ufeff', '').slice(0, 5)).toBe('Zeit;')
    }
    for (const letters of ['utf8', 'latin1'] as const) expect(decodeText(Buffer.from(text, letters))).toBe(text)
    expect(whole(decodeText(Buffer.from(`\ufeff${text}`, 'utf16le'))).temperatureC).toEqual([10.5])
  })
  it('may end in the middle of a letter', () => {
    const bytes = Buffer.from('20 °', 'utf8')
    expect(decodeText(bytes.subarray(0, bytes.length - 1))).toBe('20 ')
    expect(decodeText(Buffer.alloc(0))).toBe('')
  })
})

describe('summer time', () => {
  // the European clocks of 2026 change on 29 March and 25 October at 01:00 UTC (Directive 2000/84/EC)
  it('an hour written twice in autumn is two hours', () => {
    const rows = ['02:00', '02:30', '02:00', '02:30', '03:00'].map((t) => `2026-10-25 ${t},10,80`)
    const file = whole(['t,temp,rh', ...rows].join('\n'))
    expect(file.at.map(iso).map((t) => t.slice(11, 16))).toEqual(['00:00', '00:30', '01:00', '01:30', '02:00'])
    expect(file.repeated).toBe(0)
  })
  it('a logger that kept winter time is read so', () => {
    const text = 't,temp,rh\n2026-07-01 12:00,10,80'
    const file = readLoggerFile(text, { ...guessMapping(readHead(text), 'UTC+1') })
    expect(iso(file.at[0]!)).toBe('2026-07-01T11:00:00.000Z')
  })
  it('the clock without it is the zone’s winter one, in the south and in zones of half an hour too', () => {
    // standard times as the IANA time zone database has them
    for (const [zone, clock] of [
      ['Europe/Vienna', 'UTC+1'],
      ['America/New_York', 'UTC-5'],
      ['Australia/Adelaide', 'UTC+9:30'],
      ['Asia/Kolkata', 'UTC+5:30'],
      ['America/St_Johns', 'UTC-3:30'],
      ['UTC', 'UTC+0'],
    ] as const) {
      expect(winterClock(zone, 2026)).toBe(clock)
      expect(clockZone(clock).offset(0)).toBe(clockZone(zone).offset(Date.UTC(2026, /Australia/.test(zone) ? 6 : 0, 1)))
    }
    expect(() => winterClock('Mars/Olympus', 2026)).toRefuse(/no time zone/)
  })
  it('agrees with luxon through a year in four zones', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('Europe/Vienna', 'America/New_York', 'Australia/Lord_Howe', 'Asia/Kolkata'),
        fc.integer({ min: 0, max: 525_599 }),
        (zone, minute) => {
          const wanted = DateTime.fromISO('2026-01-01T00:00', { zone: 'UTC' }).plus({ minutes: minute })
          const local = wanted.setZone(zone)
          // the second of two like hours cannot be told from one line
          const first = DateTime.fromObject(local.toObject(), { zone })
          const file = whole(`t,temp,rh\n${local.toFormat('yyyy-LL-dd HH:mm')},10,80`, zone)
          const got = file.at[0]! * 1000
          expect([
            first.toMillis(),
            first.toMillis() + 3_600_000,
            first.toMillis() - 3_600_000,
            first.toMillis() - 1_800_000,
          ]).toContain(got)
          expect(DateTime.fromMillis(got, { zone }).toFormat('yyyy-LL-dd HH:mm')).toBe(
            local.toFormat('yyyy-LL-dd HH:mm'),
          )
        },
      ),
    )
  })
})
