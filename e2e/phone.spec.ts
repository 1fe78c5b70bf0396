import type { Page } from '@playwright/test'
import { bringIn } from './acts'
import { expect, test } from './page'
import { startHousehold } from './story'

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })

/** Whether the middle of something lies within the screen, clear of the bar below. */
const inView = (page: Page, name: string) =>
  page.getByRole('region', { name }).evaluate((e) => {
    const { top, bottom } = e.getBoundingClientRect()
    return bottom > 0 && top + Math.min(120, (bottom - top) / 2) < innerHeight - 60
  })

test('the rope comes first, and a tag tapped shows its lot', async ({ page }) => {
  await page.goto('/line', { waitUntil: 'networkidle' })
  const rope = (await page.getByRole('region', { name: 'The rope' }).boundingBox())!
  expect(rope.y).toBeLessThan(300)
  expect(await inView(page, 'Chosen lot')).toBe(false)
  await page.locator('[data-code="N26-6"]').tap()
  await expect(page.getByRole('region', { name: 'Chosen lot' })).toContainText('N26-6')
  await expect.poll(() => inView(page, 'Chosen lot')).toBe(true)
})

test('a lot tapped in the house shows how long it keeps, and is moved from there', async ({ page }) => {
  await page.goto('/stores', { waitUntil: 'networkidle' })
  await expect(page.getByText(/or tap it, then Move/)).toBeVisible()
  await page.getByRole('button', { name: /garlic.*G26-1/ }).tap()
  const card = page.getByRole('region', { name: 'Chosen lot' })
  await expect(card).toContainText('G26-1')
  await expect.poll(() => inView(page, 'Chosen lot')).toBe(true)
  await card.getByRole('button', { name: 'Move' }).tap()
  await expect(page.getByRole('heading', { name: 'Move G26-1 to' })).toBeInViewport()
})

test('no key is named where there are none, and the bar leads everywhere', async ({ page }) => {
  await startHousehold(page, 'Bar House')
  const code = await bringIn(page, 'Carrot', '12')
  await page.goto(`/lots/${code}`)
  await expect(page.getByRole('button', { name: 'Move' })).toBeVisible()
  await expect(page.locator('kbd:visible')).toHaveCount(0)
  const bar = page.getByRole('navigation', { name: 'Screens, by thumb' })
  for (const [tab, heading] of [
    ['Today', /The round/],
    ['Bring in', /Bring in/],
    ['Find', /Find/],
    ['Larder', /The larder/],
    ['More', /./],
  ] as const) {
    await bar.getByRole('link', { name: tab }).tap()
    await expect(page.getByRole('heading', { level: 1 }).filter({ hasText: heading }).first()).toBeVisible()
  }
  // what has no room in the bar is one tap further
  for (const screen of ['Drying line', 'Stores', 'Almanac', 'Bench'])
    await expect(page.locator('main').getByRole('link', { name: screen })).toBeVisible()
})
