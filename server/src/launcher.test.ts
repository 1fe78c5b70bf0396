import { execFileSync, spawn, spawnSync, type ChildProcess } from 'node:child_process'
import {
  copyFileSync,
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  realpathSync,
  renameSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs'
import { createServer, type AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { dirname, join, resolve } from 'node:path'
import { afterAll, beforeAll, expect, it, vi } from 'vitest'

/** A start makes a database cluster and fills it: on a machine that is lent out meanwhile that may take minutes. */
const longestMs = 240_000
vi.setConfig({ testTimeout: 4 * longestMs })

/** The launcher in a folder of its own: the project's floors linked, its state its own, nothing to install or build. */
const root = resolve('.')
const parent = mkdtempSync(join(tmpdir(), 'vadose-launcher-'))
let folder = join(parent, 'here')
let port: number

beforeAll(async () => {
  mkdirSync(join(folder, '.vadose'), { recursive: true })
  for (const name of readdirSync(root)) {
    if (!['vadose', 'launcher', '.vadose', '.git'].includes(name)) symlinkSync(join(root, name), join(folder, name))
  }
  copyFileSync(join(root, 'vadose'), join(folder, 'vadose'))
  cpSync(join(root, 'launcher'), join(folder, 'launcher'), { recursive: true })
  const stamp = execFileSync('bash', ['-c', 'cat package-lock.json package.json */package.json | sha256sum'], {
    cwd: folder,
    encoding: 'utf8',
  })
  writeFileSync(join(folder, '.vadose/npm.stamp'), stamp.trim())
  for (const name of ['server.stamp', 'web.stamp']) writeFileSync(join(folder, '.vadose', name), '')
  const probe = createServer().listen(0, '127.0.0.1')
  await new Promise((done) => probe.on('listening', done))
  port = (probe.address() as AddressInfo).port
  await new Promise((done) => probe.close(done))
})
afterAll(() => {
  spawnSync(join(folder, 'vadose'), ['stop'], { cwd: folder })
  const cluster = join(folder, '.vadose/pg')
  // as root the cluster stands where PostgreSQL's own user may go
  const place = existsSync(cluster) ? realpathSync(cluster) : cluster
  if (place.startsWith('/var/lib/vadose/')) rmSync(dirname(place), { recursive: true })
  rmSync(parent, { recursive: true, force: true })
})

const environment = () => {
  const { TEST_DATABASE_URL: _, DATABASE_URL: __, ...rest } = process.env
  return { ...rest, PORT: String(port) }
}
/** Begins `./vadose start`; what it says is gathered. */
function start(): { child: ChildProcess; said: () => string } {
  const child = spawn(join(folder, 'vadose'), ['start'], { cwd: folder, env: environment() })
  let text = ''
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk: Buffer) => (text += chunk.toString()))
  return { child, said: () => text }
}
const run = (...args: string[]) => {
  const { status, stdout, stderr } = spawnSync(join(folder, 'vadose'), args, {
    cwd: folder,
    env: environment(),
    encoding: 'utf8',
  })
  return { status, said: stdout + stderr }
}
const households = () =>
  fetch(`http://127.0.0.1:${port}/api/households`).then(
    async (response) => (await response.json()) as { name: string }[],
    () => undefined,
  )
const answers = () => expect.poll(households, { timeout: longestMs, interval: 100 }).toBeInstanceOf(Array)

it('what is no database in its place is moved aside, not removed', async () => {
  start()
  await answers()
  expect(run('stop').said).toMatch(/^Stopped Vadose/)
  const cluster = realpathSync(join(folder, '.vadose/pg'))
  rmSync(join(cluster, 'data'), { recursive: true })
  mkdirSync(join(cluster, 'data'))
  writeFileSync(join(cluster, 'data/letter'), 'mine')
  const { said } = start()
  await answers()
  expect(said()).toMatch(/moved to .*data\.aside-/)
  const aside = readdirSync(cluster).find((name) => name.startsWith('data.aside-'))!
  expect(readFileSync(join(cluster, aside, 'letter'), 'utf8')).toBe('mine')
})

it('a second start says where the first one answers, and two at once are one', async () => {
  const second = run('start')
  expect([second.status, second.said]).toEqual([0, `Vadose is running already: http://127.0.0.1:${port}\n`])
  run('stop')
  const both = [start(), start()]
  await answers()
  await expect.poll(() => both.map(({ said }) => said()).join(''), { timeout: longestMs }).toMatch(/running already/)
  expect(both.filter(({ said }) => /^Vadose answers at/m.test(said()))).toHaveLength(1)
})

it('a lost password, and another one in its file, cost no data', async () => {
  await fetch(`http://127.0.0.1:${port}/api/households`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ name: 'Kept House', clock: 'real' }),
  })
  for (const mend of [
    () => rmSync(join(folder, '.vadose/password')),
    () => writeFileSync(join(folder, '.vadose/password'), 'another'),
  ]) {
    run('stop')
    mend()
    const { said } = start()
    await answers()
    expect(said()).toMatch(/it has a new one/)
    expect(await households()).toMatchObject([{ name: 'Kept House' }])
  }
})

it('a renamed folder finds its data again', async () => {
  run('stop')
  const moved = join(parent, 'moved')
  renameSync(folder, moved)
  folder = moved
  start()
  await answers()
  expect(await households()).toMatchObject([{ name: 'Kept House' }])
})

it('stop ends only what it can prove is its own', async () => {
  run('stop')
  const stranger = spawn('sleep', ['60'])
  const note = join(folder, '.vadose/start.address')
  for (const text of [`${stranger.pid} http://127.0.0.1:${port}`, `${stranger.pid} http://127.0.0.1:${port} 1`]) {
    writeFileSync(note, text)
    expect(run('stop').said).toBe('Nothing was running.\n')
    expect([stranger.exitCode, stranger.signalCode]).toEqual([null, null])
  }
  stranger.kill()
})

it('a folder that cannot be written is said in a sentence', () => {
  const tried = join(folder, '.vadose/.try')
  mkdirSync(tried)
  const { status, said } = run('start')
  expect(status).toBe(1)
  expect(said).toMatch(/cannot write to .*: the disk is full or read-only.*Nothing was changed\.$/m)
  rmSync(tried, { recursive: true })
})
