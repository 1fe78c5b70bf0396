import { stores } from '@vadose/words/screens/stores'
import { speaker } from '../voice'

export const say = speaker(stores)
