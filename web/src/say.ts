import { page } from '@vadose/words/screens/page'
import { speaker } from './voice'

export const say = speaker(page)
