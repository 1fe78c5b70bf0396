import { ApiError } from '../call'

/** What went wrong, as a refusal that a form can show. */
export const refused = (error: unknown): ApiError =>
  error instanceof ApiError ? error : new ApiError('internal', String(error))
