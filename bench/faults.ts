import { execFileSync, spawn, spawnSync } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { cpSync, existsSync, mkdirSync, rmSync, statfsSync } from 'node:fs'
import { join } from 'node:path'
import { Cluster } from './faults/cluster'
import { Load } from './faults/load'
import { asRoot, folder, freePort, pause, root } from './faults/machine'
import { Service } from './faults/service'

/**
 * Faults, one after another, under writes that are sent again until they are acknowledged: how many acknowledged writes
 * are lost, how many are there twice, and how many never come through. `npm run faults`, or `npm run faults small`.
 */
const small = process.argv[2] === 'small'
const kills = small ? 3 : 100
const stops = small ? 3 : 50
const setUps = small ? 1 : 20
interface Row {
  fault: string
  times: number
  acknowledged: number
  lost: number
  doubled: number
  stuck: number
  'server died': number
  note: string
}
const table: Row[] = []

/** One kind of fault, so many times, under writes. */
async function under(
  fault: string,
  times: number,
  cluster: Cluster,
  service: Service,
  once: (i: number, load: Load) => Promise<void>,
  note = '',
): Promise<void> {
  const load = new Load(`http://127.0.0.1:${service.port}/api/households/faults`)
  let stuck = (await load.moves()) ? 0 : 1
  const died = service.died
  for (let i = 0; i < times; i++) {
    await once(i, load)
    if (!(await load.moves())) stuck++
    process.stdout.write(`\r${fault}: ${i + 1} of ${times} `)
  }
  await load.stop()
  process.stdout.write('\n')
  const kept = (await cluster.query(`select details ->> 'text' as text from lot_events where kind = 'noted'`)).map(
    (row) => row['text'],
  )
  const unique = new Set(kept)
  table.push({
    fault,
    times,
    acknowledged: load.acknowledged.length,
    lost: load.acknowledged.filter((text) => !unique.has(text)).length,
    doubled: kept.length - unique.size,
    stuck,
    'server died': service.died - died,
    note: [note, ...[...load.strange].map(([status, n]) => `${n} × ${status}`)].filter(Boolean).join('; '),
  })
}

async function household(port: number): Promise<void> {
  const base = `http://127.0.0.1:${port}/api`
  const send = async (path: string, body: object) => {
    const response = await fetch(`${base}${path}`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(body),
    })
    if (!response.ok) throw new Error(`${path}: ${await response.text()}`)
  }
  await send('/households', { name: 'Faults', clock: 'practice', startsOn: '2026-07-12', timeZone: 'Europe/Vienna' })
  await send('/households/faults/harvests', {
    requestId: randomUUID(),
    crop: 'garlic-hardneck',
    harvestedOn: '2026-07-12',
    totalG: 6000,
    heaps: [{ heap: 'sound', weightG: 6000 }],
  })
}

async function serviceOver(dir: string): Promise<{ cluster: Cluster; service: Service }> {
  const cluster = await Cluster.make(dir)
  await cluster.query('create role vadose_app nologin', 'postgres')
  await cluster.query('create role vadose_server login in role vadose_app', 'postgres')
  await cluster.query('create database vadose', 'postgres')
  const service = new Service(cluster, await freePort())
  await service.start()
  await household(service.port)
  return { cluster, service }
}

/** A disk of its own, small enough to fill. @returns undefined where this user may not mount one */
function smallDisk(): string | undefined {
  const disk = join(folder, 'disk')
  mkdirSync(disk)
  return asRoot && spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=220m,mode=755', 'tmpfs', disk]).status === 0
    ? disk
    : undefined
}

