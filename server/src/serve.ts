import { isFile, type AnyEndpoint, type Endpoint, type Method } from '@vadose/contract/endpoint'
import { told } from '@vadose/core/message'
import { Refusal } from '@vadose/core/refusal'
import express, { Router, type Request, type Response } from 'express'
import type { Aside } from './aside/aside'
import { bodyReader } from './body'
import type { Pool } from './database'
import { householdAt, type HouseholdRow, type RequestNumber } from './households'
import type { Houses } from './projections'
import { textOf } from './text'
import { checker, querySchema } from './validate'
import { unknownHousehold, Visit } from './visit'

export interface Input<Params, Query, Body> {
  params: Params
  query: Query
  body: Body
}
type ForHousehold<P, Q, B, A> = (visit: Visit, input: Input<P, Q, B>, response: Response) => Promise<A> | A

const nameOf = (method: Method) => method.toLowerCase() as 'get' | 'post' | 'put' | 'delete'

interface Served {
  endpoint: AnyEndpoint
  pattern: RegExp
  query: (query: unknown) => unknown
  handle: ForHousehold<object, unknown, unknown, unknown>
}

export interface Serving {
  pool: Pool
  houses: Houses
  /** who serves what is heavy, where not this thread */
  aside?: Aside | undefined
  /** answers are held against the contract: in tests */
  strict?: boolean
}

/** How an endpoint of one household is served. */
interface Manner<A> {
  /** what the very request that removed the household is answered when it comes again */
  gone?: (address: string, number: RequestNumber) => Promise<A | undefined>
  /** begins with a write, and reads nothing of the household before it has its lock */
  locksFirst?: boolean
}
const mostMet = 1000

/** Where the endpoints are served: each validated, handled and answered by its declaration. */
export class Server {
  readonly router = Router()
  private readonly views: Served[] = []
  /** households by address, as they were found last: which is which stays, and nothing else of them is to be relied on */
  private readonly met = new Map<string, HouseholdRow>()

  constructor(private readonly serving: Serving) {}

  /** Serves an endpoint that is about one household. */
  household<P extends object, Q, B, A>(
    endpoint: Endpoint<P, Q, B, A>,
    handle: ForHousehold<P, Q, B, A>,
    { gone, locksFirst }: Manner<A> = {},
  ): void {
    const { method, path } = endpoint
    const served: Served = {
      endpoint,
      pattern: new RegExp(`^${path.replace('/households/:household', '').replace(/:[a-zA-Z]+/g, '([^/]+)')}$`),
      query: endpoint.query ? checker(querySchema(endpoint.query)) : () => ({}),
      handle: handle as Served['handle'],
    }
    if (method === 'GET' && !isFile(endpoint.answer)) this.views.push(served)
    const read = bodyReader(endpoint)
    const hold = this.holder(endpoint)
    // months of what lots lived through may have changed: what the page asks for next has it in
    const settle = async (request: Request) => {
      if (method !== 'GET') await (await this.visit(request)).settled()
    }
    if (endpoint.aside && this.hand(endpoint, settle)) return
    this.at(endpoint, async (request, response) => {
      const { household: address, ...params } = request.params as { household: string } & P
      const { body, number } = read(request, params)
      const input = { params, query: served.query(request.query), body } as unknown as Input<P, Q, B>
      const before = number && gone ? await gone(address, number) : undefined
      if (before !== undefined) return void response.status(endpoint.status).json(before)
      const { visit, answer } = await this.answered(request, number, locksFirst, (visit) =>
        handle(visit, input, response),
      )
      if (isFile(endpoint.answer)) return
      hold(answer)
      response.status(endpoint.status)
      // so that a page that is told of a change knows whether it has it already
      response.set('X-Revision', String(visit.household.revision))
      const wanted = method === 'GET' || endpoint.aside ? [] : wantedViews(request)
      const told = wanted.length === 0 ? answer : { answer, fresh: await this.fresh(visit, wanted) }
      response.type('json').send(textOf(told))
    })
  }

  /** Serves an endpoint that is no household's own. */
  anyone<P extends object, Q, B, A>(
    endpoint: Endpoint<P, Q, B, A>,
    handle: (input: Input<P, Q, B>, request: Request, number: RequestNumber | undefined) => Promise<A> | A,
  ): void {
    const query = endpoint.query ? checker(querySchema(endpoint.query)) : () => ({})
    const read = bodyReader(endpoint)
    const hold = this.holder(endpoint)
    if (endpoint.aside && this.hand(endpoint)) return
    this.at(endpoint, async (request, response) => {
      const { body, number } = read(request, request.params)
      const input = { params: request.params, query: query(request.query), body }
      const answer = await handle(input as unknown as Input<P, Q, B>, request, number)
      hold(answer)
      response.status(endpoint.status).json(answer)
    })
  }

