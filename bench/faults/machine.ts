import { execFileSync } from 'node:child_process'
import { chmodSync, mkdtempSync, readdirSync } from 'node:fs'
import { createServer, type AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'

export const root = resolve('.')
export const folder = mkdtempSync(join(tmpdir(), 'vadose-faults-'))
// PostgreSQL's own user goes through it
chmodSync(folder, 0o755)
export const asRoot = process.getuid?.() === 0
export const newest = readdirSync('/usr/lib/postgresql')
  .sort((a, b) => Number(a) - Number(b))
  .at(-1)!
export const bin = (name: string) => `/usr/lib/postgresql/${newest}/bin/${name}`
export const asPg = (program: string, ...args: string[]) =>
  asRoot
    ? execFileSync('runuser', ['-u', 'postgres', '--', program, ...args], { stdio: 'ignore', cwd: '/' })
    : execFileSync(program, args, { stdio: 'ignore' })
export const pause = (ms: number) => new Promise((done) => setTimeout(done, ms))

export async function freePort(): Promise<number> {
  const server = createServer().listen(0, '127.0.0.1')
  await new Promise((done) => server.on('listening', done))
  const { port } = server.address() as AddressInfo
  await new Promise((done) => server.close(done))
  return port
}
