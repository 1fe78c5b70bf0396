import { readdirSync, readFileSync } from 'node:fs'
import { grams, kilos, listing, onDay, degrees, term, told } from '@vadose/core/message'
import { IntlMessageFormat } from 'intl-messageformat'
import { describe, expect, it } from 'vitest'
import { facts } from './facts'
import { inWords, languages, wantsOf } from './in-words'
import { inPlainWords, said, type Voice } from '.'
import { moreFacts } from './facts/more'
import { refusals } from './refusals'

const root = new URL('../../', import.meta.url)
const files = (folder: string): string[] =>
  readdirSync(new URL(folder, root), { recursive: true, encoding: 'utf8' })
    .filter((file) => /\.(ts|vue)$/.test(file) && !/\.test\.ts$|\.d\.ts$/.test(file))
    .map((file) => `${folder}/${file}`)
const read = (file: string) => readFileSync(new URL(file, root), 'utf8')
const tableOf = (name: string) => JSON.parse(read(`words/src/screens/${name}.json`)) as Record<string, string>
const rooms = readdirSync(new URL('words/src/screens', root)).map((file) => file.replace('.json', ''))
const wants = (text: string) => [...wantsOf(new IntlMessageFormat(text, 'en-GB').getAst()).keys()].sort()

/** What stands between a bracket and the one that closes it. */
function within(text: string, from: number): string {
  let depth = 0
  for (let at = from; ; at++) {
    if ('({['.includes(text[at]!)) depth++
    if (')}]'.includes(text[at]!) && --depth === 0) return text.slice(from + 1, at)
  }
}
/** The names an object literal gives, at its own level. */
function namesIn(literal: string): string[] {
  literal = literal.replace(/'[^']*'/g, '')
  let depth = 0
  let flat = ''
  for (const letter of literal) {
    if (')}]'.includes(letter)) depth--
    if (depth === 0) flat += letter
    if ('({['.includes(letter)) depth++
  }
  return flat
    .split(',')
    .map((part) => part.split(':')[0]!.trim())
    .filter(Boolean)
    .sort()
}
/** Every call of a function by the key it is given, with the names of its values. */
function calls(source: string, name: string): { key: string; values: string[] }[] {
  return [...source.matchAll(new RegExp(`\\b${name}\\(\\s*'([\\w.]+)'\\s*(,\\s*\\{)?`, 'g'))].map((m) => ({
    key: m[1]!,
    values: m[2] ? namesIn(within(source, m.index + m[0].length - 1).replace(/\/\/.*$/gm, '')) : [],
  }))
}

