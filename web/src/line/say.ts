import { line } from '@vadose/words/screens/line'
import { speaker } from '../voice'

export const say = speaker(line)
