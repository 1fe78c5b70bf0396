import { kitchen } from '@vadose/words/screens/kitchen'
import { speaker } from '../voice'

export const say = speaker(kitchen)
