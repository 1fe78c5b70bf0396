import { count } from '@vadose/words/screens/count'
import { speaker } from '../voice'

export const say = speaker(count)
