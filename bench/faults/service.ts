import { spawn, type ChildProcess } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { existsSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import type { Cluster } from './cluster'
import { folder, pause, root } from './machine'

// a clock that can be set wrong: what the process takes for now
writeFileSync(
  join(folder, 'clock.mjs'),
  `const shift = Number(process.env.CLOCK_SHIFT_MS ?? 0)
const real = Date.now
if (shift) {
  Date.now = () => real() + shift
  const RealDate = Date
  globalThis.Date = class extends RealDate { constructor(...of) { of.length ? super(...of) : super(real() + shift) } }
}`,
)

/** The server over a cluster, at one port for good. */
export class Service {
  private child: ChildProcess | undefined
  /** stops that nobody asked for */
  died = 0
  constructor(
    private readonly cluster: Cluster,
    readonly port: number,
  ) {}
  async start(shiftMs = 0): Promise<void> {
    const note = join(folder, randomUUID())
    const child = spawn('node', ['--import', join(folder, 'clock.mjs'), `${root}/server/dist/main.js`], {
      env: {
        ...process.env,
        DATABASE_URL: this.cluster.url('vadose_server'),
        DATABASE_OWNER_URL: this.cluster.url('vadose'),
        PORT: String(this.port),
        CLOCK_SHIFT_MS: String(shiftMs),
        LOG_LEVEL: 'silent',
        VADOSE_ADDRESS_FILE: note,
      },
      stdio: 'ignore',
    })
    this.child = child
    child.on('exit', () => {
      if (this.child === child) this.died++
    })
    while (!existsSync(note)) {
      if (child.exitCode !== null) throw new Error('the server did not start')
      await pause(20)
    }
  }
  async kill(signal: 'SIGKILL' | 'SIGTERM' = 'SIGKILL'): Promise<void> {
    const { child } = this
    this.child = undefined
    if (!child || child.exitCode !== null) return
    const gone = new Promise((done) => child.on('exit', done))
    child.kill(signal)
    await gone
  }
}
