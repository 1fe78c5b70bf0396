import lots from '@vadose/words/screens/lots.json'
import { speaker } from '../voice'

export const say = speaker(lots)
