import charts from '@vadose/words/screens/charts.json'
import { speaker } from '../voice'

export const say = speaker(charts)
