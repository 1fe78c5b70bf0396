import { Refusal } from '@vadose/core/refusal'

const largestBytes = 400_000
const notAPicture = () => new Refusal('invalid', 'That is no JPEG picture.', 'photo')

/**
 * A JPEG with everything taken out that is not the picture: a camera writes place, time and owner into the application
 * and comment segments.
 * @throws Refusal `invalid` for what is no JPEG, `too-large` past 400 kB
 * @source ITU-T T.81, annex B: markers and segment lengths
 */
export function strippedJpeg(data: Buffer): Buffer {
  if (data.length > largestBytes) throw new Refusal('too-large', 'The picture is too large; 400 kB is plenty.', 'photo')
  if (data.length < 4 || data.readUInt16BE(0) !== 0xffd8) throw notAPicture()
  const kept: Buffer[] = [data.subarray(0, 2)]
  let at = 2
  while (at + 4 <= data.length) {
    const marker = data.readUInt16BE(at)
    if (marker >> 8 !== 0xff) throw notAPicture()
    const length = data.readUInt16BE(at + 2)
    const end = at + 2 + length
    if (length < 2 || end > data.length) throw notAPicture()
    const application = marker >= 0xffe1 && marker <= 0xffef
    if (!application && marker !== 0xfffe) kept.push(data.subarray(at, end))
    at = end
    // start of scan: the picture itself, up to its end marker; what follows that is not the picture
    if (marker === 0xffda) {
      const close = data.lastIndexOf(Buffer.from([0xff, 0xd9]))
      if (close < at) throw notAPicture()
      kept.push(data.subarray(at, close + 2))
      return Buffer.concat(kept)
    }
  }
  throw notAPicture()
}
