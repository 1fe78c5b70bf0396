import { createHash } from 'node:crypto'
import { createReadStream, createWriteStream } from 'node:fs'
import { open, rename, rm, stat } from 'node:fs/promises'
import { basename } from 'node:path'
import { pipeline } from 'node:stream/promises'
import { SettingError } from '../config'

/** What a backup says of itself, before what it holds. */
export interface BackupHeader {
  /** of this layout of the file */
  version: 1
  madeAt: string
  /** number of the last migration */
  schema: number
  households: string[]
  /** rows by table */
  rows: Record<string, number>
  bytes: number
  sha256: string
}

/** First line of the file; the header is the second, and what pg_dump wrote is the rest. */
const mark = 'VADOSE BACKUP'
const headMost = 1_000_000

async function hashOf(path: string, start = 0): Promise<string> {
  const hash = createHash('sha256')
  await pipeline(createReadStream(path, { start }), hash)
  return hash.digest('hex')
}

/** Writes a dump and what it is into one file, which is there whole or not at all. */
export async function writeBackup(
  path: string,
  dump: string,
  about: Omit<BackupHeader, 'version' | 'bytes' | 'sha256'>,
): Promise<BackupHeader> {
  const header: BackupHeader = { version: 1, ...about, bytes: (await stat(dump)).size, sha256: await hashOf(dump) }
  const beside = `${path}.new`
  try {
    const out = createWriteStream(beside, { mode: 0o600 })
    out.write(`${mark} 1\n${JSON.stringify(header)}\n`)
    await pipeline(createReadStream(dump), out)
    const file = await open(beside, 'r+')
    await file.sync()
    await file.close()
    await rename(beside, path)
  } catch (error) {
    await rm(beside, { force: true })
    throw error
  }
  return header
}

/** The header of a backup and where its dump begins. @throws SettingError for what is none, or cut off there */
export async function readHeader(path: string): Promise<{ header: BackupHeader; start: number }> {
  const file = await open(path, 'r').catch(() => {
    throw new SettingError(`${path} cannot be read.`)
  })
  try {
    const { buffer, bytesRead } = await file.read(Buffer.alloc(headMost), 0, headMost, 0)
    const top = buffer.subarray(0, bytesRead)
    const first = top.indexOf('\n')
    const second = top.indexOf('\n', first + 1)
    const [name, version] = [top.toString('utf8', 0, mark.length), top.toString('utf8', mark.length + 1, first)]
    if (name !== mark) throw new SettingError(`${basename(path)} is no backup of Vadose's.`)
    if (version !== '1')
      throw new SettingError(`${basename(path)} was made by a newer Vadose; update it, then restore.`)
    if (second < 0) throw new SettingError(`${basename(path)} is cut off: nothing was restored.`)
    return { header: JSON.parse(top.toString('utf8', first + 1, second)) as BackupHeader, start: second + 1 }
  } catch (error) {
    if (error instanceof SyntaxError) throw new SettingError(`${basename(path)} is damaged: nothing was restored.`)
    throw error
  } finally {
    await file.close()
  }
}

/** Reads a backup through. @throws SettingError unless every byte of it is as it was written */
export async function checkBackup(path: string): Promise<{ header: BackupHeader; start: number }> {
  const { header, start } = await readHeader(path)
  const { size } = await stat(path)
  if (size - start < header.bytes) throw new SettingError(`${basename(path)} is cut off: nothing was restored.`)
  if (size - start > header.bytes || (await hashOf(path, start)) !== header.sha256) {
    throw new SettingError(`${basename(path)} was altered since it was made: nothing was restored.`)
  }
  return { header, start }
}
