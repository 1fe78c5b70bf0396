/** Work made in pieces, so that whoever must not be kept long may do something else in between. */
export type Pieces<T = void> = Generator<void, T>

/** One piece after the other, to the end. */
export function allOf<T>(pieces: Pieces<T>): T {
  for (;;) {
    const { done, value } = pieces.next()
    if (done) return value
  }
}
