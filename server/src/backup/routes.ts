import { makeBackup, readBackups } from '@vadose/contract/backup'
import { told } from '@vadose/core/message'
import { Refusal } from '@vadose/core/refusal'
import { SettingError } from '../config'
import type { Server } from '../serve'
import type { Keeper } from './keeper'

/** @param keeper undefined where nothing is backed up by itself: the demo, and a database that somebody else keeps */
export function serveBackup(server: Server, keeper: Keeper | undefined): void {
  const state = async () => (await keeper?.state()) ?? { folder: null, last: null, failed: null }
  server.anyone(readBackups, state)

  server.anyone(makeBackup, async () => {
    if (!keeper) throw new Refusal('no-backup', told('backup.noneHere'))
    try {
      await keeper.make()
    } catch (error) {
      throw error instanceof SettingError
        ? new Refusal('no-backup', told('backup.failed', { why: error.message }))
        : error
    }
    return state()
  })
}
