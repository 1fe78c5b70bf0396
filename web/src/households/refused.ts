import { ApiError } from '../call'
import { inUnits } from './in-units'

/** What went wrong, as a refusal that a form can show, in the household's units. */
export const refused = (error: unknown): ApiError =>
  error instanceof ApiError
    ? new ApiError(error.code, inUnits(error.message), error.field)
    : new ApiError('internal', String(error))
