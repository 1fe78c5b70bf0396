import checks from '@vadose/words/screens/checks.json'
import { speaker } from '../voice'

export const say = speaker(checks)
