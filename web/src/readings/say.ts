import readings from '@vadose/words/screens/readings.json'
import { speaker } from '../voice'

export const say = speaker(readings)
