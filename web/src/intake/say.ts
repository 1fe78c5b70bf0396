import { intake } from '@vadose/words/screens/intake'
import { speaker } from '../voice'

export const say = speaker(intake)
