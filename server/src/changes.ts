import type { IncomingMessage, Server as HttpServer } from 'node:http'
import type { Duplex } from 'node:stream'
import type { Logger } from 'pino'
import { WebSocketServer, type WebSocket } from 'ws'
import type { Pool } from './database'
import { householdAt, revisionsOf } from './households'
import { isLocal } from './security'

/** How often the households somebody watches are asked whether they changed, ms: any server may have written. */
const askEveryMs = 600
/** a page that is gone without a word is let go of, ms */
const stillThereMs = 30_000
const mostWatchers = 500
const address = /^\/api\/households\/([a-z0-9-]{1,60})\/changes$/

export interface Revisions {
  revision: number
  airRevision: number
}

/**
 * Tells open pages that their household changed, whoever changed it and on whichever server: each is told the household's
 * revisions, at once and whenever they rise, and reads anew what it shows.
 */
export class Changes {
  private readonly sockets = new WebSocketServer({ noServer: true, maxPayload: 1024, clientTracking: false })
  private readonly watched = new Map<string, Set<WebSocket>>()
  private readonly told = new Map<string, Revisions>()
  private readonly alive = new WeakSet<WebSocket>()
  private asking: NodeJS.Timeout | undefined
  private readonly pulse: NodeJS.Timeout

  constructor(
    private readonly pool: Pool,
    private readonly log: Logger,
  ) {
    this.pulse = setInterval(() => this.dropGone(), stillThereMs)
    this.pulse.unref()
  }

  attach(server: HttpServer): void {
    server.on('upgrade', (request, socket, head) => {
      this.upgrade(request, socket, head).catch(() => socket.destroy())
    })
  }

  private async upgrade(request: IncomingMessage, socket: Duplex, head: Buffer): Promise<void> {
    socket.on('error', () => socket.destroy())
    const [, name] = address.exec((request.url ?? '').split('?')[0]!) ?? []
    const { host, origin } = request.headers
    // as for writes: pages of this very address only
    const ours = isLocal(host) && origin === `http://${host}`
    const household = name && ours && this.count < mostWatchers ? await householdAt(this.pool, name) : undefined
    if (!household) return refuse(socket, ours ? '404 Not Found' : '403 Forbidden')
    const { id, revision, airRevision } = household
    this.sockets.handleUpgrade(request, socket, head, (page) => {
      const pages = this.watched.get(id) ?? new Set<WebSocket>()
      this.watched.set(id, pages.add(page))
      const known = this.told.get(id) ?? { revision, airRevision }
      this.told.set(id, known)
      this.alive.add(page)
      page.on('pong', () => this.alive.add(page))
      page.on('error', () => page.terminate())
      page.on('close', () => {
        pages.delete(page)
        if (pages.size === 0 && this.watched.get(id) === pages) {
          this.watched.delete(id)
          this.told.delete(id)
        }
      })
      page.send(JSON.stringify({ revision, airRevision } satisfies Revisions))
      this.asking ??= setTimeout(() => void this.ask(), askEveryMs)
    })
  }

  private get count(): number {
    return [...this.watched.values()].reduce((sum, pages) => sum + pages.size, 0)
  }

  private async ask(): Promise<void> {
    try {
      for (const { id, revision, airRevision } of await revisionsOf(this.pool, [...this.watched.keys()])) {
        const was = this.told.get(id)
        if (was && was.revision === revision && was.airRevision === airRevision) continue
        this.told.set(id, { revision, airRevision })
        for (const page of this.watched.get(id) ?? []) page.send(JSON.stringify({ revision, airRevision }))
      }
    } catch (error) {
      // the database is away: the pages hear of it when they ask for something
      this.log.debug({ err: error }, 'changes not asked for')
    }
    this.asking = this.watched.size > 0 ? setTimeout(() => void this.ask(), askEveryMs) : undefined
  }

  private dropGone(): void {
    for (const pages of this.watched.values()) {
      for (const page of pages) {
        if (!this.alive.has(page)) page.terminate()
        else {
          this.alive.delete(page)
          page.ping()
        }
      }
    }
  }

  end(): void {
    clearInterval(this.pulse)
    clearTimeout(this.asking)
    for (const pages of this.watched.values()) for (const page of pages) page.terminate()
    this.watched.clear()
  }
}

function refuse(socket: Duplex, status: string): void {
  socket.end(`HTTP/1.1 ${status}\r\nConnection: close\r\nContent-Length: 0\r\n\r\n`)
}
