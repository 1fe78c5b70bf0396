import { round } from '@vadose/words/screens/round'
import { speaker } from '../voice'

export const say = speaker(round)
