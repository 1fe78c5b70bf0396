import { airViews, lotViews } from '@vadose/contract/households'
import { householdHere, seenRevision } from './call'
import { answers } from './view'

/** Tried again after so long, ms; new air is worked in a moment after it came. */
const againMs = 4000
const airTakesMs = 1500

const anew = (names: readonly string[]) =>
  void answers.invalidateQueries({ predicate: (query) => names.includes(String(query.queryKey[0])) })

/** Keeps what the page shows as it is now, whoever changes it: another page, another phone, a sensor. */
export function watchChanges(): void {
  if (!householdHere) return
  let air = -1
  const open = () => {
    const socket = new WebSocket(`${location.origin.replace(/^http/, 'ws')}/api/households/${householdHere}/changes`)
    socket.addEventListener('message', ({ data }) => {
      const { revision, airRevision } = JSON.parse(String(data)) as { revision: number; airRevision: number }
      // what this page wrote itself, or has read since, it shows already
      if (revision > seenRevision()) anew(lotViews)
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
