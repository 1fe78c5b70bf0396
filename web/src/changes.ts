import { airViews, lotViews } from '@vadose/contract/households'
import { householdHere, readRevision, writtenRevision } from './call'
import { answers } from './view'

/** Tried again after so long, ms; new air is worked in a moment after it came; a page has its first answers by then. */
const againMs = 4000
const airTakesMs = 1500
const settlesMs = 2000

const anew = (names: readonly string[]) =>
  void answers.invalidateQueries({ predicate: (query) => names.includes(String(query.queryKey[0])) })

/** Keeps what the page shows as it is now, whoever changes it: another page, another phone, a sensor. */
export function watchChanges(): void {
  if (!householdHere) return
  let air = -1
  let told = -1
  const open = () => {
    const socket = new WebSocket(`${location.origin.replace(/^http/, 'ws')}/api/households/${householdHere}/changes`)
    socket.addEventListener('message', ({ data }) => {
      const { revision, airRevision } = JSON.parse(String(data)) as { revision: number; airRevision: number }
      // what this page wrote itself it shows already
      if (told >= 0 && revision > Math.max(told, writtenRevision())) anew(lotViews)
      // what came between the page's first answers and this line is made up for once they are there
      if (told < 0) setTimeout(() => revision > readRevision() && anew(lotViews), settlesMs)
      told = Math.max(told, revision)
      if (air >= 0 && airRevision > air) {
        anew(airViews)
        setTimeout(() => anew(airViews), airTakesMs)
      }
      air = airRevision
    })
    socket.addEventListener('close', () => setTimeout(open, againMs))
  }
  open()
}
