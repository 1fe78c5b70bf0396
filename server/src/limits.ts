import { told } from '@vadose/core/message'
import { Refusal } from '@vadose/core/refusal'
import type { NextFunction, Request, Response } from 'express'
import { rateLimit, type RateLimitRequestHandler } from 'express-rate-limit'

const minuteMs = 60_000
/** Wrong tokens a minute: a sensor that was turned away, not somebody trying them out. */
const wrongTokensAMinute = 60

const tooMany = (_request: Request, _response: Response, next: NextFunction): void =>
  next(new Refusal('too-many', told('input.tooMany')))

/** Takes so many requests a minute below a path, from one address. */
export const limited = (path: string, limit: number): RateLimitRequestHandler =>
  rateLimit({
    windowMs: minuteMs,
    limit,
    skip: (request) => !request.path.startsWith(path),
    handler: tooMany,
    legacyHeaders: false,
  })

/** Nobody tries out tokens: of those that are wrong, only so many are looked at. */
export const wrongTokens: RateLimitRequestHandler = rateLimit({
  windowMs: minuteMs,
  limit: wrongTokensAMinute,
  skip: (request) => request.path !== '/ingest',
  skipSuccessfulRequests: true,
  // a batch that is refused for its content came from a known sensor
  requestWasSuccessful: (_request, response) => response.statusCode !== 401,
  handler: tooMany,
  legacyHeaders: false,
})
