import { moreFacts } from './facts/more'
import { refusals } from './refusals'
import type { Tables } from './said'

/** What a page does not begin with. */
export const more: readonly Tables[] = [moreFacts, refusals]
