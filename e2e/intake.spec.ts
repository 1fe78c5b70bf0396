import { pick } from './acts'
import { apiOf, expect, test } from './page'
import { startHousehold } from './story'

test('the daily pick is one tap and a weight, and adds up by week', async ({ page }) => {
  await startHousehold(page, 'Pick House')
  await page.goto('/bring-in')
  await pick(page, 'Another crop picked', 'Courgette')
  await page.keyboard.type('1.2')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('status')).toHaveText('1.20 kg of courgettes put to Q26-1.')
  // from the second time on it stands ready: one tap, three keys, Enter
  await page.getByRole('button', { name: 'Courgette', exact: true }).click()
  await page.keyboard.type('0.8')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('status')).toHaveText('800 g of courgettes put to Q26-1.')
  await expect(page.getByText('2.00 kg this week')).toBeVisible()
})

test('a plain harvest of one heap takes at most twelve taps and keys', async ({ page }) => {
  await startHousehold(page, 'Twelve House')
  await page.goto('/bring-in')
  let acts = 0
  await page.getByLabel('Find what came in').click()
  acts++
  for (const key of ['c', 'a', 'r', 'r', 'Enter']) {
    await page.keyboard.press(key)
    acts++
  }
  await page.getByLabel('Weight of the whole harvest, kg').click()
  acts++
  for (const key of ['6', '.', '5', 'Enter']) {
    await page.keyboard.press(key)
    acts++
  }
  await expect(page.getByRole('heading', { name: 'One lot brought in' })).toBeVisible()
  expect(acts).toBeLessThanOrEqual(12)
})

test('several weighings are added, the tare taken off, and a count alone becomes a weight', async ({ page }) => {
  await startHousehold(page, 'Tally House')
  await page.goto('/bring-in')
  await page.getByRole('radio', { name: 'Garlic, hardneck' }).click()
  await page.getByLabel('Weight of the whole harvest, kg').fill('2.4 + 3.1 - 0.5')
  await expect(page.getByText('= 5.00 kg')).toBeVisible()
  await page.getByLabel('Weight of the whole harvest, kg').fill('')
  await page.getByLabel('Sound, number of heads').fill('60')
  // 45 g a head in the almanac
  await expect(page.getByText('about 2.70 kg by their usual weight')).toBeVisible()
  await expect(page.getByText('The heaps come to 2.70 kg.')).toBeVisible()
  await page.getByLabel('Sound, kg').fill('2.5')
  await expect(page.getByText('42 g each')).toBeVisible()
  // twenty of sixty kept back, the largest
  await page.getByLabel('How many to keep back').fill('20')
  await page.getByRole('button', { name: 'Put them on the planting heap' }).first().click()
  await expect(page.getByLabel('For planting, number of heads')).toHaveValue('20')
  await expect(page.getByLabel('Sound, number of heads')).toHaveValue('40')
  const soundG = 1000 * Number(await page.getByLabel('Sound, kg').inputValue())
  await page.getByRole('button', { name: 'Make 2 lots' }).click()
  await expect(page.getByRole('heading', { name: '2 lots brought in' })).toBeVisible()
  // more from the same bed goes into the same lot
  await page.getByRole('button', { name: 'Bring in more' }).click()
  await page.getByRole('radio', { name: 'Garlic, hardneck' }).click()
  await page.getByLabel('Sound, kg').fill('1')
  await pick(page, 'Lot for Sound', 'into G26-1')
  await page.getByRole('button', { name: 'Make the lot' }).click()
  await expect(page.locator('.made').getByText('G26-1')).toBeVisible()
  const lots = (await (await page.request.get(apiOf(page, '/lots'))).json()) as {
    code: string
    weightG: number
    pieces: number
  }[]
  expect(lots.find((l) => l.code === 'G26-1')).toMatchObject({
    weightG: soundG + 1000,
    pieces: Math.round(40 * (1 + 1000 / soundG)),
  })
})

test('a picture of a heap is made small in the browser and shown on its lot', async ({ page }) => {
  await startHousehold(page, 'Picture House')
  await page.goto('/bring-in')
  await page.getByRole('radio', { name: 'Garlic, hardneck' }).click()
  await page.getByLabel('Weight of the whole harvest, kg').fill('3')
  await page.getByRole('button', { name: 'Make the lot' }).click()
  // a real picture: this page, as the browser draws it
  const buffer = await page.screenshot()
  await page.getByLabel('Picture of G26-1').setInputFiles({ name: 'heap.png', mimeType: 'image/png', buffer })
  await expect(page.getByText('Picture kept')).toBeVisible()
  await page.goto('/lots/G26-1')
  const picture = page.getByRole('img', { name: 'Garlic, hardneck G26-1' })
  expect(await picture.evaluate((img: HTMLImageElement) => img.decode().then(() => img.naturalWidth))).toBe(800)
})

test('a picture of a tag opens its lot, another code does not', async ({ page }) => {
  await startHousehold(page, 'Scan House')
  await page.goto('/bring-in')
  await page.getByRole('radio', { name: 'Garlic, hardneck' }).click()
  await page.getByLabel('Weight of the whole harvest, kg').fill('3')
  await page.getByRole('button', { name: 'Make the lot' }).click()
  await page.goto('/lots/G26-1/tag')
  const tag = page.getByRole('img', { name: /Tag of lot G26-1/ })
  await tag.evaluate((img: HTMLElement) => (img.style.width = '520px'))
  const buffer = await tag.screenshot()
  await page.goto('/find')
  await page.getByLabel('Picture of a tag').setInputFiles({ name: 'tag.png', mimeType: 'image/png', buffer })
  await expect(page.getByRole('heading', { name: /Garlic, hardneck G26-1/ })).toBeVisible()
  await page.goto('/find')
  const blank = await page.screenshot()
  await page.getByLabel('Picture of a tag').setInputFiles({ name: 'page.png', mimeType: 'image/png', buffer: blank })
  await expect(page.getByRole('alert')).toContainText('No tag to be read')
})
