import { told } from '@vadose/core/message'
import { Refusal } from '@vadose/core/refusal'
import type { NextFunction, Request, Response } from 'express'
import helmet from 'helmet'

/** Nothing is loaded from anywhere else, nothing is framed, no script is made from text. */
const directives = {
  defaultSrc: ["'none'"],
  scriptSrc: ["'self'"],
  styleSrc: ["'self'"],
  fontSrc: ["'self'"],
  imgSrc: ["'self'", 'data:'],
  connectSrc: ["'self'"],
  workerSrc: ["'self'"],
  manifestSrc: ["'self'"],
  baseUri: ["'none'"],
  formAction: ["'self'"],
  frameAncestors: ["'none'"],
}

/** Headers of every answer. */
export const securityHeaders = helmet({
  contentSecurityPolicy: { useDefaults: false, directives },
  // loopback has no certificate to insist on
  strictTransportSecurity: false,
  referrerPolicy: { policy: 'no-referrer' },
})

/** For a worker that runs WebAssembly from our own files: no other script may. */
export const wasmWorker = helmet.contentSecurityPolicy({
  useDefaults: false,
  directives: { ...directives, scriptSrc: ["'self'", "'wasm-unsafe-eval'"] },
})

const localNames = /^(127\.0\.0\.1|localhost|\[::1\])(:\d+)?$/
/** Whether a host is this machine, by a name only it has. */
export const isLocal = (host: string | undefined): boolean => localNames.test(host ?? '')

/**
 * Until there is a sign-in, only pages of this machine may talk to the server: a foreign page that resolves its own
 * name to this address, or posts across sites, is turned away.
 */
export function onlyFromHere(request: Request, _response: Response, next: NextFunction): void {
  const host = request.headers.host ?? ''
  if (!isLocal(host)) return next(new Refusal('forbidden', told('input.thisMachineOnly')))
  const origin = request.headers.origin
  if (request.method !== 'GET' && request.method !== 'HEAD' && origin !== undefined && origin !== `http://${host}`) {
    return next(new Refusal('forbidden', told('input.anotherSite')))
  }
  next()
}
