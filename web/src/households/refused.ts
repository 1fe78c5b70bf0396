import { ApiError } from '../call'
import { sayFact } from '../voice'
import { inUnits } from './in-units'

/** What went wrong, as a refusal that a form can show, in the household's units. */
export const refused = (error: unknown): ApiError =>
  error instanceof ApiError
    ? new ApiError(error.code, error.says ? sayFact(error.says) : inUnits(error.message), error.field)
    : new ApiError('internal', String(error))
