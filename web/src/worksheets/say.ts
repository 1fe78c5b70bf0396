import worksheets from '@vadose/words/screens/worksheets.json'
import { speaker } from '../voice'

export const say = speaker(worksheets)
