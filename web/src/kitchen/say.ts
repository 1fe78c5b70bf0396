import kitchen from '@vadose/words/screens/kitchen.json'
import { speaker } from '../voice'

export const say = speaker(kitchen)
