import { readdir, rm, stat } from 'node:fs/promises'
import { join } from 'node:path'
import { dayMs } from '@vadose/core/households'
import type { Logger } from 'pino'
import { SettingError } from '../config'
import { makeBackup, type Cluster } from './backup'
import { outdated } from './rotation'

interface Kept {
  path: string
  atMs: number
  bytes: number
}
export interface BackupState {
  folder: string
  last: { at: string; bytes: number } | null
  /** why the last attempt failed, if it did */
  failed: string | null
}

const name = /^vadose-(\d{4})(\d\d)(\d\d)-(\d\d)(\d\d)(\d\d)\.backup$/
const nameFor = (now: Date) => `vadose-${now.toISOString().slice(0, 19).replace(/[-:]/g, '').replace('T', '-')}.backup`
const instantIn = (file: string): number | undefined => {
  const [, ...parts] = (name.exec(file) ?? []).map(Number)
  const [y, mo, d, h, mi, s] = parts as number[]
  return y === undefined ? undefined : Date.UTC(y, mo! - 1, d, h, mi, s)
}
const hourMs = 3_600_000

/** Makes a backup every night that the server runs, or as soon as it runs again, and keeps as many as are of use. */
export class Keeper {
  private failed: string | null = null
  private making: Promise<void> | undefined
  private timer: NodeJS.Timeout | undefined

  constructor(
    private readonly cluster: Cluster,
    private readonly folder: string,
    private readonly log: Logger,
    private readonly clock: () => number = Date.now,
  ) {}

  /** Looks every hour whether a day has gone by; the first time a minute after the start, out of its way. */
  start(firstMs = 60_000): void {
    const look = () => void this.due().catch((error: unknown) => this.log.error({ err: error }, 'backup failed'))
    this.timer = setTimeout(() => {
      look()
      this.timer = setInterval(look, hourMs).unref()
    }, firstMs).unref()
  }
  stop(): void {
    clearTimeout(this.timer)
  }

  private async all(): Promise<Kept[]> {
    const files = await readdir(this.folder).catch(() => [])
    const kept: Kept[] = []
    for (const file of files) {
      const atMs = instantIn(file)
      const path = join(this.folder, file)
      if (atMs !== undefined) kept.push({ path, atMs, bytes: (await stat(path)).size })
    }
    return kept.sort((a, b) => b.atMs - a.atMs)
  }

  async state(): Promise<BackupState> {
    const [last] = await this.all()
    return {
      folder: this.folder,
      last: last ? { at: new Date(last.atMs).toISOString(), bytes: last.bytes } : null,
      failed: this.failed,
    }
  }

  private async due(): Promise<void> {
    const [last] = await this.all()
    if (!last || this.clock() - last.atMs >= dayMs) await this.make()
  }

  /** Makes one now; who asks while one is being made waits for that. @throws SettingError */
  make(): Promise<void> {
    this.making ??= this.makeOne().finally(() => (this.making = undefined))
    return this.making
  }

  private async makeOne(): Promise<void> {
    try {
      await makeBackup(this.cluster, join(this.folder, nameFor(new Date(this.clock()))))
      this.failed = null
    } catch (error) {
      this.failed = error instanceof SettingError ? error.message : `No backup could be made in ${this.folder}.`
      this.log.error({ err: error }, 'backup failed')
      throw error instanceof SettingError ? error : new SettingError(this.failed)
    }
    // nothing is cleared away unless a new one is there and was read back
    for (const { path } of outdated(await this.all())) await rm(path, { force: true })
  }
}
