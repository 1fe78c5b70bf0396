import count from '@vadose/words/screens/count.json'
import { speaker } from '../voice'

export const say = speaker(count)
