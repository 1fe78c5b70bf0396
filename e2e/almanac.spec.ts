import { randomUUID } from 'node:crypto'
import { api } from './acts'
import { apiOf, expect, test } from './page'
import { startHousehold } from './story'

test('a crop is found by any of its names or by what is in the hand', async ({ page }) => {
  await startHousehold(page, 'Finder’s House')
  await page.goto('/almanac')
  const find = page.getByLabel(/Find a crop by name/)
  for (const [typed, name] of [
    ['zucchini', 'Courgette'],
    ['rutabaga', 'Swede'],
    ['eggplant', 'Aubergine'],
    ['soft neck', 'Garlic, softneck'],
  ] as const) {
    await find.fill(typed)
    await find.press('Enter')
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(name)
  }
  await find.fill('no such thing at all')
  await expect(page.getByText(/Nothing fits/)).toBeVisible()
})

test('a school is chosen, a number changed and put back, both shown as the household’s', async ({ page }) => {
  await startHousehold(page, 'Own Ways')
  await page.goto('/almanac/garlic-hardneck')
  const neck = page.getByRole('radiogroup', { name: /How long to leave the neck/ })
  await neck.getByRole('radio', { name: /short/ }).click()
  await expect(neck.getByRole('radio', { name: /short/ })).toBeChecked()
  await page.reload()
  await expect(neck.getByRole('radio', { name: /short/ })).toBeChecked()

  await page.getByRole('button', { name: 'Change for our house' }).click()
  const row = page.getByRole('row').filter({ hasText: 'Bearable loss' })
  await row.getByRole('button', { name: 'Change' }).click()
  await page.getByLabel('Bearable loss, %').fill('lots')
  await page.getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(page.getByRole('alert')).toHaveText('Type one number.')
  await page.getByLabel('Bearable loss, %').fill('14')
  await page.getByLabel('Why').fill('we powder the light ones')
  await page.getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(row).toContainText('14 %')
  await expect(row).toContainText('our house')
  await expect(page.getByText('1 of your own')).toBeVisible()
  await row.getByRole('button', { name: 'Put back' }).click()
  await expect(row).toContainText('10 %')
  await expect(row).not.toContainText('our house')
})

test('a number beyond what can be is refused by name, and nothing is changed', async ({ page, wrongs }) => {
  await startHousehold(page, 'Slip House')
  await page.goto('/almanac/carrot')
  await page.getByRole('button', { name: 'Change for our house' }).click()
  const row = page.getByRole('row').filter({ hasText: 'Freezes at' })
  await row.getByRole('button', { name: 'Change' }).click()
  await page.getByLabel('Freezes at, °C').fill('40')
  await page.getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(page.getByRole('alert')).toContainText('Carrot')
  // the refusal is an answer with 400, which the browser notes too
  wrongs.splice(0)
  await expect(row).toContainText('−1.4 °C')
})

test('a crop of the household’s own is added from a template and brought in', async ({ page }) => {
  await startHousehold(page, 'Seed Saver')
  await page.goto('/almanac/squash-butternut')
  await page.getByRole('button', { name: 'Add a crop like it' }).click()
  await page.getByLabel('Name of your crop').fill('Grandmother’s squash')
  await page.getByRole('button', { name: 'Add it' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Grandmother’s squash')
  await page.goto('/bring-in')
  await page.getByLabel('Find what came in').fill('grandm')
  await page.getByLabel('Find what came in').press('Enter')
  await page.getByLabel('Weight of the whole harvest, kg').fill('8')
  await page.getByRole('button', { name: 'Make the lot' }).click()
  await expect(page.getByText('Sound, 8.00 kg')).toBeVisible()
})

test('whom to ask stands beside the cautions once the household has said', async ({ page }) => {
  await startHousehold(page, 'Careful House')
  await page.goto('/almanac/bean-runner')
  await expect(page.getByText(/never raw/)).toBeVisible()
  await page.getByRole('link', { name: 'say who that is' }).click()
  await page.getByLabel('Name', { exact: true }).fill('County kitchen desk')
  await page.getByLabel('Address').fill('https://food.example.org')
  await page
    .locator('form')
    .filter({ has: page.getByLabel('Address') })
    .getByRole('button', { name: 'Keep' })
    .click()
  await expect(page.locator('.el-message')).toHaveText('Kept.')
  await page.goto('/almanac/bean-runner')
  await expect(page.getByRole('link', { name: /County kitchen desk comes first/ })).toHaveAttribute(
    'href',
    'https://food.example.org',
  )
})

test('what a household says of a variety moves the date of its lot, which says so', async ({ page }) => {
  await startHousehold(page, 'Variety House')
  const places = await api<{ id: string; name: string }[]>(page, '/places')
  const made = await page.request.post(apiOf(page, '/harvests'), {
    data: {
      requestId: randomUUID(),
      crop: 'beetroot',
      variety: 'Lindle Red',
      harvestedOn: '2026-07-12',
      totalG: 6000,
      heaps: [{ heap: 'sound', weightG: 6000, placeId: places.find(({ name }) => name === 'Cellar')!.id }],
    },
  })
  expect(made.status()).toBe(201)
  const [{ code }] = await api<[{ code: string }]>(page, '/lots')
  const until = async () =>
    (await api<{ keeping: { nineInTenUntil: { p50: string } } }>(page, `/lots/${code}`)).keeping.nineInTenUntil.p50
  const before = await until()
  await page.goto('/almanac/beetroot')
  await expect(page.getByText('Looks at lots that are gone teach how long it really keeps here')).toBeVisible()
  const keeps = page.getByRole('radiogroup', { name: 'How Lindle Red keeps' })
  await keeps.getByRole('radio', { name: 'usual' }).focus()
  await page.keyboard.press('ArrowRight')
  await expect(keeps.getByRole('radio', { name: 'longer' })).toBeChecked()
  await expect.poll(until).not.toBe(before)
  expect((await until()) > before).toBe(true)
  await page.goto(`/lots/${code}`)
  await expect(page.getByText(/Lindle Red keeps .*longer here|Lindle Red keeps half as long again here/)).toBeVisible()
  await page.getByRole('link', { name: 'as you said' }).click()
  await expect(keeps.getByRole('radio', { name: 'longer' })).toBeChecked()
})
