import { checks } from '@vadose/words/screens/checks'
import { speaker } from '../voice'

export const say = speaker(checks)
