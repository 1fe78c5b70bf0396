import { readings } from '@vadose/words/screens/readings'
import { speaker } from '../voice'

export const say = speaker(readings)
