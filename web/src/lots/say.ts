import { lots } from '@vadose/words/screens/lots'
import { speaker } from '../voice'

export const say = speaker(lots)
