import { execFileSync } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import type { Frame } from '@vadose/contract/households'
import type { LotRow } from '@vadose/contract/lots'
import type { PlaceView } from '@vadose/contract/places'
import ICAL from 'ical.js'
import { describe, expect, it } from 'vitest'
import { practiceFile } from '../testing/fresh'

const at = practiceFile('2026-09-20')
const text = async (path: string) => (await fetch(at.client.address(path))).text()
const household = async () => ((await at.client.get('/frame')).body as Frame).household

describe('the English a household speaks', () => {
  it('is Britain’s until it says otherwise, and nothing but what is known', async () => {
    expect((await household()).language).toBe('en-GB')
    expect((await at.client.put('/settings', { language: 'fr' })).status).toBe(400)
    expect((await household()).language).toBe('en-GB')
    await at.client.put('/settings', { language: 'en-US' })
    expect(await household()).toMatchObject({ language: 'en-US', units: 'metric' })
  })
  it('is on its labels, but not in what people wrote', async () => {
    const { body } = await at.client.post('/harvests', {
      requestId: randomUUID(),
      crop: 'courgette',
      harvestedOn: '2026-09-20',
      variety: 'Autumn Grey',
      totalG: 3000,
      heaps: [{ heap: 'sound', weightG: 3000, pieces: 10, placeId: at.place('Cellar') }],
    })
    const tag = await text(`/lots/${body.lots[0].code}/tag.svg`)
    expect(tag).toContain('Zucchini')
    expect(tag).toContain('Autumn Grey')
    expect(tag).not.toMatch(/courgette/i)
  })
  it('and its units are in its calendar', async () => {
    await at.client.put('/settings', { units: 'us' })
    const { body } = await at.client.post('/harvests', {
      requestId: randomUUID(),
      crop: 'apple-late',
      harvestedOn: '2026-09-20',
      totalG: 3000,
      heaps: [{ heap: 'sound', weightG: 3000, pieces: 20, placeId: at.place('Cellar') }],
    })
    const load = { act: 'load', takenG: 3000, weightG: 2400, trays: 4, airC: 60, placeId: at.place('Kitchen') }
    const loaded = await at.client.post(`/lots/${body.lots[0].code}/acts`, { requestId: randomUUID(), ...load })
    expect(loaded.status).toBe(201)
    const told = new ICAL.Component(ICAL.parse(await text('/exports/jobs.ics')) as object[])
      .getAllSubcomponents('vevent')
      .map((one) => `${new ICAL.Event(one).summary}: ${new ICAL.Event(one).description}`)
    expect(told.join('\n')).toMatch(/Done at [\d.]+ (oz|lb), likely between/)
    expect(told.join('\n')).toMatch(/zucchini/)
    expect(told.join('\n')).not.toMatch(/\d k?g\b|°C|courgette/)
    // scripts read what they always did
    expect(await text('/exports/round.csv')).toMatch(/Done at \d+ g/)
  })
  it('is on its sheets of labels: nothing of a made-up language is plain', async () => {
    await at.client.put('/settings', { language: 'en-XA' })
    const codes = ((await at.client.get('/lots')).body as LotRow[]).map(({ code }) => code)
    const pdf = Buffer.from(await (await fetch(at.client.address(`/labels.pdf?lots=${codes.join(',')}`))).arrayBuffer())
    const shown = execFileSync('pdftotext', ['-layout', '-', '-'], { input: pdf, encoding: 'utf8' })
    expect(shown).toContain(codes[0])
    expect(shown.replaceAll('Autumn Grey', '')).not.toMatch(/[A-Za-z]{4,}/)
    await at.client.put('/settings', { language: 'en-US' })
  })
  it('comes home with it in its file, and is Britain’s where the file is of before there was a choice', async () => {
    const file = JSON.parse(await text('/file')) as { household: { language?: string; name: string } }
    expect(file.household.language).toBe('en-US')
    const brought = async (changed: object) => {
      const { body, status } = await at.client.post('/household-files', {
        ...file,
        household: { ...file.household, ...changed },
      })
      expect(status, JSON.stringify(body)).toBe(201)
      const answer = await fetch(at.client.address(`/households/${body.address}/frame`))
      return ((await answer.json()) as Frame).household.language
    }
    expect(await brought({ name: 'American' })).toBe('en-US')
    expect(await brought({ name: 'Of before', language: undefined })).toBe('en-GB')
  })
  it('names the places a new household begins with', async () => {
    const { body } = await at.served.client().post('/households', {
      name: 'Made up',
      clock: 'real',
      language: 'en-XA',
      units: 'us',
    })
    const answer = await fetch(at.client.address(`/households/${body.address}/places`))
    for (const { name } of (await answer.json()) as PlaceView[]) expect(name).not.toMatch(/[A-Za-z]/)
  })
})
