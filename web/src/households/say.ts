import households from '@vadose/words/screens/households.json'
import { speaker } from '../voice'

export const say = speaker(households)
