import { describe, expect, it } from 'vitest'
import { hands, practiceFile } from '../testing/fresh'

const at = practiceFile('2026-10-02')
const { post, bring, lot } = hands(at, '2026-10-01')
describe('a note with a day', () => {
  it('is a job on that day, until it is done; the note stays', async () => {
    const code = await bring('squash-butternut', 4000, 3)
    await post(`/lots/${code}/acts`, { act: 'note', text: 'for the feast', mindOn: '2026-10-14' })
    const jobs = async () => (await fetch(at.client.address('/exports/jobs.ics'))).text()
    expect(await jobs()).toMatch(/DTSTART;VALUE=DATE:20261014[\s\S]*A note on the[\s\S]*for the feast/)
    await post(`/lots/${code}/acts`, { act: 'note', text: 'for the feast' })
    expect(await jobs()).not.toMatch(/A note on/)
    expect((await lot(code)).note).toBe('for the feast')
  })
})

describe('the freezers', () => {
  it('say how full they are by weight, what went in and what may still, and when each bag is past its best', async () => {
    const { id } = (await at.client.post('/places', { name: 'Chest', kind: 'freezer', litres: 100 })).body
    const basket = (await at.client.post('/places', { name: 'basket', kind: 'freezer', within: id })).body.id as string
    const code = await bring('bean-green', 3000)
    expect(
      (
        await post(`/lots/${code}/acts`, {
          act: 'freeze',
          weightG: 3000,
          bags: 6,
          prepared: 'blanched',
          placeId: basket,
          sure: true,
        })
      ).status,
    ).toBe(201)
    const [chest] = (await at.client.get('/kitchen/freezers')).body.freezers
    expect(chest).toMatchObject({
      name: 'Chest',
      litres: 100,
      weightG: 3000,
      bags: 6,
      putInG: 3000,
      parts: [{ name: 'basket' }],
    })
    // 3 kg of 55 that a hundred litres hold; 4.8 kg may freeze in a day (3 lb a cubic foot, NCHFP, recalled)
    expect(chest.fill).toBeCloseTo(3 / 55, 3)
    expect(chest.mayFreezeG).toBeGreaterThan(1600)
    expect(chest.mayFreezeG).toBeLessThan(2000)
    expect(chest.lots[0].monthsLeft).toBeGreaterThan(6)
    expect(chest.usualC).toBeCloseTo(-18, 0)
  })
})
