import almanac from '@vadose/words/screens/almanac.json'
import { speaker } from '../voice'

export const say = speaker(almanac)
