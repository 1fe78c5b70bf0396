import { addBedEntry, strikeBedEntry, type NewBedEntry, type StandView } from '@vadose/contract/beds'
import type { Content } from '../call'
import { useAttempt } from '../households'
import { write } from '../view'

/** What a look is at. */
export type AtBed = Pick<StandView, 'crop' | 'variety' | 'bed' | 'growsIn'>
/** What was seen or done there. */
export type Seen = Pick<Content<NewBedEntry>, 'what' | 'value' | 'pieces' | 'on'>

/** Writes down what was seen at a bed; keeps the refusal for the form to show. */
export function useWriteDown() {
  const { attempt, failure, busy } = useAttempt()
  const writeDown = ({ crop, variety, bed, growsIn }: AtBed, seen: Seen) =>
    attempt(() => write(addBedEntry, { body: { crop, bed, growsIn, ...(variety ? { variety } : {}), ...seen } }))
  const strike = (id: string) => attempt(() => write(strikeBedEntry, { params: { id }, body: { struck: true } }))
  return { writeDown, strike, failure, busy }
}
