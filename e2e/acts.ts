import type { Locator, Page } from '@playwright/test'
import { apiOf, expect } from './page'

/** What the server says of something, as the page would ask it. */
export const api = async <T>(page: Page, path: string): Promise<T> =>
  (await page.request.get(apiOf(page, path))).json() as Promise<T>

/** A field that opens a list, as what shows the choice. */
export const picker = (page: Page, label: string): Locator =>
  page.locator('.el-select').filter({ has: page.getByRole('combobox', { name: label }) })

/** Picks one of many in a field that opens. */
export async function pick(page: Page, label: string, option: string | RegExp): Promise<void> {
  await picker(page, label).click()
  await page.getByRole('listbox', { name: label }).getByRole('option', { name: option }).locator('visible=true').click()
}

/** Brings in one heap of a crop, through the interface. @returns the new lot's code */
export async function bringIn(page: Page, crop: string, kilos: string, pieces?: number): Promise<string> {
  await page.goto('/bring-in')
  await page.getByLabel('Find what came in').fill(crop)
  await page.getByRole('radio', { name: crop, exact: true }).click()
  await page.getByLabel('Weight of the whole harvest, kg').fill(kilos)
  if (pieces) await page.getByLabel(/^Sound, number of/).fill(String(pieces))
  await page.getByRole('button', { name: 'Make the lot' }).click()
  await expect(page.getByRole('heading', { name: 'One lot brought in' })).toBeVisible()
  return (await page.locator('.made .figure').first().textContent())!
}

/** Puts by what the form of taking down says; before its window the page asks, and it is taken down all the same. */
export async function putBy(page: Page, name = /^Put by/): Promise<void> {
  await page.getByRole('button', { name }).click()
  const allTheSame = page.getByRole('button', { name: 'Take it down all the same' })
  const refused = page.locator('.notice.bad')
  const done = page.getByRole('heading', { name: 'Put by' })
  await expect(done.or(allTheSame).or(refused).first()).toBeVisible()
  if (await allTheSame.isVisible()) await allTheSame.click()
}

/** Takes a hanging lot down into a place, through the interface. */
export async function takeDown(page: Page, code: string, kilos: string, pieces: number, place: RegExp): Promise<void> {
  await page.goto(`/lots/${code}/finish`)
  await page.getByLabel('Weight cleaned, kg').fill(kilos)
  await page.getByLabel(/^Number of/).fill(String(pieces))
  await page.getByRole('radio', { name: place }).click()
  await putBy(page)
  await expect(page.getByRole('heading', { name: 'Put by' })).toBeVisible()
}

/** Moves the practice clock on. */
export async function pass(page: Page, button: 'Next morning' | 'Next week'): Promise<void> {
  const before = await page.locator('.when strong').textContent()
  await page.getByRole('button', { name: button }).click()
  await expect(page.locator('.when strong')).not.toHaveText(before!)
}
