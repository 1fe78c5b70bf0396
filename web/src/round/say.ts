import round from '@vadose/words/screens/round.json'
import { speaker } from '../voice'

export const say = speaker(round)
