import type { LotView } from '@vadose/contract/lots'
import type { PlaceView } from '@vadose/contract/places'
import { api, bringIn, pick } from './acts'
import { expect, test } from './page'
import { startHousehold } from './story'

const sizes = [
  { name: 'desk', width: 1280, height: 800 },
  { name: 'phone', width: 390, height: 844 },
]

for (const size of sizes) {
  test(`a place is divided, joined and put out of use (${size.name})`, async ({ page, wrongs }) => {
    await page.setViewportSize(size)
    await startHousehold(page, `Parts House ${size.name}`)
    const code = await bringIn(page, 'Carrot', '8')
    const places = async () => (await api<PlaceView[]>(page, '/places')).map(({ name }) => name)

    await page.goto('/household')
    await page.getByRole('button', { name: 'Put right Cellar' }).click()
    await page.getByLabel('A part of Cellar').fill('top shelf')
    await page.getByRole('button', { name: 'Divide' }).click()
    await expect(page.getByText('Cellar, top shelf', { exact: true })).toBeVisible()

    // it is a choice like any other
    await page.goto(`/lots/${code}`)
    await page.getByRole('button', { name: 'Move' }).click()
    await page.getByRole('radio', { name: /^Cellar, top shelf/ }).click()
    await page.getByRole('button', { name: /^Move/ }).last().click()
    await expect.poll(async () => (await api<LotView>(page, `/lots/${code}`)).place).toBe('Cellar, top shelf')

    await page.goto('/household')
    await page.getByRole('button', { name: 'Put right Cellar, top shelf' }).click()
    await page.getByRole('button', { name: 'Out of use' }).click()
    await expect(page.getByRole('alert')).toContainText(`${code} still there`)
    // the refusal was wanted
    wrongs.splice(0)
    await pick(page, 'Cellar, top shelf is one with', 'North room')
    await page.getByRole('button', { name: 'Join them' }).click()
    await expect(page.getByText(/^Cellar, top shelf, out of use since/)).toBeVisible()
    expect((await api<LotView>(page, `/lots/${code}`)).place).toBe('North room')
    expect(await places()).not.toContain('Cellar, top shelf')
    await page.getByRole('button', { name: 'Use Cellar, top shelf again' }).click()
    await expect.poll(places).toContain('Cellar, top shelf')
  })

  test(`what nobody weighed is a guess until it is weighed (${size.name})`, async ({ page }) => {
    await page.setViewportSize(size)
    await startHousehold(page, `Guess House ${size.name}`)
    await page.goto('/bring-in')
    await page.getByLabel('Find what came in').fill('Cabbage, white')
    await page.getByRole('radio', { name: 'Cabbage, white', exact: true }).click()
    await page.getByLabel(/^Sound, number of/).fill('6')
    await page.getByRole('button', { name: 'Make the lot' }).click()
    await expect(page.getByRole('heading', { name: 'One lot brought in' })).toBeVisible()
    const code = (await page.locator('.made .figure').first().textContent())!
    await page.goto(`/lots/${code}`)
    await expect(page.getByText(/^6 heads, about /)).toBeVisible()
    await page.getByRole('button', { name: 'Weigh it' }).click()
    await page.getByLabel('Weight in grams').fill('8400')
    await page.getByLabel('Why').fill('on the scale')
    await page.getByRole('button', { name: 'Correct', exact: true }).last().click()
    await expect(page.getByText(/^6 heads, 8.40 kg/)).toBeVisible()
    await expect(page.getByText(/is a guess/)).toHaveCount(0)
  })
}
