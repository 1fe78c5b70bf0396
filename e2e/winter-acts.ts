import type { Page } from '@playwright/test'
import { expect } from './page'

interface Harvest {
  crop: string
  variety?: string
  bed?: string
  /** heap by its label: kilos and pieces */
  heaps: Record<string, [kilos: string, pieces?: number]>
}

/** A harvest in heaps. @returns codes of its lots, in the heaps' order */
export async function harvest(page: Page, { crop, variety, bed, heaps }: Harvest): Promise<string[]> {
  await page.goto('/bring-in')
  await page.getByLabel('Find what came in').fill(crop)
  await page.getByRole('radio', { name: crop, exact: true }).click()
  if (variety) await page.getByLabel('Variety', { exact: true }).fill(variety)
  if (bed) await page.getByLabel('Bed', { exact: true }).fill(bed)
  for (const [heap, [kilos, pieces]] of Object.entries(heaps)) {
    await page.getByLabel(`${heap}, kg`).fill(kilos)
    if (pieces) await page.getByLabel(new RegExp(`^${heap}, number of`)).fill(String(pieces))
  }
  await page.getByRole('button', { name: /^Make (the lot|\d lots)/ }).click()
  await expect(page.getByRole('heading', { name: /brought in$/ })).toBeVisible()
  return page.locator('.made .figure').allTextContents()
}

/** Uses, plants, gives or feeds some of a lot, from its page. */
export async function take(
  page: Page,
  code: string,
  whither: string,
  by: { pieces?: number; kilos?: string },
  bed?: string,
) {
  await page.goto(`/lots/${code}`)
  await page.getByRole('button', { name: /^Use/ }).first().click()
  const form = page.locator('.take')
  if (by.kilos) {
    const kilos = form.getByRole('radio', { name: 'kg', exact: true })
    if (await kilos.count()) await kilos.click()
    await form.getByLabel('Weight in kg').fill(by.kilos)
  } else await form.locator('input').first().fill(String(by.pieces))
  await form.getByRole('radio', { name: whither }).click()
  if (bed) await form.getByLabel('Bed').fill(bed)
  await form.getByRole('button', { name: whither === 'To the kitchen' ? 'Use' : 'Take it', exact: true }).click()
  await expect(form).toHaveCount(0)
}

export const undo = async (page: Page) => {
  await page.locator('.undo').getByRole('button', { name: 'Undo' }).click()
  await expect(page.locator('.undo')).toContainText('as before')
}

/** Puts an entry of a lot right, or strikes it out, from its story. */
export async function right(
  page: Page,
  code: string,
  entry: string,
  how: (form: ReturnType<Page['locator']>) => Promise<void>,
) {
  await page.goto(`/lots/${code}`)
  await page.getByText(/^Everything it ever did/).click()
  await page.getByRole('row').filter({ hasText: entry }).first().getByRole('button', { name: 'Put right' }).click()
  await how(page.locator('form.right').last())
  await expect(page.locator('form.right')).toHaveCount(0)
}

/** Pours a lot out and throws so much on each heap, the last one taking the rest. */
export async function sortOut(page: Page, code: string, heaps: [kilos: string, heap: RegExp][], rest: RegExp) {
  await page.goto(`/lots/${code}/sort`)
  await expect(page.getByLabel('In the hand', { exact: true })).toBeVisible()
  // a counted lot is counted until the scale is taken
  const kilosOfIt = page.getByRole('radio', { name: 'kg', exact: true })
  if (await kilosOfIt.count()) await kilosOfIt.click()
  for (const [kilos, heap] of heaps) {
    await page.getByLabel('Weight in the hand, kg').fill(kilos)
    await page.getByRole('button', { name: heap }).click()
  }
  await page.getByRole('button', { name: 'all the rest' }).click()
  await page.getByRole('button', { name: rest }).click()
  await page.getByRole('button', { name: /^Done, the table is empty/ }).click()
  await expect(page.getByRole('heading', { name: `Sorted ${code}` })).toBeVisible()
}
