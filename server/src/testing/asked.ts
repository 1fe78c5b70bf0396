import { cropById, cropFileById, cropFiles } from '@vadose/core/almanac'
import { endpoints } from '@vadose/contract/api'
import { isFile, type AnyEndpoint } from '@vadose/contract/endpoint'
import { calculatorInputs } from '@vadose/contract/worksheets'
import fc, { type Arbitrary } from 'fast-check'

/** What a request names that is there: so that random ones get past the first check. */
export interface Known {
  households: string[]
  places: string[]
  lots: string[]
  crops: string[]
  heaps: string[]
  packs: string[]
  today: string
}

export interface Asked {
  name: string
  method: string
  path: string
  type: string
  body: string | Buffer | undefined
  headers: Record<string, string>
}

interface Schema {
  type?: string
  const?: unknown
  enum?: unknown[]
  anyOf?: Schema[]
  properties?: Record<string, Schema>
  required?: string[]
  items?: Schema | Schema[]
  minItems?: number
  maxItems?: number
  minimum?: number
  maximum?: number
  exclusiveMinimum?: number
  minLength?: number
  maxLength?: number
  format?: string
}

/** Texts that have broken programs before. */
const badTexts = [
  '',
  ' ',
  '\0',
  '\ud800',
  'a\udfffb',
  '＝1+1',
  "'; drop table lots; --",
  'urn:uuid:9b2e3f64-0000-4000-8000-000000000000',
  '漢'.repeat(700),
  '0000-01-01',
  '9999-12-31',
  '0026-05-01',
  '2026-02-30',
  '2016-12-31T23:59:60Z',
  'UTC+3',
  '%00',
  '../../etc/passwd',
  '__proto__',
  'constructor',
]
const badNumbers = [0, -0, -1, 5e-324, 1e-310, 1e-45, 1e300, 2 ** 31, 2 ** 53, 1.5, Number.MAX_VALUE]
const badLeaf: Arbitrary<unknown> = fc.oneof(
  fc.constantFrom<unknown>(...badTexts),
  fc.constantFrom<unknown>(...badNumbers),
  fc.constantFrom<unknown>(null, true, [], {}, [[]]),
  fc.string(),
  fc.double(),
)

/** Makes random requests of the contract's endpoints, most of them such as the contract declares. */
export class Asking {
  constructor(private readonly known: Known) {}

  /** A named field is filled with something that is there, more often than not. */
  private named(name: string): Arbitrary<unknown> | undefined {
    const { places, lots, crops, heaps, packs, today } = this.known
    const there: Record<string, readonly string[]> = {
      placeId: places,
      place: places,
      id: places,
      crop: crops,
      template: crops,
      heap: heaps,
      addTo: lots,
      lot: lots,
      code: lots,
      pack: packs,
      // schools and numbers that the almanac has
      topic: ['beans-or-lentils', ...cropFiles.flatMap((file) => file.schools.map((school) => school.topic))],
      choice: cropFiles.flatMap((file) => file.schools.flatMap((school) => school.choices.map((one) => one.id))),
      harvestedOn: [today],
      headings: ['time|temperature|humidity'],
      zone: ['Europe/Vienna'],
      timeZone: ['Europe/Vienna', 'UTC'],
      // a running clock would leave nothing the same; it has requests of its own
      startsOn: [today, '2024-06-01'],
    }
    return there[name]?.length ? fc.constantFrom<unknown>(...there[name]) : undefined
  }

