import year from '@vadose/words/screens/year.json'
import { speaker } from '../voice'

export const say = speaker(year)
