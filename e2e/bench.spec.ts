import type { Page } from '@playwright/test'
import { expect, test } from './page'
import { startHousehold } from './story'

const sheets = [
  ['air', 'Pull on water', /0\.94 kPa/],
  ['cure', 'Done', /%/],
  ['dry-weight', 'Dry at', /360 g/],
  ['drying-fit', 'Done at', /180 g/],
  ['dried-life', 'Good for', /months/],
  ['equilibrium-moisture', 'Settles at', /12\.9 %/],
  ['seed-life', 'Alive then', /82 %/],
  ['blanch', 'In boiling water', /3 minutes/],
  ['freeze-time', 'Frozen after', /hours/],
  ['freezer-load', 'At most a day', /9\.6 kg/],
  ['frozen-life', 'Used up', /months/],
  ['power-cut', 'The rule gives it', /hours/],
  ['glut', 'Frozen', /kg/],
  ['keep', 'Keeps', /days/],
  ['check-size', 'Look at', /21 pieces/],
  ['check-update', 'Lives', /days/],
  ['run-out', 'Runs out', /2026|2027/],
  ['planting', 'Plant', /21 pieces/],
  ['brine', 'Salt', /25 g/],
] as const

const answer = (page: Page, label: string) =>
  page
    .locator('.answer dl > div')
    .filter({ has: page.getByText(label, { exact: true }) })
    .locator('dd')

test('every worksheet answers, draws its answer, and says how and from where', async ({ page }) => {
  await startHousehold(page, 'Bench House')
  for (const [name, label, says] of sheets) {
    await page.goto(`/bench/${name}`)
    await expect(answer(page, label), name).toContainText(says)
    await expect(page.locator('.answer svg[role=img]')).toBeVisible()
    await expect(page.locator('.answer .fold table')).toHaveCount(1)
    await expect(page.locator('.how')).toContainText('Source:')
  }
})

test('the page and the server give the same answer', async ({ page }) => {
  await startHousehold(page, 'Twice House')
  await page.goto('/bench/keep?crop=carrot&temperatureC=4&relativeHumidityPct=95')
  const body = await (
    await page.request.post('/api/bench/keep', { data: { crop: 'carrot', temperatureC: 4, relativeHumidityPct: 95 } })
  ).json()
  await expect(answer(page, 'Keeps')).toContainText(`${Math.round(body.lifeDays.p50)} days`)
})

test('a link brings the worksheet back, and it copies as text', async ({ page, context }) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write'])
  await startHousehold(page, 'Link House')
  await page.goto('/bench/brine')
  await page.getByRole('spinbutton', { name: 'Salt' }).fill('5')
  await expect(answer(page, 'Salt')).toContainText('50 g')
  await page.getByRole('button', { name: 'Copy link' }).click()
  const link = await page.evaluate(() => navigator.clipboard.readText())
  await page.goto('/')
  await page.goto(link)
  await expect(page.getByRole('spinbutton', { name: 'Salt' })).toHaveValue('5')
  await expect(answer(page, 'Salt')).toContainText('50 g')
  await page.getByRole('button', { name: 'Copy as text' }).click()
  const text = await page.evaluate(() => navigator.clipboard.readText())
  expect(text).toMatch(/How much salt\?[\s\S]*Salt: 5 %[\s\S]*Salt: 50 g[\s\S]*Source:/)
})

test('units follow the household', async ({ page }) => {
  await startHousehold(page, 'Pound House')
  await page.goto('/household')
  await page.getByRole('radio', { name: 'Pounds and °F' }).click()
  await expect(page.getByRole('radio', { name: 'Pounds and °F' })).toBeChecked()
  await page.goto('/bench/air')
  await expect(page.getByLabel('Temperature')).toHaveValue('68')
  await expect(answer(page, 'Dew forms at')).toContainText('53.6 °F')
  await page.goto('/bench/freezer-load')
  await expect(answer(page, 'At most a day')).toContainText('lb')
  await page.goto('/bring-in')
  await page.getByRole('radio', { name: 'Garlic, hardneck' }).click()
  await page.getByLabel('Weight of the whole harvest, lb').fill('2')
  await expect(page.getByText('The heaps add up to 2.00 lb.')).toBeVisible()
})

test('what cannot be answered is said, and what cannot be read is named', async ({ page }) => {
  await startHousehold(page, 'Typing House')
  await page.goto('/bench/freeze-time')
  await page.getByLabel('Freezer').fill('5')
  await expect(page.getByRole('alert')).toContainText('“Freezer” must lie between −40 °C and −15 °C')
  await page.getByLabel('Freezer').fill('cold')
  await expect(page.getByLabel('Freezer')).toHaveValue('')
  await expect(page.getByRole('alert')).toContainText('Freezer')
  await page.goto('/bench/drying-fit')
  await page.getByLabel('Weighings').fill('0, 1000\n3')
  await expect(page.getByRole('alert')).toContainText('line 2')
  await page.goto('/bench/no-such-sheet')
  await expect(page.getByText('There is no worksheet')).toBeVisible()
})

test('a simulation runs beside the page, says how far it is, and can be called off', async ({ page }) => {
  await startHousehold(page, 'Patient House')
  await page.goto('/bench/check-policy')
  await page.getByLabel('Pieces').fill('400')
  await page.getByRole('button', { name: 'Simulate it' }).click()
  await expect(page.getByRole('progressbar')).toBeVisible()
  // the page still takes what is typed while the worker computes
  await page.getByRole('button', { name: 'Call it off' }).click()
  await expect(page.getByRole('progressbar')).toHaveCount(0)
  await expect(page.locator('.answer svg[role=img]')).toHaveCount(0)
  await page.getByLabel('Pieces').fill('30')
  await page.getByRole('button', { name: 'Simulate it' }).click()
  await expect(answer(page, 'Fewer spoilt by neighbours')).toContainText('%')
})
