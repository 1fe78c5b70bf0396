/**
 * Rows of figures, all noughts, in one piece of memory. With each piece of its own V8 may mark some milliseconds of its
 * heap before it goes on, and a household has thousands of rows.
 */
export function rowsOf(rows: number, length: number): Float64Array[] {
  const all = new Float64Array(rows * length)
  return Array.from({ length: rows }, (_, i) => all.subarray(i * length, (i + 1) * length))
}