  /** Serves an endpoint whose body and answer are text to this thread, read and written in another. */
  apart<P extends object>(
    endpoint: Endpoint<P, unknown, unknown, unknown>,
    handle: (input: { params: P }, text: string) => Promise<string>,
  ): void {
    this.at(endpoint, async (request, response) => {
      if (typeof request.body !== 'string') throw new Refusal('invalid', told('input.notJson'))
      const answer = await handle({ params: request.params as P }, request.body)
      response.status(endpoint.status).type('json').send(answer)
    })
  }

  /** In tests, an answer that the contract does not declare is a failure of the server, not of who asked. */
  private holder({ name, answer: declared }: AnyEndpoint): (answer: unknown) => void {
    if (!this.serving.strict || isFile(declared)) return () => undefined
    const check = checker(declared)
    return (answer) => {
      try {
        check(JSON.parse(JSON.stringify(answer)))
      } catch (error) {
        throw new Error(`the answer of “${name}” breaks the contract: ${String(error)}`, { cause: error })
      }
    }
  }

  /** Hands what is heavy on to whoever serves it; whether there is somebody. */
  private hand({ method, path }: AnyEndpoint, after?: (request: Request) => Promise<void>): boolean {
    const { aside } = this.serving
    if (aside) this.router[nameOf(method)](path, (request, response) => aside.forward(request, response, after))
    return aside !== undefined
  }

  private at(endpoint: AnyEndpoint, handle: (request: Request, response: Response) => Promise<void>): void {
    const { method, path, body, limit, apart } = endpoint
    const name = nameOf(method)
    if (method === 'GET') return void this.router[name](path, handle)
    const parse =
      body && isFile(body)
        ? express.raw({ type: body.file, limit })
        : apart
          ? express.text({ type: 'application/json', limit })
          : express.json({ limit, strict: false })
    this.router[name](path, parse, handle)
  }

  private async answered<A>(
    request: Request,
    number: RequestNumber | undefined,
    locksFirst: boolean | undefined,
    handle: (visit: Visit) => Promise<A> | A,
  ): Promise<{ visit: Visit; answer: A }> {
    const met = locksFirst && this.met.get(String(request.params['household']))
    if (met) {
      const visit = this.visitTo(met, request, number)
      try {
        return { visit, answer: await handle(visit) }
      } catch (error) {
        // it is gone; another may have its address
        if (!(error instanceof Refusal && error.code === 'no-such-household')) throw error
      }
    }
    const visit = await this.visit(request, number)
    return { visit, answer: await handle(visit) }
  }

  private async visit(request: Request, number?: RequestNumber): Promise<Visit> {
    const address = String(request.params['household'])
    const household = /^[a-z0-9-]{1,60}$/.test(address) ? await householdAt(this.serving.pool, address) : undefined
    this.met.delete(address)
    if (!household) throw unknownHousehold(address)
    this.met.set(address, household)
    if (this.met.size > mostMet) this.met.delete(this.met.keys().next().value!)
    return this.visitTo(household, request, number)
  }

  private visitTo = (household: HouseholdRow, { headers }: Request, number?: RequestNumber): Visit =>
    new Visit(this.serving.pool, this.serving.houses, household, headers.host ?? '', number)

  /**
   * The answers a page has open, as the write left them, so that a write costs one request. What was written is written:
   * a view that fails here is left out, and the page asks for it itself.
   */
  private async fresh(visit: Visit, wanted: readonly string[]): Promise<Record<string, unknown>> {
    const fresh: Record<string, unknown> = {}
    for (const address of wanted) {
      const url = new URL(address, 'http://page')
      const view = this.views.find(({ pattern }) => pattern.test(url.pathname))
      if (!view) continue
      try {
        const values = view.pattern.exec(url.pathname)!.slice(1).map(decodeURIComponent)
        const names = [...view.endpoint.path.matchAll(/:([a-zA-Z]+)/g)].map((match) => match[1]!).slice(1)
        const params = Object.fromEntries(names.map((name, i) => [name, values[i]]))
        const query = view.query(Object.fromEntries(url.searchParams))
        fresh[address] = await view.handle(visit, { params, query, body: undefined }, undefined as never)
      } catch {
        // asked for again by the page
      }
    }
    return fresh
  }
}

const mostViews = 12

/** Addresses of the views that a page wants with the answer of its write, within the household. */
const wantedViews = (request: Request): string[] =>
  String(request.headers['x-views'] ?? '')
    .split(' ')
    .filter((address) => address.startsWith('/'))
    .slice(0, mostViews)
