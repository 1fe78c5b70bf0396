import stores from '@vadose/words/screens/stores.json'
import { speaker } from '../voice'

export const say = speaker(stores)
