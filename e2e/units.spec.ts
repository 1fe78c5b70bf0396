import type { LotView } from '@vadose/contract/lots'
import { api } from './acts'
import { apiOf, expect, test } from './page'
import { startHousehold } from './story'

async function inPounds(page: Parameters<typeof api>[0], name: string) {
  await startHousehold(page, name)
  await page.goto('/household')
  await page.getByRole('radio', { name: 'Pounds and °F' }).click()
  await expect(page.getByText('Every screen reads so now.')).toBeVisible()
}

test('a harvest weighed in pounds and ounces is kept to the gram', async ({ page }) => {
  await inPounds(page, 'Ounce House')
  await page.goto('/bring-in')
  await page.getByRole('radio', { name: 'Onion, storing' }).click()
  await page.getByLabel('Weight of the whole harvest, lb').fill('20')
  await page.getByLabel('Nicked or torn, lb').fill('2')
  await page.getByRole('button', { name: 'Make 2 lots' }).click()
  await expect(page.getByText('Sound, 18.0 lb')).toBeVisible()
  // 18 lb of 453.59237 g (the international pound, 1959)
  expect((await api<LotView>(page, '/lots/N26-1')).weightG).toBe(Math.round(20 * 453.59237) - Math.round(2 * 453.59237))
  await page.goto('/line?lot=N26-1')
  await page.getByRole('button', { name: /^Weigh/ }).click()
  await page.getByLabel(/ounces$/).fill('30')
  await page.locator('.weigh').getByRole('button', { name: 'Keep', exact: true }).click()
  await page.goto('/lots/N26-1')
  await page.getByText(/Everything it ever did/).click()
  // 30 oz is 850 g
  await expect(page.getByText('marked bunch weighed 1.87 lb').first()).toBeVisible()
  await page.getByRole('button', { name: 'Correct' }).click()
  await page.getByLabel('Weight in ounces').fill('280')
  await page.getByLabel('Why').fill('the barrow was weighed too')
  await page.locator('.take').getByRole('button', { name: 'Correct' }).click()
  await expect.poll(async () => (await api<LotView>(page, '/lots/N26-1')).weightG).toBe(Math.round(280 * 28.349523125))
})

test('no screen of a household that reads pounds and °F says grams, kilos or °C', async ({ page }) => {
  await page.goto('/household')
  await page.request.put(apiOf(page, '/settings'), { data: { units: 'us' } })
  try {
    for (const path of [
      '/',
      '/bring-in',
      '/line',
      '/line?lot=S26-2',
      '/stores',
      '/larder',
      '/lots/G26-1',
      '/lots/N26-6',
      '/lots/A26-4',
      '/lots/A26-3',
      '/lots/N26-5/finish',
      '/lots/A26-2/dry',
      '/almanac/garlic-hardneck',
      '/almanac/squash-butternut',
      '/bench/keep',
      '/bench/air',
      '/bench/brine',
      '/bench/glut',
    ]) {
      await page.goto(path, { waitUntil: 'networkidle' })
      await expect(page.locator('h1').first()).toBeVisible()
      const text = await page.locator('main').evaluate((main) => {
        for (const fold of main.querySelectorAll<HTMLElement>('.fold [aria-expanded=false]')) fold.click()
        // how a worksheet is reckoned, and where a number is from, stay in the book's own units
        for (const book of main.querySelectorAll('.how, .numbers')) book.remove()
        return [
          (main as HTMLElement).innerText,
          ...[...main.querySelectorAll('[aria-label], [placeholder], title')].map(
            (e) => e.getAttribute('aria-label') ?? e.getAttribute('placeholder') ?? e.textContent ?? '',
          ),
        ].join('\n')
      })
      const metric = text.match(/.{0,40}(?:°C|\d\s?kg\b(?!\/)|\d\s?g\b(?!\/)|\bgrams\b|\bkilos?\b).{0,20}/g) ?? []
      expect(metric, path).toEqual([])
    }
    const tag = await (await page.request.get(apiOf(page, '/lots/G26-1/tag.svg'))).text()
    expect(tag).toMatch(/\d lb</)
    expect(tag).not.toMatch(/\dk?g</)
  } finally {
    await page.request.put(apiOf(page, '/settings'), { data: { units: 'metric' } })
  }
})
