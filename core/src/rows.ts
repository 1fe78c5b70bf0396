/** Bytes of memory asked for at once for rows of figures. */
const slabBytes = 256 * 1024
interface Slab {
  memory: ArrayBuffer
  taken: number
}
/** what is kept, and what is thrown away again soon: a slab stays as long as any row in it */
const kept: Slab = { memory: new ArrayBuffer(0), taken: 0 }
const soonGone: Slab = { memory: new ArrayBuffer(0), taken: 0 }

/**
 * Figures, all noughts, side by side with others in one piece of memory. With each piece of its own V8 may mark some
 * milliseconds of its heap before it goes on, and a household has thousands of rows. Their buffer is nobody's to hand over.
 */
export const floats = (length: number): Float64Array => rowIn(kept, length)
/** The same for what nobody keeps. */
export const passingFloats = (length: number): Float64Array => rowIn(soonGone, length)

function rowIn(slab: Slab, length: number): Float64Array {
  const bytes = length * Float64Array.BYTES_PER_ELEMENT
  if (bytes > slabBytes / 4) return new Float64Array(length)
  if (slab.taken + bytes > slab.memory.byteLength) {
    slab.memory = new ArrayBuffer(slabBytes)
    slab.taken = 0
  }
  const row = new Float64Array(slab.memory, slab.taken, length)
  slab.taken += bytes
  return row
}

/** Figures by their place in the row. */
export function floatsOf(length: number, of: (i: number) => number): Float64Array {
  const row = floats(length)
  for (let i = 0; i < length; i++) row[i] = of(i)
  return row
}

/** Rows of figures, all noughts, in one piece of memory. */
export function rowsOf(rows: number, length: number, take: (length: number) => Float64Array = floats): Float64Array[] {
  const all = take(rows * length)
  return Array.from({ length: rows }, (_, i) => all.subarray(i * length, (i + 1) * length))
}
