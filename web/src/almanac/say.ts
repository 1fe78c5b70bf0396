import { almanac } from '@vadose/words/screens/almanac'
import { speaker } from '../voice'

export const say = speaker(almanac)
