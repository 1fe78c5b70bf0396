import { readFileSync } from 'node:fs'
import ICAL from 'ical.js'
import { parse } from 'csv-parse/sync'
import type { Page } from '@playwright/test'
import type { LotRow } from '@vadose/contract/lots'
import { api, bringIn, pick, takeDown } from './acts'
import { expect, test } from './page'
import { startHousehold } from './story'

async function download(page: Page, name: string): Promise<string> {
  const coming = page.waitForEvent('download')
  await page.getByRole('link', { name, exact: true }).click()
  return readFileSync(await (await coming).path(), 'utf8')
}
const rows = (text: string) => parse(text, { columns: true, bom: true }) as Record<string, string>[]

test('what the household has leaves as files that other programs read', async ({ page }) => {
  await startHousehold(page, 'Leaving House')
  const garlic = await bringIn(page, 'Garlic, hardneck', '4.5', 100)
  await takeDown(page, garlic, '3.0', 100, /North room/)
  await bringIn(page, 'Onion, storing', '9')
  await page.goto('/household')

  const lots = rows(await download(page, 'Lots, CSV'))
  const here = await api<LotRow[]>(page, '/lots')
  expect(lots.map((l) => [l['code'], Number(l['weight_g'])]).sort()).toEqual(
    here.map((l) => [l.code, l.weightG]).sort(),
  )
  const ledger = rows(await download(page, 'The whole ledger, CSV'))
  for (const lot of here) {
    const own = ledger.filter((e) => e['code'] === lot.code)
    expect(own.reduce((sum, e) => sum + Number(e['weight_g']), 0)).toBe(lot.weightG)
  }
  const cellar = rows(await download(page, 'cellar'))
  expect(cellar.length).toBeGreaterThan(200)
  expect(cellar.every((r) => Number(r['relative_humidity_pct']) <= 100)).toBe(true)

  const calendar = new ICAL.Component(ICAL.parse(await download(page, 'Jobs, as a calendar')) as unknown[] as never)
  const events = calendar.getAllSubcomponents('vevent').map((e) => new ICAL.Event(e))
  expect(events.map((e) => e.summary).join('; ')).toMatch(/onions/)
  expect(events.every((e) => e.startDate.isDate)).toBe(true)
  // a calendar that takes it twice wants to know the jobs again
  expect(new Set(events.map((e) => e.uid)).size).toBe(events.length)
})

test('its own readings file comes back in as it went out, and adds nothing', async ({ page }) => {
  await startHousehold(page, 'Round Trip House')
  await page.goto('/household')
  const text = await download(page, 'cellar')
  await page.goto('/readings')
  await pick(page, 'Place the logger hung in', 'Cellar')
  await page
    .getByLabel('Logger file')
    .setInputFiles({ name: 'cellar.csv', mimeType: 'text/csv', buffer: Buffer.from(text) })
  await page.getByRole('button', { name: 'Look it through' }).click()
  await expect(page.getByText('All of it is in the book already.')).toBeVisible()
})
