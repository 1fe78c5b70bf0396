import type { LotView } from '@vadose/contract/lots'
import { api, bringIn, pass, takeDown } from './acts'
import { expect, test } from './page'
import { startHousehold } from './story'

const lotOf = (page: Parameters<typeof api>[0], code: string) => api<LotView>(page, `/lots/${code}`)

test('heads are eaten, planted and given away, each in the lot’s story and none lost', async ({ page }) => {
  await startHousehold(page, 'Taking House')
  const code = await bringIn(page, 'Garlic, hardneck', '4.5', 100)
  await takeDown(page, code, '3.0', 100, /North room/)
  await page.goto(`/lots/${code}`)
  for (const [where, button, heads] of [
    ['To the kitchen', 'Use', 2],
    ['Planted', 'Take it', 30],
    ['Given away', 'Take it', 8],
  ] as const) {
    await expect(page.getByRole('heading', { name: new RegExp(code) }).first()).toBeVisible()
    await page.keyboard.press('u')
    const form = page.locator('.take')
    await form.getByRole('radio', { name: where }).click()
    await form.getByRole('spinbutton', { name: 'heads', exact: true }).fill(String(heads))
    await form.getByRole('button', { name: button, exact: true }).click()
    await expect(form).toHaveCount(0)
  }
  await expect(page.getByText('60 heads, 1.80 kg').first()).toBeVisible()
  await expect(page.getByText('planted 30 heads, 900 g').first()).toBeVisible()
  await expect(page.getByText('given away 8 heads, 240 g').first()).toBeVisible()
  const { events } = await lotOf(page, code)
  expect(events.reduce((sum, e) => sum + e.weightG, 0)).toBe(1800)
  expect(events.reduce((sum, e) => sum + e.pieces, 0)).toBe(60)
})

test('a heap for planting is planted unless said otherwise', async ({ page }) => {
  await startHousehold(page, 'Planting House')
  await page.goto('/bring-in')
  await page.getByRole('radio', { name: 'Garlic, hardneck' }).click()
  await page.getByLabel('For planting, kg').fill('1')
  await page.getByLabel('For planting, number of heads').fill('20')
  await page.getByRole('button', { name: 'Make the lot' }).click()
  await expect(page.getByRole('heading', { name: 'One lot brought in' })).toBeVisible()
  await takeDown(page, 'G26-1', '0.8', 20, /North room/)
  await page.goto('/lots/G26-1')
  await page.getByRole('button', { name: 'Use' }).click()
  await expect(page.getByRole('radio', { name: 'Planted' })).toBeChecked()
})

test('more is never taken than is there, and the last leaves an empty lot that can be put right', async ({ page }) => {
  await startHousehold(page, 'Last House')
  const code = await bringIn(page, 'Pumpkin', '9', 3)
  await takeDown(page, code, '8.7', 3, /North room/)
  await page.goto(`/lots/${code}`)
  await page.getByRole('button', { name: 'Use' }).click()
  const form = page.locator('.take')
  for (let i = 0; i < 6; i++) await form.getByRole('button', { name: 'more' }).click({ force: true })
  await expect(form.getByRole('spinbutton', { name: 'pumpkins', exact: true })).toHaveValue('3')
  await form.getByRole('button', { name: 'Use', exact: true }).click()
  await expect(page.getByText('nothing left').first()).toBeVisible()
  await expect(page.getByRole('button', { name: 'Use' })).toHaveCount(0)
  // one was only behind the crate
  await page.getByRole('button', { name: 'Correct' }).click()
  await form.getByLabel('Weight in grams').fill('2900')
  await form.getByRole('spinbutton', { name: 'pumpkins', exact: true }).fill('1')
  await form.getByLabel('Why').fill('behind the crate')
  await form.getByRole('button', { name: 'Correct' }).click()
  await expect(page.getByText('1 pumpkin, 2.90 kg').first()).toBeVisible()
})

test('a wrong weighing is struck out by another entry, and the lot stands as if it had not been', async ({ page }) => {
  await startHousehold(page, 'Strike House')
  const code = await bringIn(page, 'Onion, storing', '9')
  await page.goto(`/lots/${code}`)
  const weigh = async (grams: string, whole = false) => {
    await page.getByRole('button', { name: 'Weigh' }).click()
    if (whole) await page.getByRole('radio', { name: 'The whole lot' }).click()
    await page.getByLabel(/grams$/).fill(grams)
    await page.getByRole('button', { name: 'Keep', exact: true }).click()
    await expect(page.getByLabel(/grams$/)).toHaveCount(0)
  }
  await weigh('9000', true)
  await pass(page, 'Next morning')
  await weigh('8300')
  await pass(page, 'Next morning')
  await weigh('8500')
  await page.getByText(/Everything it ever did/).click()
  const row = page.getByRole('row').filter({ hasText: 'lot weighed 8,300 g' })
  await row.getByRole('button', { name: 'Put right' }).click()
  await page
    .getByRole('form', { name: /^Put right: lot weighed/ })
    .getByRole('button', { name: 'Strike out' })
    .click()
  await expect(row).toContainText('(struck out)')
  await expect(page.getByRole('row').filter({ hasText: 'struck out: the weighing (Typed wrong)' })).toBeVisible()
  expect((await lotOf(page, code)).weightG).toBe(8500)
})

