import type { Page } from '@playwright/test'
import jsQR from 'jsqr'
import pg from 'pg'
import { PNG } from 'pngjs'
import { api, pass, putBy } from './acts'
import { expect, ofHousehold } from './page'

const dayMs = 86_400_000

interface LineLot {
  code: string
  expectedG: number | null
  weightG: number
  progress: number
  readyNow: number
  ready: { p10: string; p50: string; p90: string }
}

const lotOnLine = async (page: Page, code: string) =>
  (await api<{ lots: LineLot[] }>(page, '/line')).lots.find((lot) => lot.code === code)!
const windowDays = (lot: LineLot) => (Date.parse(lot.ready.p90) - Date.parse(lot.ready.p10)) / dayMs

/** A household with a practice clock on 12 July 2026; made over the API, for most tests are about what comes after. */
export async function startHousehold(page: Page, name: string): Promise<void> {
  const made = await page.request.post(`${process.env['VADOSE_URL']}/api/households`, {
    data: { name, clock: 'practice', startsOn: '2026-07-12', timeZone: 'Europe/Vienna', language: 'en-GB' },
  })
  expect(made.status(), await made.text()).toBe(201)
  const { address } = (await made.json()) as { address: string }
  await page.goto(`${process.env['VADOSE_URL']}/${address}/`)
  await expect(page.locator('.when strong')).toHaveText('Sun 12 July')
}

/** The same through the interface. */
export async function startHouseholdByHand(page: Page, name: string): Promise<void> {
  await page.goto('/household')
  await page.getByLabel('Its name').fill(name)
  await page.getByRole('radio', { name: /practice clock/ }).click()
  await page.getByLabel('First day').fill('12 Jul 2026')
  await page.getByLabel('First day').press('Enter')
  await page.getByRole('button', { name: 'Start it' }).click()
  await expect(page.locator('.when strong')).toHaveText('Sun 12 July')
  await expect(page.getByRole('heading', { name: 'Nothing needs you today' })).toBeVisible()
}

/** Weighs the chosen lot on the line with what the scale shows. */
async function weigh(page: Page, grams: number) {
  await page.getByRole('button', { name: /^Weigh/ }).click()
  await page.getByLabel(/grams$/).fill(String(grams))
  await page.locator('.weigh').getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(page.getByLabel(/grams$/)).toHaveCount(0)
}

/**
 * One garlic harvest, from the garden to the fifth head eaten, by hand and eye only; the numbers are checked
 * against arithmetic done here and against SQL.
 */
