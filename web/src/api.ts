import type { ErrorBody } from '@vadose/contract/shapes'

/** A refusal or failure of the server, with a message a person can act on. */
export class ApiError extends Error {
  constructor(
    readonly code: string,
    message: string,
    readonly field?: string,
  ) {
    super(message)
  }
}

async function answer<T>(request: Promise<Response>): Promise<T> {
  let response: Response
  try {
    response = await request
  } catch {
    throw new ApiError('away', 'Vadose does not answer. Is it still running on this machine?')
  }
  if (response.ok) return (await response.json()) as T
  const body = (await response.json().catch(() => undefined)) as ErrorBody | undefined
  const error = body?.error
  throw new ApiError(
    error?.code ?? 'internal',
    error?.message ?? 'Something failed; nothing was written.',
    error?.field,
  )
}

export const get = <T>(path: string): Promise<T> => answer<T>(fetch(`/api${path}`))

const send = <T>(method: string, path: string, body: unknown): Promise<T> =>
  answer<T>(
    fetch(`/api${path}`, { method, headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) }),
  )

export const post = <T>(path: string, body: unknown): Promise<T> => send<T>('POST', path, body)

export const put = <T>(path: string, body: unknown): Promise<T> => send<T>('PUT', path, body)

export const remove = <T>(path: string): Promise<T> => answer<T>(fetch(`/api${path}`, { method: 'DELETE' }))

/** Number of a write, so that sending it again does it once. */
export const newRequestId = (): string => crypto.randomUUID()
