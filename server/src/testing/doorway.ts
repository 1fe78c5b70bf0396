import { connect, createServer, type Server, type Socket } from 'node:net'
import type { AddressInfo } from 'node:net'

/** A door between a server and its database that can be shut, and opened again. */
export class Doorway {
  private readonly sockets = new Set<Socket>()
  private server: Server | undefined
  private port = 0

  /** @param database where the real one listens */
  constructor(private readonly database: URL) {}

  /** Opens the door, always at the same place. @returns the database's address through it */
  async open(): Promise<URL> {
    this.server = createServer((near) => {
      const far = connect(Number(this.database.port), this.database.hostname)
      for (const [one, other] of [
        [near, far],
        [far, near],
      ] as const) {
        this.sockets.add(one)
        one.on('error', () => other.destroy())
        one.on('close', () => {
          this.sockets.delete(one)
          other.destroy()
        })
        one.pipe(other)
      }
    })
    await new Promise<void>((resolve) => this.server!.listen(this.port, '127.0.0.1', resolve))
    this.port = (this.server.address() as AddressInfo).port
    const url = new URL(this.database)
    url.hostname = '127.0.0.1'
    url.port = String(this.port)
    return url
  }

  /** Shuts it: whoever stands in it is cut off, whoever comes is turned away. */
  async shut(): Promise<void> {
    const shut = new Promise((resolve) => this.server!.close(resolve))
    for (const socket of this.sockets) socket.destroy()
    await shut
  }

  /** Nothing goes through any more, and nobody is told. */
  jam(): void {
    for (const socket of this.sockets) socket.pause().unpipe()
  }
}
