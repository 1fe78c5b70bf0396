import line from '@vadose/words/screens/line.json'
import { speaker } from '../voice'

export const say = speaker(line)
