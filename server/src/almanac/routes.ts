import {
  choiceSchema,
  overrideSchema,
  ownCropSchema,
  type Choice,
  type Override,
  type OwnCrop,
} from '@vadose/contract/almanac'
import { cropFileById, cropFiles, cropSchema, settables, withOverrides, type CropData } from '@vadose/core/almanac'
import { Refusal } from '@vadose/core/refusal'
import { Router } from 'express'
import { asHousehold, inTransaction, type Client, type Pool } from '../database'
import { currentId } from '../households'
import { checker } from '../http'
import { almanacOf, changesOf, cropIn } from './household-almanac'
import { addOwnCrop, clearOverride, cropInUse, ownCropsOf, removeOwnCrop, setChoice, setOverride } from './queries'

const checkOverride = checker<Override>(overrideSchema)
const checkChoice = checker<Choice>(choiceSchema)
const checkOwn = checker<OwnCrop>(ownCropSchema)
const checkFile = checker<CropData>(cropSchema)

const mostOwnCrops = 200

export function almanacRoutes(pool: Pool): Router {
  const router = Router()

  router.get('/almanac', async (request, response) => {
    const id = await currentId(pool, request)
    response.json(await asHousehold(pool, id, (db) => changesOf(db, id)))
  })

  router.put('/almanac/override', async (request, response) => {
    const { crop, path, value, why = '' } = checkOverride(request.body)
    const id = await currentId(pool, request)
    response.json(
      await inTransaction(pool, id, async (db) => {
        const file = await fileOf(db, id, crop)
        if (!settables(file).some((s) => s.path === path)) {
          throw new Refusal('invalid', `${file.name} has no number at ${path}.`, 'path')
        }
        if (value === null) await clearOverride(db, id, crop, path)
        else {
          // the whole file must still hold with the number in it
          const number = value as number | [number, number]
          checkFileValue(withOverrides(file, [{ crop, path, value: number, why }]), file.name)
          await setOverride(db, id, { crop, path, value: number, why: why.trim() })
        }
        return changesOf(db, id)
      }),
    )
  })

  router.put('/almanac/choice', async (request, response) => {
    const { crop, topic, choice } = checkChoice(request.body)
    const id = await currentId(pool, request)
    response.json(
      await inTransaction(pool, id, async (db) => {
        const found = cropIn(await almanacOf(db, id), crop).schools.find((s) => s.topic === topic)
        if (!found) throw new Refusal('invalid', `There is no question “${topic}” for this crop.`, 'topic')
        if (!found.choices.some((c) => c.id === choice)) {
          throw new Refusal(
            'invalid',
            `“${choice}” is none of the schools: ${found.choices.map((c) => c.id).join(', ')}.`,
            'choice',
          )
        }
        await setChoice(db, id, crop, topic, choice)
        return changesOf(db, id)
      }),
    )
  })

  router.post('/almanac/crops', async (request, response) => {
    const wanted = checkOwn(request.body)
    const id = await currentId(pool, request)
    response.status(201).json(
      await inTransaction(pool, id, async (db) => {
        const own = await ownCropsOf(db, id)
        if (own.length >= mostOwnCrops) throw new Refusal('invalid', `${mostOwnCrops} crops of your own are enough.`)
        const template = await fileOf(db, id, wanted.template)
        const name = wanted.name.trim()
        const taken = new Set([...cropFiles, ...own].map((c) => c.id))
        if ([...cropFiles, ...own].some((c) => c.name.toLowerCase() === name.toLowerCase())) {
          throw new Refusal('taken', `The almanac has a “${name}” already.`, 'name')
        }
        const data: CropData = {
          ...structuredClone(template),
          id: freeId(name, taken),
          name,
          plural: name.toLowerCase(),
          synonyms: wanted.synonyms ?? [],
        }
        checkFileValue(data, name)
        await addOwnCrop(db, id, data)
        return { id: data.id, changes: await changesOf(db, id) }
      }),
    )
  })

  router.delete('/almanac/crops/:crop', async (request, response) => {
    const id = await currentId(pool, request)
    response.json(
      await inTransaction(pool, id, async (db) => {
        const { crop } = request.params
        if (!(await ownCropsOf(db, id)).some((c) => c.id === crop)) {
          throw new Refusal('not-found', 'There is no such crop of your own.')
        }
        if (await cropInUse(db, id, crop)) {
          throw new Refusal('in-use', 'There are harvests or lots of it; it stays in the almanac.')
        }
        await removeOwnCrop(db, id, crop)
        return changesOf(db, id)
      }),
    )
  })

  return router
}

async function fileOf(db: Client, householdId: string, crop: string): Promise<CropData> {
  const file = cropFileById(crop) ?? (await ownCropsOf(db, householdId)).find((c) => c.id === crop)
  if (!file) throw new Refusal('unknown-crop', `There is no crop “${crop}”.`, 'crop')
  return file
}

/** The schema's words name a path inside the file; a person wants to hear which number is beyond what can be. */
function checkFileValue(data: CropData, name: string): void {
  // what a household set is one more source
  try {
    checkFile(data)
  } catch (error) {
    if (!(error instanceof Refusal)) throw error
    throw new Refusal('invalid', `${name}: ${error.message}`, 'value')
  }
}

function freeId(name: string, taken: Set<string>): string {
  const base =
    `own-${name}`
      .toLowerCase()
      .normalize('NFKD')
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, 50) || 'own'
  for (let i = 1; ; i++) {
    const id = i === 1 ? base : `${base}-${i}`
    if (!taken.has(id)) return id
  }
}
