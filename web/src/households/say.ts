import { households } from '@vadose/words/screens/households'
import { speaker } from '../voice'

export const say = speaker(households)
