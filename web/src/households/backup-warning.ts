import type { BackupState } from '@vadose/contract/backup'
import { say } from './say'

const dayMs = 86_400_000
/** Days without a backup that nobody should sleep through. */
const mostDays = 3

/** What to say of backups that are not made; undefined where all is well, or nothing is backed up here. */
export function backupWarning({ folder, last, failed }: BackupState, nowMs = Date.now()): string | undefined {
  if (folder === null) return undefined
  const days = last ? Math.floor((nowMs - Date.parse(last.at)) / dayMs) : undefined
  if (days !== undefined && days >= mostDays) {
    return say('noBackupForDaysBack', { days, failed: failed ? ` ${failed}` : '' })
  }
  return failed ? say('theLastBackupFailed', { failed }) : undefined
}
