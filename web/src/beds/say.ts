import { beds } from '@vadose/words/screens/beds'
import { speaker } from '../voice'

export const say = speaker(beds)