/** The texts of the almanac's files that name a quantity. */
const almanacTexts = () =>
  readdirSync(new URL('core/src/almanac/data', root)).flatMap((file) =>
    [...read(`core/src/almanac/data/${file}`).matchAll(/\{\s*"says": "(\w+\.\w+)"/g)].map((m) => {
      const { says, ...values } = JSON.parse(`{${within(m.input, m.index)}}`) as Record<string, unknown>
      return { key: String(says), values: Object.keys(values).sort() }
    }),
  )

describe('the tables', () => {
  it.each(rooms)('of the screens of %s: each message is said somewhere, with all it asks for', (room) => {
    const table = tableOf(room)
    const sources = files(room === 'page' ? 'web/src' : `web/src/${room}`).filter(
      (file) => room !== 'page' || file.split('/').length === 3,
    )
    const said = sources.flatMap((file) => calls(read(file), 'say'))
    expect([...new Set(said.map(({ key }) => key))].sort()).toEqual(Object.keys(table).sort())
    for (const { key, values } of said) expect(`${key} ${values.join()}`).toBe(`${key} ${wants(table[key]!).join()}`)
  })

  it('of facts and refusals: each message that core and server mean has words, and words have a use', () => {
    const meant = [...files('core/src'), ...files('server/src')].flatMap((file) => calls(read(file), 'told'))
    meant.push(...almanacTexts())
    const known = [facts, moreFacts, refusals].flatMap((tables) =>
      Object.entries(tables).flatMap(([room, table]) =>
        Object.entries(table).map(([key, text]) => [`${room}.${key}`, text as string] as const),
      ),
    )
    const textOf = new Map<string, string>(known)
    // a fact and a refusal of one room are not called the same
    expect(textOf.size).toBe(known.length)
    expect([...new Set(meant.map(({ key }) => key))].sort()).toEqual([...textOf.keys()].sort())
    for (const { key, values } of meant) {
      for (const value of wants(textOf.get(key)!)) expect(values, `${key} asks for ${value}`).toContain(value)
    }
  })

  it('are ICU in every language', () => {
    for (const table of [
      ...rooms.map(tableOf),
      ...[facts, moreFacts, refusals].flatMap((tables): Record<string, string>[] => Object.values(tables)),
    ]) {
      for (const text of Object.values(table)) {
        const values = Object.fromEntries(wants(text).map((name) => [name, 3]))
        for (const language of languages) expect(inWords(text, values, language).length).toBeGreaterThan(0)
      }
    }
  })
})

const british: Voice = { language: 'en-GB', units: 'metric' }

describe('a message', () => {
  it('counts, chooses, and says nothing for what is not there', () => {
    const text = '{n, plural, one {# bag} other {# bags}}{late, select, yes {, late} other {}}, {note}'
    expect(inWords(text, { n: 1, late: 'yes', note: 'cold' }, 'en-GB')).toBe('1 bag, late, cold')
    expect(inWords(text, { n: 2, late: 'no', note: null }, 'en-GB')).toBe('2 bags, ')
  })
  it('has its quantities in the household’s units', () => {
    const weighed = told('lots.weighed', { basis: 'bunch', weight: grams(2190), water: grams(35), lost: 'yes' })
    expect(said(weighed, british)).toBe('marked bunch weighed 2,190 g; 35 g of water gone from the lot')
    expect(said(weighed, { ...british, units: 'us' })).toBe(
      'marked bunch weighed 4.83 lb; 1.2 oz of water gone from the lot',
    )
    const loaded = told('ledger.loaded', { back: 'no', weight: grams(12_400), trays: 2, air: degrees(55) })
    expect(said(loaded, british)).toBe('in the dryer: 12.4 kg on 2 trays at 55 °C')
    expect(said(loaded, { ...british, units: 'us' })).toBe('in the dryer: 27.3 lb on 2 trays at 131 °F')
  })
  it('has its days as the household’s English has them, with the year where it is another', () => {
    const noted = told('lots.noted', { text: 'colour of rust', on: onDay('2027-02-03'), minded: 'yes' })
    expect(said(noted, british)).toBe('colour of rust (a reminder for 3 February)')
    // what somebody wrote is theirs
    expect(said(noted, { ...british, language: 'en-US', today: '2026-10-02' })).toBe(
      'colour of rust (a reminder for February 3, 2027)',
    )
  })
  it('calls crops as they are called there', () => {
    const left = told('lots.used', { took: term('aubergines'), cause: null, caused: 'no' })
    expect(said(left, british)).toBe('used aubergines')
    expect(said(left, { ...british, language: 'en-US' })).toBe('used eggplants')
    expect(said(left, { ...british, language: 'en-XA' })).not.toMatch(/[A-Za-z]/)
    expect(inWords('Grey mould in autumn, broad beans', {}, 'en-US')).toBe('Gray mold in fall, fava beans')
  })
  it('leaves out what is empty of a list', () => {
    const made = told('lots.broughtIn', { what: listing([kilos(1250, 2), null, '']) })
    expect(inPlainWords(made)).toBe('brought in, 1.25 kg')
  })
  it('without words is an error that names it', () => {
    expect(() => inPlainWords(told('lots.nowhere'))).toThrow(/lots\.nowhere/)
  })
})
