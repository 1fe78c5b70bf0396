import lots from './lots.json'

/** What core and server mean, by room. */
export const facts = { lots } as const
