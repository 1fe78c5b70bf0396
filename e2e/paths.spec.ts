import type { Page } from '@playwright/test'
import { expect, test } from './page'
import { startHousehold } from './story'

async function bringIn(page: Page, crop: string, kilos: string) {
  await page.goto('/bring-in')
  await page.getByLabel('Find what came in').fill(crop)
  await page.getByRole('radio', { name: crop, exact: true }).click()
  await page.getByLabel('Weight of the whole harvest, kg').fill(kilos)
  await page.getByRole('button', { name: 'Make the lot' }).click()
  await expect(page.getByRole('heading', { name: 'One lot brought in' })).toBeVisible()
  return (await page.locator('.made .figure').first().textContent())!
}

test('potatoes heal their skins in the dark, are felt by thumb, not weighed, and go into sacks', async ({ page }) => {
  await startHousehold(page, 'Potato House')
  const code = await bringIn(page, 'Potato, maincrop', '32')
  await page.goto(`/line?lot=${code}`)
  await expect(page.getByText(/hours of good healing/)).toBeVisible()
  await expect(page.getByRole('button', { name: /^Weigh/ })).toHaveCount(0)
  await expect(page.getByText(/judged by thumb and eye/)).toBeVisible()
  await page.getByRole('button', { name: /Feel thumb on the skin/ }).click()
  await page.getByRole('button', { name: 'skin feathers' }).click()
  await page.getByRole('button', { name: 'Keep what I felt' }).click()
  await expect(page.getByText(/not passed yet/)).toBeVisible()
  await page.getByRole('button', { name: /Feel thumb on the skin/ }).click()
  await page.getByRole('button', { name: 'skin does not rub off' }).click()
  await page.getByRole('button', { name: 'dry and corky' }).click()
  await page.getByRole('button', { name: 'Keep what I felt' }).click()
  await page.goto('/')
  await expect(page.locator('.job[data-kind="take-down"]').filter({ hasText: code })).toBeVisible()
  await page.goto(`/lots/${code}/finish`)
  // potatoes have no neck to leave long
  await expect(page.getByRole('radiogroup', { name: 'Neck' })).toHaveCount(0)
  await page.getByLabel('Weight cleaned, kg').fill('31.2')
  await page.getByLabel('Number of potatoes').fill('240')
  await page.getByRole('radio', { name: /Cellar/ }).click()
  await page.getByRole('button', { name: /^Put by/ }).click()
  await expect(page.getByRole('heading', { name: 'Put by' })).toBeVisible()
})

test('herbs hang in bunches, lose most of their weight, and are jarred when they crumble', async ({ page }) => {
  await startHousehold(page, 'Herb House')
  const code = await bringIn(page, 'Herbs, woody', '0.8')
  await page.goto(`/line?lot=${code}`)
  await page.getByRole('button', { name: /^Weigh/ }).click()
  await page.getByRole('radio', { name: 'The whole lot' }).click()
  await page.getByLabel(/grams$/).fill('800')
  await page.locator('.weigh').getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(page.getByText(/Feel leaf between fingers, stalk/)).toBeVisible()
  await page.getByRole('button', { name: 'Next week' }).click()
  await page.goto(`/lots/${code}`)
  await expect(page.getByText(/kPa·h of drying/)).toBeVisible()
})

test('carrots go straight into store, with a date and nothing on the line', async ({ page }) => {
  await startHousehold(page, 'Root House')
  const code = await bringIn(page, 'Carrot', '12')
  await page.goto(`/lots/${code}`)
  await expect(page.getByText(/Look over/).first()).toBeVisible()
  await page.goto('/line')
  await expect(page.getByRole('heading', { name: 'The rope is empty' })).toBeVisible()
})
