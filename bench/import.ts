import { randomUUID } from 'node:crypto'
import { pipeline } from 'node:stream/promises'
import { Readable } from 'node:stream'
import { performance } from 'node:perf_hooks'
import { fileURLToPath } from 'node:url'
import pg from 'pg'
import { from as copyFrom } from 'pg-copy-streams'
import { guessMapping, readHead, readLoggerFile } from '@vadose/core/readings'
import { loggerYear } from '../e2e/logger-year'
import { inTransaction, openPool } from '../server/src/database'
import { migrate } from '../server/src/migrate'
import { addReadings } from '../server/src/readings'
import { inTurn } from './rounds'

/** A year of five-minute readings: text to rows in the table, against COPY of the same rows into the same table. */
const admin = process.env['TEST_DATABASE_URL']!
const name = `vadose_bench_${randomUUID().replaceAll('-', '')}`
const run = async (url: string, sql: string) => {
  const client = new pg.Client({ connectionString: url })
  await client.connect()
  await client.query(sql)
  await client.end()
}
await run(admin, `create database ${name}`)
const url = new URL(admin)
url.pathname = `/${name}`
await migrate(url.href, fileURLToPath(new URL('../migrations', import.meta.url)))
const id = randomUUID()
const placeId = randomUUID()
await run(
  url.href,
  `insert into households (id, name, time_zone, latitude_deg, altitude_m, season_start) values ('${id}', 'Bench', 'Europe/Vienna', 47, 400, '05-01');
   insert into places (household_id, id, name, kind, walk) values ('${id}', '${placeId}', 'Cellar', 'cellar', 1);
   select ensure_readings_months('2025-08-31', '2026-09-02')`,
)
const text = loggerYear()
const read = () => readLoggerFile(text, guessMapping(readHead(text), 'Europe/Vienna'))
const rows = read()
const pool = openPool(url.href)
const plain = new pg.Client({ connectionString: url.href })
await plain.connect()
await plain.query('select set_config($1, $2, false)', ['app.household_id', id])
const lines = rows.at.map(
  (at, i) =>
    `${id}\t${placeId}\t${new Date(at * 1000).toISOString()}\t${rows.temperatureC[i]}\t${rows.relativeHumidityPct[i]}\timport\n`,
)
const body = lines.join('')
const empty = () => plain.query('truncate readings')

async function copy() {
  await empty()
  const began = performance.now()
  await pipeline(
    Readable.from([body]),
    plain.query(
      copyFrom('copy readings (household_id, place_id, at, temperature_c, relative_humidity_pct, source) from stdin'),
    ),
  )
  return performance.now() - began
}
async function importFile() {
  await empty()
  const began = performance.now()
  const file = read()
  const added = await inTransaction(pool, id, (db) => addReadings(db, id, 'import', { placeId, ...file }))
  if (added !== rows.at.length) throw new Error(`${added} of ${rows.at.length} rows were added`)
  return performance.now() - began
}
const { a: copied, b: imported, ratio, spread } = await inTurn(copy, importFile, 5)
const rate = (ms: number) => `${Math.round(rows.at.length / (ms / 1000)).toLocaleString('en')} rows/s`
console.log(
  `import: ${rows.at.length.toLocaleString('en')} readings from text to table ${Math.round(imported)} ms (${rate(imported)}), COPY of the same rows ${Math.round(copied)} ms (${rate(copied)}), ratio ${ratio.toFixed(2)} (${spread.map((s) => s.toFixed(2)).join('–')}), aim ≥ 0.4`,
)
await plain.end()
await pool.end()
await run(admin, `drop database ${name} with (force)`)