/** A whole set-up killed at a random moment, again and again in one folder; then left to itself. */
async function setUp(): Promise<void> {
  let whole = 0
  for (let i = 0; i < setUps; i++) {
    const copy = join(folder, `clone-${i}`)
    execFileSync('git', ['clone', '-q', root, copy])
    // packages come from the registry and take what the network takes; here they are there already
    execFileSync('cp', ['-al', `${root}/node_modules`, `${copy}/node_modules`])
    for (const floor of ['core', 'contract', 'server', 'web', 'demo']) {
      if (existsSync(`${root}/${floor}/node_modules`))
        execFileSync('cp', ['-al', `${root}/${floor}/node_modules`, `${copy}/${floor}/node_modules`])
    }
    mkdirSync(`${copy}/.vadose`)
    if (existsSync(`${root}/.vadose/npm.stamp`)) cpSync(`${root}/.vadose/npm.stamp`, `${copy}/.vadose/npm.stamp`)
    const port = await freePort()
    const begin = () =>
      spawn(join(copy, 'vadose'), ['start'], {
        cwd: copy,
        env: { ...process.env, PORT: String(port) },
        stdio: 'ignore',
        detached: true,
      })
    const first = begin()
    await pause(Math.random() * 12_000)
    // the launcher and all it started, as a power cut would
    try {
      process.kill(-first.pid!, 'SIGKILL')
    } catch {
      // it was over already
    }
    const second = begin()
    let works = false
    for (const began = Date.now(); Date.now() - began < 180_000 && !works; await pause(200)) {
      works = await fetch(`http://127.0.0.1:${port}/api/households`).then(
        async (response) => response.ok && Array.isArray(await response.json()),
        () => false,
      )
    }
    if (works) whole++
    spawnSync(join(copy, 'vadose'), ['stop'], { cwd: copy, stdio: 'ignore' })
    if (second.exitCode === null) process.kill(-second.pid!, 'SIGTERM')
    rmSync(copy, { recursive: true, force: true })
    process.stdout.write(`\rlauncher killed at set-up: ${i + 1} of ${setUps} `)
  }
  process.stdout.write('\n')
  table.push({
    fault: 'SIGKILL of the launcher at set-up',
    times: setUps,
    acknowledged: 0,
    lost: 0,
    doubled: 0,
    stuck: setUps - whole,
    'server died': 0,
    note: `${whole} of ${setUps} working wholes when started again`,
  })
}

try {
  const { cluster, service } = await serviceOver(join(folder, 'pg'))
  await under('SIGKILL of the server', kills, cluster, service, async () => {
    await pause(Math.random() * 300)
    await service.kill()
    await service.start()
  })
  await under('immediate stop of PostgreSQL', stops, cluster, service, async () => {
    await pause(Math.random() * 300)
    cluster.stop('immediate')
    await pause(Math.random() * 300)
    cluster.start()
  })
  const hour = 3_600_000
  const jumps = [-24 * hour, 366 * 24 * hour, -3 * 366 * 24 * hour, hour, 0]
  await under('clock jumps over a restart', jumps.length, cluster, service, async (i) => {
    await service.kill('SIGTERM')
    await service.start(jumps[i])
  })
  await service.kill('SIGTERM')
  cluster.stop('fast')

  const disk = smallDisk()
  if (disk) {
    const full = await serviceOver(join(disk, 'pg'))
    let refusals = 0
    await under('full disk', 1, full.cluster, full.service, async (_i, load) => {
      const { bsize, bavail } = statfsSync(disk)
      spawnSync('dd', ['if=/dev/zero', `of=${disk}/ballast`, `bs=${bsize}`, `count=${bavail}`, 'status=none'])
      await pause(4000)
      const before = load.acknowledged.length
      await pause(2000)
      if (load.acknowledged.length === before) refusals++
      rmSync(`${disk}/ballast`)
      // PostgreSQL itself stops where it cannot write its log ahead: whoever runs it starts it again
      if (!full.cluster.runs()) full.cluster.start()
    })
    table.at(-1)!.note += refusals ? ' nothing taken while full' : ' it went on within its reserve'
    await full.service.kill('SIGTERM')
    full.cluster.stop('fast')
    spawnSync('umount', [disk])
  } else console.log('full disk: skipped, only root may mount a small one')
  await setUp()
} finally {
  rmSync(folder, { recursive: true, force: true })
}
console.table(table)
process.exit(table.some((row) => row.lost || row.doubled || row.stuck || row['server died']) ? 1 : 0)
