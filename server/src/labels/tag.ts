import { term, told, type Message } from '@vadose/core/message'
import type { Crop, Form } from '@vadose/core/almanac'
import { weightWords } from '@vadose/core/households'
import { retell, type Voice, said } from '@vadose/words'
import QRCode from 'qrcode'
import type { LotRow } from '@vadose/contract/lots'
import { escape, lettered } from './lettering'

/** The dark modules of a QR code as one SVG path, `size` units wide, error level M. */
export function qrPath(text: string, size: number): string {
  const { modules } = QRCode.create(text, { errorCorrectionLevel: 'M' })
  const unit = size / modules.size
  const marks: string[] = []
  for (let y = 0; y < modules.size; y++) {
    for (let x = 0; x < modules.size; x++) {
      if (modules.get(x, y)) {
        const px = (n: number) => Number((n * unit).toFixed(3))
        marks.push(`M${px(x)} ${px(y)}h${px(1)}v${px(1)}h-${px(1)}z`)
      }
    }
  }
  return marks.join('')
}

/** What stands on a tag or label, in the household's words. */
export interface TagWords {
  code: string
  name: string
  what: string
  date: string
  amount: string
  /** how it is prepared or packed, where it is */
  form: string
}

/** What was done to it before it was put by. */
export interface TagForm {
  pack?: string | undefined
  frozen?: { on: string; prepared: string } | undefined
  /** made into something: “jarred”, on that day, how, by which recipe */
  made?: { form: Form; on: string; prepared: string; recipe?: string | undefined; from: string } | undefined
}

/** The household's units and English. */
export type TagVoice = Pick<Voice, 'units' | 'language'>

/** @param crop in the form the lot is in */
export function tagWords(
  crop: Crop,
  lot: LotRow,
  { units, language }: TagVoice,
  { pack, frozen, made }: TagForm = {},
): TagWords {
  const voice = { language, units }
  const say = (message: Message) => said(message, voice)
  const word = (text: string) => retell(text, language)
  const heap = crop.heaps.find((h) => h.id === lot.heap)?.label ?? lot.heap
  const piece = lot.pieces === 1 ? crop.piece.one : crop.piece.many
  const heavy = told('labels.weight', {
    about: lot.guessed.weight ? 'yes' : 'no',
    weight: weightWords(lot.weightG, units),
  })
  return {
    code: lot.code,
    // a name somebody gave it is theirs
    name: lot.name ? crop.name : word(crop.name),
    // how it was prepared matters more on a bag than that it was sound
    what: made
      ? [made.prepared || made.recipe, lot.size, made.from].filter(Boolean).join(' · ')
      : [lot.variety, frozen ? frozen.prepared.split(',')[0] : word(heap)].filter(Boolean).join(' · '),
    date: say(
      told('labels.done', {
        what: made ? made.form : frozen ? 'frozen' : lot.source,
        on: made?.on ?? frozen?.on ?? lot.broughtOn,
      }),
    ),
    amount: say(
      lot.pieces === null
        ? heavy
        : told('labels.amount', {
            about: lot.guessed.pieces ? 'yes' : 'no',
            pieces: lot.pieces,
            piece: term(piece),
            weight: heavy,
          }),
    ),
    form:
      lot.stage === 'stored'
        ? word(crop.packs.find((p) => p.id === pack)?.label ?? '')
        : say(told('labels.stage', { stage: lot.stage, heals: crop.curing?.clock === 'healing' ? 'yes' : 'no' })),
  }
}

/**
 * A tag to tie on: code, crop, heap, date, quantity and the QR of the lot's address; 80 × 50 mm, black on white. What is
 * lettered on it can be read as its description.
 */
export function tagSvg(crop: Crop, lot: LotRow, voice: TagVoice, address: string, form: TagForm = {}): string {
  const { name, what, date, amount } = tagWords(crop, lot, voice, form)
  const lines = [name, what, date, amount]
  const lettering = lines.map((line, i) => {
    const [size, style] = i === 0 ? ([4.2, '700Bold'] as const) : ([3.4, '400Regular'] as const)
    return lettered(line, { x: 6, y: 22 + i * 6, size, least: 2.5, room: 38, style })
  })
  return `<svg xmlns="http://www.w3.org/2000/svg" width="80mm" height="50mm" viewBox="0 0 80 50" role="img" aria-label="${escape(said(told('labels.tagOf', { code: lot.code }), voice))}">
<desc>${escape(lines.filter(Boolean).join('\n'))}</desc>
<rect x="0" y="0" width="80" height="50" fill="#ffffff"/>
<path d="M6 2.5h68a3.5 3.5 0 0 1 3.5 3.5v38a3.5 3.5 0 0 1-3.5 3.5H6A3.5 3.5 0 0 1 2.5 44V6A3.5 3.5 0 0 1 6 2.5z" fill="none" stroke="#000000" stroke-width="0.4"/>
<circle cx="7.5" cy="7.5" r="2" fill="none" stroke="#000000" stroke-width="0.4"/>
${lettered(lot.code, { x: 12, y: 13, size: 9, least: 5, room: 62, style: '700Bold' })}
${lettering.join('\n')}
<path transform="translate(48 12)" d="${qrPath(address, 26)}" fill="#000000"/>
</svg>`
}
