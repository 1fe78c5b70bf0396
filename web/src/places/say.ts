import places from '@vadose/words/screens/places.json'
import { speaker } from '../voice'

export const say = speaker(places)
