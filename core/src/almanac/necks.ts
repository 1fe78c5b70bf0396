import type { Neck } from './crop'

export const necks = {
  long: { id: 'long', label: 'long neck', why: 'short-cut necks are said to soften months earlier' },
  short: { id: 'short', label: 'short neck, 3–5 cm', why: 'tidy, packs well' },
} satisfies Record<string, Neck>

export type NeckId = keyof typeof necks
