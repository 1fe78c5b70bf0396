import { endpoint } from './endpoint'
import { closed, instant, nullable, number, words, type Static } from './shapes'

export const backupState = closed({
  /** where they are kept; null where nothing is backed up by itself */
  folder: nullable(words),
  /** the newest that was made and read back */
  last: nullable(closed({ at: instant, bytes: number })),
  /** why the last attempt failed */
  failed: nullable(words),
})
export type BackupState = Static<typeof backupState>

export const readBackups = endpoint('backups', {
  method: 'GET',
  path: '/backups',
  says: 'The last good backup of everything on this server.',
  answer: backupState,
})

export const makeBackup = endpoint('make-backup', {
  method: 'POST',
  path: '/backups',
  says: 'Makes a backup now, and reads it back.',
  answer: backupState,
  stale: ['backups'],
})
