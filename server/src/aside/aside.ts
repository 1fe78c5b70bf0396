import { told } from '@vadose/core/message'
import { Refusal } from '@vadose/core/refusal'
import type { Request, Response } from 'express'
import { mkdtempSync, rmSync } from 'node:fs'
import { request as ask, type IncomingMessage } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pipeline } from 'node:stream/promises'
import { Worker } from 'node:worker_threads'

/** What the thread is started with. */
export interface AsideStart {
  databaseUrl: string
  /** the socket it answers at */
  path: string
  /** answers are held against the contract: in tests */
  strict: boolean
}

const gone = () => new Refusal('too-heavy', told('aside.tooMuch'))

/**
 * The same server once more, in a thread of its own behind a socket that only this user can open: what reads and writes
 * tens of megabytes is done there, and holds up nobody but who asked. Started when first needed, and again after an end.
 */
export class Aside {
  /** of the sockets, from the first start on */
  private folder: string | undefined
  private worker: Worker | undefined
  private ready: Promise<string> | undefined
  private starts = 0

  /** @param program the built thread */
  constructor(
    private readonly program: string,
    private readonly databaseUrl: string,
    private readonly strict = false,
  ) {}

  private start(): Promise<string> {
    this.folder ??= mkdtempSync(join(tmpdir(), 'vadose-aside-'))
    const path = join(this.folder, `${this.starts++}.sock`)
    const workerData: AsideStart = { databaseUrl: this.databaseUrl, path, strict: this.strict }
    const worker = new Worker(this.program, { workerData })
    worker.unref()
    this.worker = worker
    const forget = () => {
      if (this.worker === worker) this.ready = this.worker = undefined
    }
    return new Promise((resolve, reject) => {
      worker.once('message', () => resolve(path))
      worker.once('error', (error) => (forget(), reject(error)))
      worker.once('exit', () => (forget(), reject(gone())))
    })
  }

  /**
   * Hands a request on as it comes, and its answer back.
   * @param after what is done here before a good answer is given
   * @throws Refusal where the thread ended over it
   */
  async forward(request: Request, response: Response, after?: (request: Request) => Promise<void>): Promise<void> {
    const socketPath = await (this.ready ??= this.start())
    const { method, originalUrl: path, headers } = request
    // a line of its own: one kept open may be shut by a thread that was busy just as it is used again
    const asked = ask({ socketPath, method, path, headers, agent: false })
    const answered = new Promise<IncomingMessage>((resolve, reject) => {
      asked.on('response', resolve)
      asked.on('error', () => reject(gone()))
    })
    // who asked may be gone before the end
    response.once('close', () => asked.destroy())
    request.pipe(asked)
    const answer = await answered
    if (after && answer.statusCode! < 300) await after(request).catch(() => undefined)
    response.writeHead(answer.statusCode!, answer.headers)
    await pipeline(answer, response).catch(() => response.destroy())
    // an answer may come before all was sent: a body refused for its size
    request.unpipe(asked).resume()
  }

  async end(): Promise<void> {
    await this.worker?.terminate()
    if (this.folder) rmSync(this.folder, { recursive: true, force: true })
  }
}
