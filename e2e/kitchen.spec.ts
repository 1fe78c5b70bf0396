import type { LotRow, LotView } from '@vadose/contract/lots'
import type { Page } from '@playwright/test'
import { api, bringIn, pick } from './acts'
import { apiOf, expect, test } from './page'
import { startHousehold } from './story'

const sizes = [
  { name: 'desk', width: 1280, height: 800 },
  { name: 'phone', width: 390, height: 844 },
]
const lotOf = (page: Page, code: string) => api<LotView>(page, `/lots/${code}`)
const lotNamed = async (page: Page, name: string) =>
  (await api<LotRow[]>(page, '/lots')).find((lot) => lot.name === name)!

async function place(page: Page, name: string, kind: RegExp) {
  await page.goto('/household')
  await page.getByLabel('Name of a new place').fill(name)
  await page.getByRole('radio', { name: kind }).click()
  await page.getByRole('button', { name: 'Add it' }).click()
  await expect(page.getByText(name, { exact: true })).toBeVisible()
}

for (const size of sizes) {
  test(`a dish takes from several lots, knows its beds, and is made again from memory (${size.name})`, async ({
    page,
  }) => {
    await page.setViewportSize(size)
    await startHousehold(page, `Cooking House ${size.name}`)
    await place(page, 'Chest freezer', /^Freezer/)
    const cabbage = await bringIn(page, 'Cabbage, red', '6', 3)
    const onions = await bringIn(page, 'Shallot', '2')

    await page.goto(`/kitchen?lots=${cabbage}`)
    await expect(page.locator(`[data-part="${cabbage}"]`)).toBeVisible()
    await page.locator(`[data-part="${cabbage}"]`).getByRole('button', { name: 'less' }).click()
    await pick(page, 'A lot that goes in', new RegExp(onions))
    await page.locator(`[data-part="${onions}"]`).getByLabel('Weight in kg').fill('0.4')
    await page.getByRole('button', { name: 'Something without a lot' }).click()
    await page.getByLabel('Bought or from the tap, 1').fill('wine')
    await page.getByLabel('Its weight, 1').fill('300')
    await page.getByLabel('Name of it').fill('Braised red cabbage')
    await page.getByLabel('How many of them').fill('8')
    // more cannot come out than goes in
    await page.getByLabel('Weight ready').fill('9')
    await expect(page.getByText(/more comes out than goes in: say what else went in/)).toBeVisible()
    await expect(page.getByRole('button', { name: 'Put it by' })).toBeDisabled()
    await page.getByLabel('Weight ready').fill('3.9')
    await page.getByLabel('Weight of the trimmings').fill('500')
    await expect(page.getByRole('img', { name: /go in: .* Out: 8 portions/ })).toBeVisible()
    await page.getByRole('button', { name: 'Put it by' }).click()
    await expect(page.getByRole('heading', { name: 'Braised red cabbage: 8 portions' })).toBeVisible()

    const dish = await lotNamed(page, 'Braised red cabbage')
    expect(dish).toMatchObject({
      crop: 'cabbage-red',
      form: 'frozen',
      pieces: 8,
      weightG: 3900,
      place: 'Chest freezer',
    })
    expect((await lotOf(page, cabbage)).pieces).toBe(1)
    expect((await lotOf(page, onions)).weightG).toBe(1600)
    // the label says what it is, and years later what it was made of
    const tag = await (await page.request.get(apiOf(page, `/lots/${dish.code}/tag.svg`))).text()
    for (const words of ['Braised red cabbage', 'frozen 2026-07-12', '8 portions']) expect(tag).toContain(words)
    await page.goto(`/lots/${dish.code}`)
    const madeOf = page.locator('section', { has: page.getByRole('heading', { name: 'What it is made of' }) })
    await expect(madeOf.getByRole('link', { name: cabbage })).toBeVisible()
    await expect(madeOf.getByText('wine')).toBeVisible()

    // again, to what there is
    await page.goto('/kitchen')
    await page.getByRole('button', { name: 'Make Braised red cabbage again' }).click()
    await expect(page.getByLabel('Name of it')).toHaveValue('Braised red cabbage')
    await expect(page.getByLabel('How many of them')).toHaveValue('4')
    await expect(page.getByLabel('Bought or from the tap, 1')).toHaveValue('wine')
  })

  test(`a pad is read line by line, put right before it is kept, and one jar opened (${size.name})`, async ({
    page,
  }) => {
    await page.setViewportSize(size)
    await startHousehold(page, `Pad House ${size.name}`)
    await place(page, 'Fridge', /^Fridge/)
    await page.goto('/shelf')
    await page.getByLabel('The pad').fill('3 nets onions about 4 kg\n12 jars damson jam 2025\nzzyzx')
    await expect(page.getByRole('heading', { name: '3 lines understood so' })).toBeVisible()
    await expect(page.getByText(/Onion, storing/).first()).toBeVisible()
    await expect(page.getByText(/How many or how much\? Nothing was said/)).toBeVisible()
    await expect(page.getByRole('button', { name: 'Keep 3 lines' })).toBeDisabled()
    await page.getByRole('button', { name: 'Leave out: zzyzx' }).click()
    await page.getByRole('button', { name: 'Keep 2 lines' }).click()
    await expect(page.getByText('2 lines kept.')).toBeVisible()
    // a list from another program: its columns are said, then it is read like the pad
    await page.getByLabel('From a list (CSV or text)').setInputFiles({
      name: 'freezer.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from('Where;Item;Qty;Container;Weight (g)\nKitchen;Kale;5;bags;1500\nFridge;goulash;3;portions;'),
    })
    await expect(page.getByText('The first reads: “5 bags Kale 1500 g in Kitchen”.')).toBeVisible()
    await page.getByRole('button', { name: '2 lines onto the pad' }).click()
    await page.getByRole('button', { name: 'Keep 2 lines' }).click()
    await expect(page.getByText('2 lines kept.')).toBeVisible()
    expect((await api<LotRow[]>(page, '/lots')).find(({ crop }) => crop === 'kale')).toMatchObject({
      pieces: 5,
      weightG: 1500,
      place: 'Kitchen',
    })
    const jam = await lotNamed(page, 'Damson jam')
    expect(jam).toMatchObject({ crop: 'plum', form: 'jarred', unit: 'jar', pieces: 12, broughtOn: '2025-09-01' })

    await page.goto('/larder')
    await page.getByLabel('Find on the shelves').fill('damson')
    await expect(page.locator('[data-lot]')).toHaveCount(1)
    await page.getByRole('button', { name: `Open one of ${jam.code}` }).click()
    await page.getByLabel('Find on the shelves').fill('')
    const open = page.locator('[data-lot]').filter({ hasText: 'opened' })
    await expect(open).toContainText('days left')
    expect((await api<LotRow[]>(page, '/lots')).find((lot) => lot.aside?.why === 'opened')).toMatchObject({
      pieces: 1,
      place: 'Fridge',
    })
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(open).toHaveCount(0)
    expect((await lotOf(page, jam.code)).pieces).toBe(12)
  })

  test(`peelings and seed of what is eaten stand by themselves (${size.name})`, async ({ page }) => {
    await page.setViewportSize(size)
    await startHousehold(page, `Peel House ${size.name}`)
    const code = await bringIn(page, 'Courgette', '3', 6)
    await page.goto(`/lots/${code}`)
    await page.getByRole('button', { name: /^Use/ }).click()
    const form = page.locator('form', { hasText: 'How much is taken?' })
    await form.getByText('seed', { exact: true }).click()
    await form.getByText('peelings', { exact: true }).click()
    await form.getByLabel('Weight of the seed').fill('20')
    await form.getByRole('button', { name: 'Use', exact: true }).click()
    await expect(form).toBeHidden()
    const lots = await api<LotRow[]>(page, '/lots')
    expect(lots.find(({ heap }) => heap === 'seed')).toMatchObject({
      weightG: 20,
      guessed: { weight: false },
      aside: { why: 'dry' },
    })
    expect(lots.find(({ heap }) => heap === 'peelings')).toMatchObject({
      weightG: 75,
      guessed: { weight: true },
      aside: { why: 'cook' },
    })
    await page.goto('/')
    await expect(page.getByText(/to dry/).first()).toBeVisible()
  })
}
