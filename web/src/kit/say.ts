import { kit } from '@vadose/words/screens/kit'
import { speaker } from '../voice'

export const say = speaker(kit)
