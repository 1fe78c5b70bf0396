/**
 * Stands in for the colour arithmetic that Element Plus' button brings along for its `color`, 8 kB of the first page:
 * here a button takes its colours from the theme.
 */
export class TinyColor {
  constructor() {
    throw new Error('A button takes its colours from the theme, not from `color`.')
  }
}
