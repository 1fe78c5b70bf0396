import { places } from '@vadose/words/screens/places'
import { speaker } from '../voice'

export const say = speaker(places)