test('a lot in store is sorted by size, weight for weight', async ({ page }) => {
  await startHousehold(page, 'Size House')
  const code = await bringIn(page, 'Beetroot', '12', 80)
  await page.goto(`/lots/${code}`)
  await page.getByRole('button', { name: 'By size' }).click()
  await page.getByLabel('Large, kg').fill('4')
  await page.getByLabel(/^Large, number of/).fill('15')
  await page.getByLabel('Small, kg').fill('2.5')
  await page.getByLabel(/^Small, number of/).fill('30')
  await page
    .getByRole('button', { name: /^Sort|^Keep|^Make/ })
    .last()
    .click()
  await expect(page.getByText('5.50 kg').first()).toBeVisible()
  const lots = await api<{ weightG: number; pieces: number }[]>(page, '/lots')
  expect(lots.map((l) => l.weightG).sort((a, b) => a - b)).toEqual([2500, 4000, 5500])
  expect(lots.reduce((sum, l) => sum + l.pieces, 0)).toBe(80)
})

test('a lot is moved by keyboard alone, with what the move does said first', async ({ page }) => {
  await startHousehold(page, 'Keys House')
  const code = await bringIn(page, 'Carrot', '12')
  await page.goto(`/lots/${code}`)
  await expect(page.getByText('9 in 10 still sound until')).toBeVisible()
  await page.keyboard.press('m')
  const form = page.locator('form, section').filter({ has: page.getByRole('heading', { name: `Move ${code} to` }) })
  const room = form.getByRole('radio', { name: /North room/ })
  await room.focus()
  await page.keyboard.press('Enter')
  await expect(form.getByText(/would end it there/)).toBeVisible()
  await form.getByRole('button', { name: 'Move it' }).focus()
  await page.keyboard.press('Enter')
  await expect(
    page
      .locator('header')
      .getByText(/north room/)
      .first(),
  ).toBeVisible()
  expect((await lotOf(page, code)).place).toBe('North room')
})

test('a lot opens beside the larder it was opened from, and Escape leads back', async ({ page }) => {
  await startHousehold(page, 'Drawer House')
  const code = await bringIn(page, 'Carrot', '12')
  await page.goto('/larder')
  await page.locator(`[data-lot="${code}"]`).getByRole('link').first().click()
  const drawer = page.getByRole('dialog')
  await expect(drawer.getByText('9 in 10 still sound until')).toBeVisible()
  await expect(page).toHaveURL(/\/larder$/)
  await drawer.getByRole('button', { name: 'Note' }).click()
  await drawer.getByLabel('Note').fill('for Sunday broth')
  await drawer.getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(drawer.getByText('for Sunday broth').first()).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(drawer).toBeHidden()
  await page.locator(`[data-lot="${code}"]`).getByRole('link').first().click()
  await page.getByRole('link', { name: `Open ${code} as a page` }).click()
  await expect(page).toHaveURL(new RegExp(`/lots/${code}$`))
})

test('one tap takes one where they are counted, a handful where they are not', async ({ page }) => {
  await startHousehold(page, 'Tap House')
  const counted = await bringIn(page, 'Cabbage, white', '15', 8)
  const loose = await bringIn(page, 'Carrot', '12')
  await page.goto('/larder')
  await page.getByRole('button', { name: `Use one of ${counted}` }).click()
  await expect(page.locator(`[data-lot="${counted}"]`).getByText(/^7 /)).toBeVisible()
  const little = page.getByRole('button', { name: `Use a little of ${loose}` })
  await expect(little).toHaveText(/^\s*Use \d+ g\s*$/)
  await little.click()
  await expect.poll(async () => (await lotOf(page, loose)).weightG).toBeLessThan(12_000)
})

test('an address of no lot says so, and a lot of another household is not shown', async ({ page, wrongs }) => {
  await startHousehold(page, 'Owner House')
  const code = await bringIn(page, 'Carrot', '2')
  await startHousehold(page, 'Stranger House')
  await page.goto(`/lots/${code}`)
  await expect(page.getByText(`There is no lot ${code}.`)).toBeVisible()
  await page.goto('/lots/Z99-9/check')
  await expect(page.getByText('There is no lot Z99-9.')).toBeVisible()
  wrongs.splice(0)
})

test('the sheet of labels shows where a label will print, and starts where it is tapped', async ({ page }) => {
  await page.goto('/lots/G26-1/tag')
  const sheet = page.getByRole('img', { name: 'The sheet as it will print: no label used already, then G26-1' })
  await expect(sheet.locator('.ours')).toHaveText('G26-1')
  await sheet.locator('g').nth(5).click()
  await expect(page.getByLabel('Used already on the sheet')).toHaveValue('5')
  const used = page.getByRole('img', { name: /: 5 labels used already, then G26-1/ })
  await expect(used.locator('.gone')).toHaveCount(5)
  await expect(page.getByRole('link', { name: 'Label as PDF' })).toHaveAttribute('href', /skip=5/)
  // what is read on the page is what the printer gets: the label stands where the page shows it
  const box = (await used.locator('.ours rect').boundingBox())!
  const paper = (await used.locator('.page').boundingBox())!
  const mm = 210 / paper.width
  // to a line's breadth
  expect(Math.abs((box.x - paper.x) * mm - (7.25 + 2 * 66))).toBeLessThan(1.5)
  expect(Math.abs((box.y - paper.y) * mm - (15.15 + 38.1))).toBeLessThan(1.5)
  // a sheet that is used up is a new one, on the page and in the file
  await page.getByLabel('Used already on the sheet').fill('21')
  await expect(page.locator('figure .gone')).toHaveCount(0)
  const pdf = (await page.getByRole('link', { name: 'Label as PDF' }).getAttribute('href'))!
  expect((await page.request.get(pdf)).headers()['content-type']).toContain('application/pdf')
})
