import kit from '@vadose/words/screens/kit.json'
import { speaker } from '../voice'

export const say = speaker(kit)
