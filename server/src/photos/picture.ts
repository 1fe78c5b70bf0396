import { told, type Message } from '@vadose/core/message'
import { Refusal } from '@vadose/core/refusal'
import sharp from 'sharp'

/** Long side of a kept picture, px. */
const longestPx = 1600
/** A picture of more than this is none that a camera took; its size is read before anything of it is. */
const mostPixels = 60_000_000
/** What the database keeps of one picture, bytes; reached by a lower quality. */
const largestBytes = 1_400_000
const qualities = [82, 70, 55, 40]
const taken = new Set(['jpeg', 'png', 'webp'])

const refuse = (message: Message) => new Refusal('invalid', message, 'photo')

/** HEIF files name their brand behind `ftyp`. @source ISO/IEC 14496-12, 4.3; 23008-12 */
const isHeif = (data: Buffer): boolean =>
  data.toString('latin1', 4, 8) === 'ftyp' &&
  /^(heic|heix|hevc|heim|heis|mif1|msf1)$/.test(data.toString('latin1', 8, 12))

/**
 * A picture made anew: upright, at most 1600 px long, as JPEG, without anything else the camera wrote into its file.
 * @throws Refusal `invalid` for what is no such picture
 */
export async function pictureOf(data: Buffer): Promise<Buffer> {
  if (isHeif(data)) {
    throw refuse(told('photos.heic'))
  }
  try {
    const picture = sharp(data, { limitInputPixels: mostPixels, failOn: 'error', sequentialRead: true })
    const { format } = await picture.metadata()
    if (!taken.has(format)) throw refuse(told('photos.whatAPictureIs'))
    const small = picture
      .rotate()
      .resize(longestPx, longestPx, { fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#fff' })
    for (const quality of qualities) {
      const jpeg = await small.clone().jpeg({ quality, mozjpeg: true }).toBuffer()
      if (jpeg.length <= largestBytes) return jpeg
    }
  } catch (error) {
    if (error instanceof Refusal) throw error
    throw refuse(/pixel limit/i.test(String(error)) ? told('photos.tooManyPixels') : told('photos.noPicture'))
  }
  throw refuse(told('photos.tooLarge'))
}
