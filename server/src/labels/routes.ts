import { readLabels, readTag } from '@vadose/contract/labels'
import { cropIn, type House, type LotState } from '@vadose/core/forecast'
import { told } from '@vadose/core/message'
import { Refusal } from '@vadose/core/refusal'
import { codeIn, lotByCode, lotRow } from '../lots'
import type { Server } from '../serve'
import type { Visit } from '../visit'
import { labelSheets, type LabelSheetId } from '@vadose/contract/label-sheets'
import { labelsPdf } from './labels'
import { tagSvg, tagWords, type TagForm } from './tag'

/** A season's lots fit in one go. */
const mostLabels = 200

/** Where a lot's page is: the household's own address, so that a tag says whose it is. */
const addressOf = (visit: Visit, code: string) => `http://${visit.host}/${visit.household.address}/lots/${code}`

const formOnTag = (house: House, { grown, history: { pack, frozen, made, named } }: LotState): TagForm => ({
  ...(pack ? { pack } : {}),
  ...(made
    ? {
        made: {
          form: made.form,
          on: house.dateOf(made.atMs),
          prepared: made.prepared,
          recipe: made.recipe,
          // the dish has a name of its own: of which crop most of it is
          from: named && grown.id !== 'pantry' ? grown.name.toLowerCase() : '',
        },
      }
    : {}),
  ...(frozen ? { frozen: { on: house.dateOf(frozen.atMs), prepared: frozen.prepared } } : {}),
})

export function serveLabels(server: Server): void {
  server.household(readTag, async (visit, { params }, response) => {
    const code = codeIn(params.code)
    const house = await visit.house()
    const lot = await visit.read((db) => lotByCode(db, visit.id, code))
    if (!lot) throw new Refusal('not-found', told('lots.noLot', { code }))
    const here = house.lot(code)
    const crop = here?.cropData ?? cropIn(house.almanac, lot.crop)
    const svg = tagSvg(crop, lot, visit.household, addressOf(visit, code), here ? formOnTag(house, here) : {})
    return response.type('image/svg+xml').send(svg)
  })

  server.household(readLabels, async (visit, { query }, response) => {
    const codes = [...new Set((query.lots ?? '').toUpperCase().split(',').filter(Boolean))]
    if (codes.length === 0) throw new Refusal('invalid', told('labels.whichLots'), 'lots')
    if (codes.length > mostLabels) throw new Refusal('too-large', told('labels.tooMany', { mostLabels }), 'lots')
    const sheet = query.sheet ?? 'a4-21'
    if (!Object.hasOwn(labelSheets, sheet)) {
      throw new Refusal(
        'invalid',
        told('labels.noSheet', { sheet, known: Object.keys(labelSheets).join(', ') }),
        'sheet',
      )
    }
    const { columns, rows } = labelSheets[sheet as LabelSheetId]
    const skip = Number(query.skip ?? 0)
    if (!Number.isInteger(skip) || skip < 0 || skip >= columns * rows) {
      throw new Refusal('invalid', told('labels.skipBetween', { most: columns * rows - 1 }), 'skip')
    }
    const house = await visit.house()
    const labels = codes.map((code) => {
      const lot = house.lot(code)
      if (!lot) throw new Refusal('not-found', told('labels.lotGone', { code }), 'lots')
      return {
        words: tagWords(lot.cropData, lotRow(house, lot), visit.household, formOnTag(house, lot)),
        address: addressOf(visit, code),
      }
    })
    return response
      .type('application/pdf')
      .set('Content-Disposition', `inline; filename="labels-${codes[0]}.pdf"`)
      .send(await labelsPdf(labels, sheet as LabelSheetId, skip))
  })
}
