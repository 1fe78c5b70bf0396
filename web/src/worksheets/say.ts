import { worksheets } from '@vadose/words/screens/worksheets'
import { speaker } from '../voice'

export const say = speaker(worksheets)
