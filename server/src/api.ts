import { isFile, type AnyEndpoint } from '@vadose/contract/endpoint'
import { endpoints } from '@vadose/contract/api'
import { calculatorInputs } from '@vadose/contract/worksheets'
import { errorBody } from '@vadose/contract/shapes'

const pathOf = (path: string) => path.replace(/:([a-zA-Z]+)/g, '{$1}')
const content = (what: AnyEndpoint['answer']) =>
  isFile(what)
    ? { [what.file]: { schema: { type: 'string', format: 'binary' } } }
    : { 'application/json': { schema: what } }

function operation(room: string, endpoint: AnyEndpoint) {
  const { name, says, path, query, body, answer, status } = endpoint
  const inPath = [...path.matchAll(/:([a-zA-Z]+)/g)].map((match) => ({
    name: match[1]!,
    in: 'path',
    required: true,
    schema: { type: 'string' },
  }))
  const { properties = {}, required = [] } = (query ?? {}) as {
    properties?: Record<string, object>
    required?: string[]
  }
  const inQuery = Object.entries(properties).map(([key, schema]) => ({
    name: key,
    in: 'query',
    required: required.includes(key),
    schema,
  }))
  return {
    operationId: name,
    tags: [room],
    summary: says,
    parameters: [...inPath, ...inQuery],
    ...(body && { requestBody: { required: true, content: content(body) } }),
    responses: {
      [status]: { description: 'Done.', content: content(answer) },
      default: { description: 'Refused, or failed.', content: { 'application/json': { schema: errorBody } } },
    },
  }
}

/** The interface as OpenAPI 3.1, made from the endpoints that both ends are made from. */
export function openApi() {
  const paths: Record<string, Record<string, object>> = {}
  for (const { room, endpoint } of endpoints) {
    const path = pathOf(endpoint.path)
    paths[path] = { ...paths[path], [endpoint.method.toLowerCase()]: operation(room, endpoint) }
  }
  return {
    openapi: '3.1.0',
    info: {
      title: 'Vadose',
      version: '1',
      description:
        'Every household is named in the address. Weights are whole grams, temperatures °C, humidities %, days YYYY-MM-DD in the household’s calendar, instants UTC. What cannot be answered is refused with {"error":{"code","message","field"}}.',
    },
    servers: [{ url: '/api' }],
    paths,
    components: { schemas: { error: errorBody, calculators: { type: 'object', properties: calculatorInputs } } },
  }
}