  /** Anything that the schema takes. */
  private good(schema: Schema, name = ''): Arbitrary<unknown> {
    const named = this.named(name)
    if (named) return fc.oneof({ arbitrary: named, weight: 9 }, { arbitrary: fc.string({ maxLength: 8 }), weight: 1 })
    if ('const' in schema) return fc.constant(schema.const)
    if (schema.enum) return fc.constantFrom(...schema.enum)
    if (schema.anyOf) return fc.oneof(...schema.anyOf.map((one) => this.good(one)))
    switch (schema.type) {
      case 'object': {
        const fields = Object.entries(schema.properties ?? {}).map(([key, inner]) => [key, this.good(inner, key)])
        return fc.record(Object.fromEntries(fields) as Record<string, Arbitrary<unknown>>, {
          requiredKeys: schema.required ?? [],
        })
      }
      case 'array': {
        if (Array.isArray(schema.items)) return fc.tuple(...schema.items.map((one) => this.good(one)))
        const minLength = schema.minItems ?? 0
        return fc.array(this.good(schema.items ?? {}), {
          minLength,
          maxLength: Math.max(minLength, Math.min(schema.maxItems ?? 6, 6)),
        })
      }
      case 'integer':
        return whole(schema.minimum ?? -10, schema.maximum ?? 1e6)
      case 'number':
        return fc.double({
          min: schema.minimum ?? schema.exclusiveMinimum ?? -100,
          max: schema.maximum ?? 1e4,
          noNaN: true,
        })
      case 'boolean':
        return fc.boolean()
      case 'null':
        return fc.constant(null)
      case 'string':
        if (schema.format === 'uuid') return fc.uuid({ version: 4 })
        if (schema.format === 'date') return day.map((d) => d.toISOString().slice(0, 10))
        if (schema.format === 'date-time') return day.map((d) => d.toISOString())
        return fc.string({ minLength: schema.minLength ?? 0, maxLength: Math.min(schema.maxLength ?? 40, 60) })
      default:
        return badLeaf
    }
  }

  private value(schema: Schema, name = ''): Arbitrary<unknown> {
    const good = this.good(schema, name)
    return fc.oneof({ arbitrary: good, weight: 7 }, { arbitrary: good.chain(bent), weight: 3 })
  }

  private path(endpoint: AnyEndpoint): Arbitrary<string> {
    const names = [...endpoint.path.matchAll(/:([a-zA-Z]+)/g)].map((match) => match[1]!)
    const { households } = this.known
    const one = (name: string): Arbitrary<string> => {
      const calculators = Object.keys(calculatorInputs)
      const there =
        name === 'household'
          ? fc.constantFrom(...households)
          : name === 'name'
            ? fc.constantFrom(...calculators)
            : ((this.named(name) ?? fc.uuid()) as Arbitrary<string>)
      const odd = fc.oneof(fc.constantFrom(...badTexts), fc.string()).filter((text) => !/[\ud800-\udfff]/.test(text))
      return fc.oneof({ arbitrary: there, weight: 30 }, { arbitrary: odd, weight: 1 }).map(encodeURIComponent)
    }
    return fc
      .tuple(...names.map(one))
      .map((values) => names.reduce((path, name, i) => path.replace(`:${name}`, values[i]!), endpoint.path))
  }

  private query(endpoint: AnyEndpoint): Arbitrary<string> {
    if (!endpoint.query) return fc.constant('')
    return this.value(endpoint.query as Schema).map((query) => {
      if (typeof query !== 'object' || query === null) return '?x'
      const parts = Object.entries(query).map(
        ([key, value]) => `${encodeURIComponent(safe(key))}=${encodeURIComponent(safe(String(value)))}`,
      )
      return `?${parts.join('&')}`
    })
  }

  private body(endpoint: AnyEndpoint): Arbitrary<Pick<Asked, 'type' | 'body'>> {
    const { body } = endpoint
    const type = 'application/json'
    if (!body) return fc.constant({ type, body: undefined })
    if (isFile(body)) {
      return fc.uint8Array({ maxLength: 200 }).map((bytes) => ({ type: body.file, body: Buffer.from(bytes) }))
    }
    const schemas = endpoint.name === 'calculate' ? (Object.values(calculatorInputs) as Schema[]) : [body as Schema]
    const written = fc
      .oneof(...schemas.map((schema) => this.value(schema)))
      .map((value) => ({ type, body: JSON.stringify(endpoint.name === 'bring-in' ? addingUp(value) : value) }))
    const garbage = fc
      .constantFrom('', '{', '[1,', 'null', '"\\ud800"', '{"__proto__":{"a":1}}', '[[[[[[[[[[1]]]]]]]]]]', '1e999')
      .map((text) => ({ type, body: text }))
    return fc.oneof({ arbitrary: written, weight: 30 }, { arbitrary: garbage, weight: 1 })
  }

