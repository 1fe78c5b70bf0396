import type { Static, TSchema } from 'typebox'

/** Names in a path written `/lots/:code`. */
export type ParamsOf<P extends string> = P extends `${string}:${infer Name}/${infer Rest}`
  ? { [K in Name]: string } & ParamsOf<Rest>
  : P extends `${string}:${infer Name}`
    ? { [K in Name]: string }
    : object

/** An answer that is a file, not JSON. */
export interface FileAnswer {
  file: string
}

export type Method = 'GET' | 'POST' | 'PUT' | 'DELETE'

/** One thing the server does: declared once, served and called by both ends from here. */
export interface Endpoint<Params = object, Query = unknown, Body = unknown, Answer = unknown> {
  /** known by this name on both floors; the page keeps its answers under it */
  readonly name: string
  readonly method: Method
  /** household's paths begin with `/households/:household` */
  readonly path: string
  readonly says: string
  readonly query?: TSchema
  readonly body?: TSchema | FileAnswer
  readonly answer: TSchema | FileAnswer
  readonly status: number
  /** largest body it takes */
  readonly limit: string
  /** its body is read, and its answer written, away from the server's one thread: as text */
  readonly apart: boolean
  /** tens of megabytes may come or go: served in a thread of its own, and views do not come with its answer */
  readonly aside: boolean
  /** a write: the endpoints whose answers are not right any more after it */
  readonly stale: readonly string[]
  /** types only, never there */
  readonly types?: { params: Params; query: Query; body: Body; answer: Answer }
}

type StaticOf<S> = S extends FileAnswer ? Blob : S extends TSchema ? Static<S> : undefined
/** A file is sent by who serves it. */
type AnswerStatic<S> = S extends TSchema ? Static<S> : unknown

interface Declared<P extends string, Q, B, A> {
  method: Method
  path: P
  says: string
  query?: Q
  body?: B
  answer: A
  status?: number
  limit?: string
  apart?: boolean
  aside?: boolean
  stale?: readonly string[]
}

export type AnyEndpoint = Endpoint<unknown, unknown, unknown, unknown>
export type AnswerOf<E> = E extends Endpoint<infer _P, infer _Q, infer _B, infer A> ? A : never
export type BodyOf<E> = E extends Endpoint<infer _P, infer _Q, infer B, infer _A> ? B : never

/** Declares an endpoint that is no household's own. */
export function endpoint<
  P extends string,
  Q extends TSchema | undefined = undefined,
  B extends TSchema | FileAnswer | undefined = undefined,
  A extends TSchema | FileAnswer = TSchema,
>(name: string, declared: Declared<P, Q, B, A>): Endpoint<ParamsOf<P>, StaticOf<Q>, StaticOf<B>, AnswerStatic<A>> {
  const { query, body, ...rest } = declared
  return {
    name,
    status: 200,
    limit: '256kb',
    apart: false,
    aside: false,
    stale: [],
    ...rest,
    ...(query && { query }),
    ...(body && { body }),
  }
}

/** Declares an endpoint about one household; its path continues the household's. */
export const ofHousehold: typeof endpoint = (name, declared) =>
  endpoint(name, { ...declared, path: `/households/:household${declared.path}` as typeof declared.path })

export const isFile = (answer: TSchema | FileAnswer | undefined): answer is FileAnswer =>
  answer !== undefined && 'file' in answer

export const filled = (path: string, params: Record<string, string>): string =>
  path.replace(/:([a-zA-Z]+)/g, (_, name: string) => encodeURIComponent(params[name] ?? ''))