export async function liveOneHarvest(page: Page, household: string): Promise<void> {
  await startHouseholdByHand(page, household)

  // bring in 6.0 kg in three heaps
  await page.goto('/bring-in')
  await page.getByRole('radio', { name: 'Garlic, hardneck' }).click()
  await page.getByRole('radio', { name: '4', exact: true }).click()
  await expect(page.getByText('about half the leaves brown')).toBeVisible()
  await page.getByLabel('Weight of the whole harvest, kg').fill('6.0')
  await page.getByLabel('Nicked or torn, kg').fill('0.7')
  await page.getByLabel('Nicked or torn, number of heads').fill('12')
  await page.getByLabel('Sound, kg').fill('5')
  await expect(page.getByText('300 g are on no heap yet.')).toBeVisible()
  await expect(page.getByRole('button', { name: /^Make/ })).toBeDisabled()
  await page.getByLabel('Sound, kg').fill('')
  await page.getByLabel('For planting, kg').fill('0.4')
  await expect(page.getByText('The heaps add up to 6.00 kg.')).toBeVisible()
  await page.getByRole('button', { name: 'Make 3 lots' }).click()
  await expect(page.getByRole('heading', { name: '3 lots brought in' })).toBeVisible()
  await expect(page.getByText('Sound, 4.90 kg')).toBeVisible()

  // hang: four weighings, and the window narrows
  await page.getByRole('link', { name: 'On the line' }).first().click()
  await expect(page.locator('[data-code="G26-1"]')).toBeVisible()
  await weigh(page, 620)
  const first = await lotOnLine(page, 'G26-1')
  const shown = await page.locator('[data-window]').textContent()
  const pauses: ('Next morning' | 'Next week')[][] = [
    Array(4).fill('Next morning'),
    Array(4).fill('Next morning'),
    ['Next week'],
  ]
  for (const pause of pauses) {
    for (const button of pause) await pass(page, button)
    const lot = await lotOnLine(page, 'G26-1')
    await weigh(page, lot.expectedG! - 2)
  }
  const fourth = await lotOnLine(page, 'G26-1')
  expect(windowDays(fourth)).toBeLessThan(windowDays(first))
  await expect(page.locator('[data-window]')).not.toHaveText(shown!)
  await expect(page.getByText('4 weighings narrow the window.')).toBeVisible()

  // ready: the round asks to take it down
  for (let week = 0; week < 6 && (await lotOnLine(page, 'G26-1')).readyNow < 0.9; week++) await pass(page, 'Next week')
  await expect(page.locator('[data-window]')).toHaveText('ready: take it down')
  await page.goto('/')
  const job = page.locator('.job[data-kind="take-down"]').filter({ hasText: 'G26-1' })
  await job.getByRole('link', { name: 'Take down' }).click()

  // finish, label, store
  await page.getByRole('radio', { name: /long neck/ }).click()
  await page.getByLabel('Weight cleaned, kg').fill('3.45')
  await page.getByLabel('Number of heads').fill('96')
  await page.getByRole('radio', { name: 'net', exact: true }).click()
  await page.getByRole('radio', { name: /North room/ }).click()
  await putBy(page, /^Put by 96 heads/)
  await page.getByRole('link', { name: 'Tag for G26-1' }).click()
  const tag = page.getByRole('img', { name: /Tag of lot G26-1/ })
  await expect(tag).toBeVisible()
  expect(await tag.evaluate((img: HTMLImageElement) => img.decode().then(() => img.naturalWidth))).toBeGreaterThan(100)
  await tag.evaluate((img: HTMLElement) => {
    img.style.width = '360px'
    // clear of the bar at the foot of a phone
    img.scrollIntoView({ block: 'center' })
  })
  const png = PNG.sync.read(await tag.screenshot())
  const decoded = jsQR(new Uint8ClampedArray(png.data), png.width, png.height)?.data
  expect(decoded).toBe(`${process.env['VADOSE_URL']}${ofHousehold(page, '/lots/G26-1')}`)

  // the tag's address opens the lot; it has moved to the store
  await page.goto('/lots/G26-1')
  await expect(page.getByText('9 in 10 still sound until')).toBeVisible()
  const until = await page.locator('.figure').first().textContent()

  // some weeks on: look at 20, one is bad
  for (let i = 0; i < 3; i++) await pass(page, 'Next week')
  await page.goto('/lots/G26-1/check')
  await page.getByRole('button', { name: '20', exact: true }).click()
  await page.getByRole('button', { name: /Firm brown spots, dry rot: one more/ }).click()
  await page.getByRole('button', { name: 'What to do with it' }).click()
  await expect(page.getByRole('radio', { name: /Out of the house/ })).toBeChecked()
  await page.getByRole('button', { name: 'Done with it' }).click()
  await expect(page.getByText(/Look again on/)).toBeVisible()
  await expect(page.getByText('G26-1 now: 95 heads')).toBeVisible()
  await expect(page.locator('.figure')).not.toHaveText(`9 in 10 sound to ${until}`)

  // eat five
  await page.goto('/larder')
  const shelf = page.locator('[data-lot="G26-1"]')
  await shelf.getByRole('button', { name: 'Use some' }).click()
  for (let i = 0; i < 4; i++) await shelf.getByRole('button', { name: 'more' }).click()
  await shelf.getByRole('button', { name: 'Use', exact: true }).click()
  await expect(shelf.getByText('90 heads')).toBeVisible()

  // the sum, by hand: 3,450 g less one of 96, less five of 95; and 700 g of nicked ones
  const afterCheck = 3450 - Math.round(3450 / 96)
  const left = afterCheck - Math.round((afterCheck * 5) / 95)
  const expected = left + 700
  await expect(page.locator('[data-larder-sum]')).toHaveText(`${(expected / 1000).toFixed(3)} kg`)
  const db = new pg.Client({ connectionString: process.env['VADOSE_DATABASE'] })
  await db.connect()
  const { rows } = await db.query(
    `select sum(e.weight_g)::int as g from lot_events e
     join lots l on l.household_id = e.household_id and l.id = e.lot_id
     join households h on h.id = e.household_id
     where h.name = $1 and l.code in ('G26-1', 'G26-2')`,
    [household],
  )
  const all = await db.query(
    `select sum(e.weight_g)::int as g from lot_events e join households h on h.id = e.household_id
     where h.name = $1 and e.kind = 'brought-in'`,
    [household],
  )
  await db.end()
  expect(rows[0].g).toBe(expected)
  expect(all.rows[0].g).toBe(6000)
}
