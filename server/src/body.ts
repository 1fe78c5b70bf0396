import { isFile, type AnyEndpoint } from '@vadose/contract/endpoint'
import { told } from '@vadose/core/message'
import { Refusal } from '@vadose/core/refusal'
import type { Request } from 'express'
import { numberHeader, requestNumber, type RequestNumber } from './households'
import { checker } from './validate'

/** What a write was sent with. */
export interface Sent {
  body: unknown
  number: RequestNumber | undefined
}

interface SchemaOfObjects {
  properties?: Record<string, unknown>
  anyOf?: SchemaOfObjects[]
}
/** Whether the contract itself asks for a request's number in the body. */
const namesNumber = (schema: SchemaOfObjects): boolean =>
  schema.properties ? 'requestId' in schema.properties : (schema.anyOf?.every(namesNumber) ?? false)

type Fields = Record<string, unknown>
const isFields = (body: unknown): body is Fields => typeof body === 'object' && body !== null && !Array.isArray(body)

const halfSurrogate = /\p{Surrogate}/u
/** Deepest a body may be nested. */
const deepest = 40

/** @throws Refusal for a text that no database keeps as it is: with half a surrogate pair, or a zero byte */
function requireKeepable(value: unknown, path = '', depth = 0): void {
  if (typeof value === 'string') {
    if (value.includes('\0') || halfSurrogate.test(value)) {
      throw new Refusal('invalid', told('input.oddCharacter'), path || undefined)
    }
  } else if (typeof value === 'object' && value !== null) {
    if (depth > deepest) throw new Refusal('invalid', told('input.nestedTooDeeply'))
    for (const [name, inner] of Object.entries(value)) {
      // columns of figures are long and hold no text
      if (typeof inner === 'number') continue
      requireKeepable(name, path, depth)
      requireKeepable(inner, path ? `${path}/${name}` : name, depth + 1)
    }
  }
}

/** Makes the reader of an endpoint's bodies: checked against the contract, with the request's number taken out. */
export function bodyReader(endpoint: AnyEndpoint): (request: Request, params: object) => Sent {
  const { body: schema, method, name } = endpoint
  const numberOf = (request: Request, params: object, body: unknown, inBody?: unknown) =>
    method === 'GET' ? undefined : requestNumber(inBody ?? request.headers[numberHeader], name, { params, body })
  if (!schema) return (request, params) => ({ body: undefined, number: numberOf(request, params, undefined) })
  if (isFile(schema)) {
    return (request, params) => {
      const bytes: unknown = request.body
      if (!Buffer.isBuffer(bytes)) throw new Refusal('invalid', told('input.sendAs', { file: schema.file }))
      return { body: bytes, number: numberOf(request, params, bytes) }
    }
  }
  const check = checker(schema)
  const named = namesNumber(schema as SchemaOfObjects)
  return (request, params) => {
    const sent: unknown = request.body
    requireKeepable(sent)
    if (!isFields(sent)) return { body: check(sent), number: numberOf(request, params, sent) }
    const { requestId = request.headers[numberHeader], ...content } = sent
    const body = check(named && requestId !== undefined ? { ...content, requestId } : content)
    return { body, number: numberOf(request, params, content, requestId) }
  }
}
