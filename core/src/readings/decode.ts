const utf16le = [0xff, 0xfe]
const utf16be = [0xfe, 0xff]

const begins = (bytes: Uint8Array, mark: number[]) => mark.every((byte, i) => bytes[i] === byte)
/** Plain letters and figures in two bytes each: every other byte is nothing. */
const inPairs = (bytes: Uint8Array) => {
  const start = bytes.subarray(0, 64)
  return start.length >= 8 && start.every((byte, i) => i % 2 === 0 || byte === 0)
}

/**
 * A logger file's bytes as text: UTF-8, UTF-16 as some Windows programs write it, or else Windows-1252, in which the
 * degree sign of older ones stands.
 * @param bytes the file, or its beginning: a letter cut in two at the end is left out
 */
export function decodeText(bytes: Uint8Array): string {
  if (begins(bytes, utf16be)) return new TextDecoder('utf-16be').decode(bytes, { stream: true })
  if (begins(bytes, utf16le) || inPairs(bytes)) return new TextDecoder('utf-16le').decode(bytes, { stream: true })
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes, { stream: true })
  } catch {
    return new TextDecoder('windows-1252').decode(bytes)
  }
}
