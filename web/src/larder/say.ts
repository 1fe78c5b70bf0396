import { larder } from '@vadose/words/screens/larder'
import { speaker } from '../voice'

export const say = speaker(larder)
