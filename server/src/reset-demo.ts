import { dirname, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { SettingError, readConfig } from './config'
import { openPool } from './database'
import { ensureDemo, removeDemo } from './demo'
import { migrate } from './migrate'

/** `./vadose reset-demo`: Quarry House as it was on the first day; other households stay. */
async function main(): Promise<void> {
  const config = readConfig(process.env, resolve(dirname(fileURLToPath(import.meta.url)), '../..'))
  await migrate(config.ownerUrl, config.migrations)
  const pool = openPool(config.databaseUrl)
  try {
    await removeDemo(pool)
    await ensureDemo(pool, (line) => console.log(line))
  } finally {
    await pool.end()
  }
}

main().catch((error: unknown) => {
  console.error(error instanceof SettingError ? error.message : error)
  process.exit(1)
})
