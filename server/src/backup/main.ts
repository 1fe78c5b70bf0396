import { dirname, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { readConfig, SettingError } from '../config'
import { migrate } from '../migrate'
import { makeBackup, restoreBackup } from './backup'

const size = (bytes: number) => (bytes < 1e6 ? `${Math.ceil(bytes / 1e3)} kB` : `${(bytes / 1e6).toFixed(1)} MB`)

/** `backup.js make FILE`, `backup.js restore FILE`. */
async function main([what, path]: string[]): Promise<void> {
  const root = resolve(dirname(fileURLToPath(import.meta.url)), '../..')
  const { ownerUrl, migrations, pgBin: bin } = readConfig(process.env, root)
  const cluster = { ownerUrl, migrations, bin }
  if (what === 'make' && path) {
    await migrate(ownerUrl, migrations)
    const { households, bytes, rows } = await makeBackup(cluster, path)
    const names = households.length > 0 ? households.join(', ') : 'no household yet'
    console.log(
      `${path}: ${names}; ${rows['lots']} lots, ${rows['readings']} readings, ${size(bytes)}. It was read back and is whole.`,
    )
  } else if (what === 'restore' && path) {
    const { header, aside } = await restoreBackup(cluster, path)
    console.log(
      `Restored ${header.households.join(', ') || 'no household'} as of ${header.madeAt}. What was there before is kept in the database ${aside}.`,
    )
  } else throw new SettingError('Usage: backup.js make FILE, or backup.js restore FILE.')
}

main(process.argv.slice(2)).catch((error: unknown) => {
  console.error(error instanceof SettingError ? error.message : error)
  process.exit(1)
})
