import type { Page } from '@playwright/test'
import { pick } from './acts'
import { expect, test } from './page'
import { startHousehold } from './story'

/** A forecast from noon of 12 July 2026 on, hour by hour. */
function forecast(days: number, hour: (day: number, hour: number) => { c: number; rain: number }): string {
  const rows = ['time,temperature °C,humidity %,rain mm']
  for (let d = 0; d < days; d++) {
    for (let h = d === 0 ? 12 : 0; h < 24; h++) {
      const { c, rain } = hour(d, h)
      rows.push(`2026-07-${12 + d} ${String(h).padStart(2, '0')}:00,${c},70,${rain}`)
    }
  }
  return rows.join('\n')
}

async function bringForecast(page: Page, text: string) {
  await page.goto('/readings')
  await pick(page, 'Place the logger hung in', 'Garden')
  await page
    .getByLabel('Logger file')
    .setInputFiles({ name: 'forecast.csv', mimeType: 'text/csv', buffer: Buffer.from(text) })
  await page.getByRole('button', { name: 'Look it through' }).click()
  await page.getByRole('button', { name: /^Keep [\d,]+ readings in garden$/ }).click()
  await expect(page.getByRole('status')).toContainText('new readings in garden')
}

async function choose(page: Page, crop: string, sign?: string) {
  await page.goto('/bring-in')
  await page.getByLabel('Find what came in').fill(crop)
  await page.getByRole('radio', { name: crop, exact: true }).click()
  if (sign)
    await page.getByRole('radiogroup').filter({ hasText: sign }).getByRole('radio', { name: sign, exact: true }).click()
}

test('frost to come brings the squash in, ready or not, and leaves the leeks', async ({ page }) => {
  await startHousehold(page, 'Frost House')
  await choose(page, 'Squash, butternut')
  await expect(page.getByText(/Frost is likely/)).toHaveCount(0)
  await bringForecast(
    page,
    forecast(4, (d, h) => ({ c: d === 2 && h < 6 ? -1 : 14, rain: 0 })),
  )
  await choose(page, 'Squash, butternut')
  // it comes before dawn on Tuesday: the night that begins on Monday
  await expect(page.getByText(/Frost is likely on Monday,? 13 July: bring them in before, ready or not/)).toBeVisible()
  // peppers have no signs to look for, but frost ends them all the same
  await choose(page, 'Pepper, sweet')
  await expect(page.getByText(/Frost is likely on Monday/)).toBeVisible()
  await choose(page, 'Leek')
  await expect(page.getByRole('heading', { name: 'Sort into heaps' })).toBeVisible()
  await expect(page.getByText(/Frost is likely/)).toHaveCount(0)
})

test('rain to come puts off the lifting of onions to two dry days', async ({ page }) => {
  await startHousehold(page, 'Rain House')
  await bringForecast(
    page,
    forecast(6, (d, h) => ({ c: 17, rain: d < 3 && h === 14 ? 6 : 0 })),
  )
  await choose(page, 'Onion, storing', '8')
  await expect(page.getByText(/Wait for Wednesday,? 15 July: two dry days then/)).toBeVisible()
  // the round tells the same sky
  await page.goto('/')
  const weather = page.getByRole('img', { name: /temperature, humidity and rain by day/ })
  await expect(weather.locator('text').filter({ hasText: '6.0 mm' }).first()).toBeVisible()
  await expect(page.getByText('by the forecast')).toBeVisible()
})

test('what waiting a week would do is said by each school', async ({ page }) => {
  await startHousehold(page, 'Waiting House')
  await choose(page, 'Garlic, hardneck', '1')
  const card = page.locator('section').filter({ has: page.getByRole('heading', { name: 'Is it time?' }) })
  // schools differ: one lifts at one to three brown leaves, the other waits for about half
  await expect(card.getByRole('listitem')).toHaveCount(2)
  await expect(card.getByText(/^\s*lift/).first()).toBeVisible()
  await expect(card.getByText(/Look again about \d+ July/)).toBeVisible()
})