  /** A request of one endpoint, now and then with headers that do not fit it. */
  private request(endpoint: AnyEndpoint): Arbitrary<Asked> {
    const headers = fc.oneof(
      { arbitrary: fc.constant({}), weight: 40 },
      { arbitrary: fc.constant({ 'Content-Encoding': 'gzip' }), weight: 1 },
      { arbitrary: fc.constant({ 'Content-Encoding': 'elvish' }), weight: 1 },
      { arbitrary: fc.constant({ 'Idempotency-Key': 'seven' }), weight: 1 },
      { arbitrary: fc.constant({ 'X-Views': '/round /lots/%zz /stores?x /../..' }), weight: 1 },
      { arbitrary: fc.constant({ Authorization: 'Bearer vs_nobody' }), weight: 1 },
    ) as Arbitrary<Record<string, string>>
    return fc
      .record({ path: this.path(endpoint), query: this.query(endpoint), body: this.body(endpoint), headers })
      .map(({ path, query, body, headers }) => ({
        name: endpoint.name,
        method: endpoint.method,
        path: path + query,
        headers,
        ...body,
      }))
  }

  /**
   * @param often how often an endpoint is asked, by name; 0 leaves it out
   * @param usually how often the others are
   */
  anything(often: Record<string, number>, usually: number): Arbitrary<Asked> {
    return fc.oneof(
      ...endpoints
        .filter(({ endpoint }) => often[endpoint.name] !== 0)
        .map(({ endpoint }) => ({ arbitrary: this.request(endpoint), weight: often[endpoint.name] ?? usually })),
    )
  }
}

/** A harvest whose heaps are its total, and one crop's; what is bent otherwise stays so. */
function addingUp(value: unknown): unknown {
  const { heaps, totalG, crop } = (value ?? {}) as { heaps?: unknown; totalG?: unknown; crop?: unknown }
  const grown = cropFileById(String(crop)) && cropById(String(crop))
  if (!Array.isArray(heaps) || !Number.isInteger(totalG) || !grown) return value
  const rows = heaps
    .slice(0, grown.heaps.length)
    .map((row: unknown, i) =>
      typeof row === 'object' && row !== null
        ? { ...row, heap: grown.heaps[i]!.id, addTo: undefined, hungIn: undefined }
        : row,
    )
  const sum = rows.reduce(
    (total: number, row) => total + Number((row as { weightG?: unknown } | null)?.weightG ?? 0),
    0,
  )
  return { ...(value as object), heaps: rows, totalG: Number.isInteger(sum) ? sum : totalG }
}

const safe = (text: string) => text.replace(/[\ud800-\udfff]/g, '')

const day = fc.date({ min: new Date('2020-01-01'), max: new Date('2030-01-01'), noInvalidDate: true })

/** Whole numbers, mostly of the size that people send. */
const whole = (min: number, max: number): Arbitrary<number> =>
  fc.oneof(
    { arbitrary: fc.integer({ min, max: Math.min(max, Math.max(min, 5000)) }), weight: 5 },
    { arbitrary: fc.integer({ min, max: Math.min(max, 2 ** 53 - 1) }), weight: 1 },
  )

/** A value with one of its leaves replaced, left out or added. */
function bent(value: unknown): Arbitrary<unknown> {
  if (Array.isArray(value) && value.length > 0) {
    return fc
      .tuple(fc.nat(value.length - 1))
      .chain(([at]) => bent(value[at]).map((inner) => value.map((one: unknown, i) => (i === at ? inner : one))))
  }
  if (typeof value === 'object' && value !== null && Object.keys(value).length > 0) {
    const entries = Object.entries(value)
    return fc.tuple(fc.nat(entries.length - 1), fc.nat(9)).chain(([at, how]) => {
      if (how === 0) return fc.constant(Object.fromEntries(entries.filter((_, i) => i !== at)))
      if (how === 1) return badLeaf.map((odd) => ({ ...value, odd }))
      return bent(entries[at]![1]).map((inner) =>
        Object.fromEntries(entries.map((entry, i) => (i === at ? [entry[0], inner] : entry))),
      )
    })
  }
  return badLeaf
}
