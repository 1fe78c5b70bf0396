import { year } from '@vadose/words/screens/year'
import { speaker } from '../voice'

export const say = speaker(year)
