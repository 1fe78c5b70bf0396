import larder from '@vadose/words/screens/larder.json'
import { speaker } from '../voice'

export const say = speaker(larder)
