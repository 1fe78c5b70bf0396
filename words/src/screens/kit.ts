/** What the screens of kit say, in ICU MessageFormat. */
export const kit = {
  asATable: 'As a table',
} as const
