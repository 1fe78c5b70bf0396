import page from '@vadose/words/screens/page.json'
import { speaker } from './voice'

export const say = speaker(page)
