import { beforeAll } from 'vitest'
import { loadWords } from '../voice'

// as on every page but the first
beforeAll(loadWords)
