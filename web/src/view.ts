import { QueryClient, useQuery, type Query } from '@tanstack/vue-query'
import type { Endpoint } from '@vadose/contract/endpoint'
import { computed } from 'vue'
import { addressOf, ApiError, send, type AnyAsked, type Asked } from './call'

/** A server that did not answer is asked again after so long, ms. */
const askAgainMs = 4000

/** What the page was told by the server, by endpoint and what it was asked with. */
export const answers = new QueryClient({
  defaultOptions: {
    queries: {
      networkMode: 'always',
      retry: (_count, error) => error instanceof ApiError && error.code === 'away',
      retryDelay: askAgainMs,
    },
  },
})

const keyOf = (endpoint: Pick<Endpoint, 'name' | 'path'>, asked: AnyAsked) => [
  endpoint.name,
  addressOf(endpoint, asked),
]

/**
 * An answer for a screen: kept while it is read anew, and made right after every write that says it is stale.
 * @param asked null while there is nothing to ask yet
 */
export function useView<P, Q, A>(
  endpoint: Endpoint<P, Q, undefined, A>,
  ...[asked = () => ({}) as Asked<P, Q, undefined>]: object extends Omit<P, 'household'>
    ? [asked?: () => Asked<P, Q, undefined> | null]
    : [asked: () => Asked<P, Q, undefined> | null]
) {
  const now = computed(() => asked() as AnyAsked | null)
  const query = useQuery(
    {
      queryKey: computed(() => keyOf(endpoint as Endpoint, now.value ?? {})),
      queryFn: () => send(endpoint as Endpoint, now.value!) as Promise<A>,
      enabled: computed(() => now.value !== null),
      // an answer is taken whole and never written to: nothing of it is watched piece by piece
      shallow: true,
    },
    answers,
  )
  return {
    answer: computed(() => (now.value === null ? undefined : query.data.value)),
    failure: computed(() => (query.error.value ?? query.failureReason.value)?.message),
    code: computed(() => (query.error.value instanceof ApiError ? query.error.value.code : undefined)),
  }
}

/** Asks once, for something that is looked at now and not kept. */
export const ask = <P, Q, A>(endpoint: Endpoint<P, Q, undefined, A>, asked: Asked<P, Q, undefined>): Promise<A> =>
  send(endpoint as Endpoint, asked as AnyAsked) as Promise<A>

/** Writes that are on their way. */
const onTheirWay = new Set<Promise<unknown>>()

/** Waits for what was written before, kept or refused: it belongs to the day it was done on. */
export async function afterWrites(): Promise<void> {
  while (onTheirWay.size > 0) await Promise.allSettled(onTheirWay)
}

async function sendWrite(endpoint: Endpoint, asked: AnyAsked, views: string[]): Promise<unknown> {
  const sent = send(endpoint, asked, views)
  onTheirWay.add(sent)
  try {
    return await sent
  } finally {
    onTheirWay.delete(sent)
  }
}

interface Fresh {
  answer: unknown
  fresh: Record<string, unknown>
}

/**
 * Writes, and makes right what it says it makes stale: the answers that the page has open come with the write's own, in
 * one request; the rest is read anew when it is looked at.
 * @throws ApiError
 */
export async function write<P, Q, B, A>(endpoint: Endpoint<P, Q, B, A>, asked: Asked<P, Q, B>): Promise<A> {
  const stale = (query: Query) => endpoint.stale.includes(String(query.queryKey[0]))
  const open = answers.getQueryCache().findAll({ type: 'active', predicate: stale })
  const own = endpoint.path.startsWith('/households/:household') && !endpoint.aside
  const views = own ? open.map((query) => String(query.queryKey[1])) : []
  const got = await sendWrite(endpoint as Endpoint, asked as AnyAsked, views)
  const { answer, fresh } = views.length > 0 ? (got as Fresh) : { answer: got, fresh: {} as Fresh['fresh'] }
  for (const [i, query] of open.entries()) {
    const view = fresh[views[i]!]
    if (view !== undefined) answers.setQueryData(query.queryKey, view)
    else void answers.invalidateQueries({ queryKey: query.queryKey })
  }
  void answers.invalidateQueries({ predicate: (query) => stale(query) && !open.includes(query), refetchType: 'none' })
  return answer as A
}

/** Something was written elsewhere (in a worker): what it makes stale is read anew. */
export const made = (endpoint: Pick<Endpoint, 'stale'>): void =>
  void answers.invalidateQueries({ predicate: (query) => endpoint.stale.includes(String(query.queryKey[0])) })
