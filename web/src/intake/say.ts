import intake from '@vadose/words/screens/intake.json'
import { speaker } from '../voice'

export const say = speaker(intake)
