import beds from '@vadose/words/screens/beds.json'
import { speaker } from '../voice'

export const say = speaker(beds)
