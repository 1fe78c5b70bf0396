import type { LotRow, LotView } from '@vadose/contract/lots'
import type { YearView } from '@vadose/contract/year'
import { inPlainWords } from '@vadose/words'
import { api, bringIn } from './acts'
import { expect, test } from './page'
import { startHousehold } from './story'

const sizes = [
  { name: 'desk', width: 1280, height: 800 },
  { name: 'phone', width: 390, height: 844 },
]

for (const size of sizes) {
  test(`a glut evening is planned, run by the clock, bagged, labelled and found in the larder (${size.name})`, async ({
    page,
  }) => {
    await page.setViewportSize(size)
    await startHousehold(page, `Evening House ${size.name}`)
    // places, by the first evening
    await page.goto('/first')
    await page.getByRole('button', { name: /^Freezer/ }).click()
    await page.getByRole('button', { name: 'Add it' }).click()
    await expect(page.getByText('Freezer', { exact: true }).first()).toBeVisible()
    const beans = await bringIn(page, 'Bean, green', '2')
    const berries = await bringIn(page, 'Raspberry', '0.8')

    await page.goto('/evening')
    await expect(page.locator(`[data-heap="${beans}"]`)).toContainText('best within')
    await expect(page.getByRole('img', { name: /batches in the pan. Water on/ })).toBeVisible()
    await page.getByText('As a table').click()
    await expect(page.getByRole('row').filter({ hasText: 'Raspberry' })).toContainText('raw on the tray')
    await page.getByRole('button', { name: 'Begin now' }).click()

    // the pan is the clock: one huge button is the next act
    await expect(page.getByRole('timer')).toBeVisible()
    const progress = page.getByText(/^\d+ of \d+ done$/)
    const all = Number(/of (\d+)/.exec((await progress.textContent())!)![1])
    let waited = false
    for (let i = 0; i < all; i++) {
      await expect(progress).toHaveText(`${i} of ${all} done`)
      const notYet = page.getByRole('button', { name: 'Not boiling yet' })
      if (!waited && (await notYet.isVisible())) {
        const before = await page.getByRole('list').first().getByRole('strong').allTextContents()
        await notYet.click()
        await expect
          .poll(() => page.getByRole('list').first().getByRole('strong').allTextContents())
          .not.toEqual(before)
        waited = true
      }
      await page.getByRole('button', { name: 'Done', exact: true }).click()
    }
    expect(waited).toBe(true)
    await expect(page.getByRole('heading', { name: 'All in the freezer' })).toBeVisible()
    // bag a tray with its label in at most six taps: count, weight, bag it, label
    const row = page.locator(`[data-bag="${beans}"]`)
    await row.getByLabel(`Bags of ${beans}`).fill('5')
    await row.getByLabel(`Weight of ${beans} in bags`).fill('1.9')
    await row.getByRole('button', { name: 'Bag it' }).click()
    await expect(row.getByText('in the freezer')).toBeVisible()
    const bags = (await api<LotRow[]>(page, '/lots')).find((lot) => lot.form === 'frozen' && lot.crop === 'bean-green')!
    expect(bags).toMatchObject({ pieces: 5, weightG: 1900 })
    await expect(row.getByRole('link', { name: `Label for ${bags.code}` })).toBeVisible()
    const other = page.locator(`[data-bag="${berries}"]`)
    await other.getByLabel(`Bags of ${berries}`).fill('2')
    await other.getByRole('button', { name: 'Bag it' }).click()
    await expect(other.getByText('in the freezer')).toBeVisible()
    await page.getByRole('button', { name: 'The evening is over' }).click()
    await page.goto('/larder')
    await expect(page.locator(`[data-lot="${bags.code}"]`)).toContainText('5 bags')

    // the power goes: bag by bag into the ledger, undone in one tap
    await page.goto('/power-cut')
    await page.getByLabel('Hours the power was off').fill('44')
    await page.getByLabel('How full it is, in 100').fill('100')
    await expect(page.getByText('It may be frozen again', { exact: true })).toBeVisible()
    await page.locator(`[data-bag="${bags.code}"]`).getByRole('radio', { name: 'Throw out' }).click()
    await page.getByRole('button', { name: 'Book it' }).click()
    await expect(page.locator('[data-booked]')).toHaveText('1 kept, frozen again or cooked; 1 thrown out')
    const thrown = await api<LotView>(page, `/lots/${bags.code}`)
    expect(thrown.stage).toBe('gone')
    expect(inPlainWords(thrown.events.at(-1)!.says)).toMatch(/to the bin: 5 bags.*power off for 44 h/)
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect.poll(async () => (await api<LotView>(page, `/lots/${bags.code}`)).pieces).toBe(5)

    // the year's books balance
    await page.goto('/year')
    await expect(page.getByRole('heading', { name: /^Reckoning since/ })).toBeVisible()
    const { reckoning } = await api<YearView>(page, '/year')
    const lots = await api<LotRow[]>(page, '/lots')
    for (const r of reckoning) {
      const into = r.startG + r.putUpG + r.cookedG + r.correctedG
      expect(into).toBe(r.eatenG + r.givenG + r.plantedG + r.fedG + r.lostG + r.driedG + r.leftG)
      expect(r.leftG).toBe(lots.filter(({ crop }) => crop === r.crop).reduce((sum, lot) => sum + lot.weightG, 0))
    }
    await page.getByRole('img', { name: /crops. Arrow keys read it/ }).focus()
    await page.keyboard.press('ArrowRight')
    await expect(page.getByText(/bean, green .*raspberry|raspberry .*bean, green/)).toBeVisible()
  })
}

test('jars ask for their lids the next day, a ferment to be tasted, until it is in the cold', async ({ page }) => {
  await startHousehold(page, 'Brine House')
  await page.goto('/first')
  await page.getByRole('button', { name: /^Fridge/ }).click()
  await page.getByRole('button', { name: 'Add it' }).click()
  const cabbage = await bringIn(page, 'Cabbage, white', '3')
  await page.goto(`/kitchen?lots=${cabbage}`)
  await page.locator(`[data-part="${cabbage}"]`).getByLabel('Weight in kg').fill('1.5')
  await page.getByRole('radio', { name: /^Salt or brine/ }).click()
  // 1.5 kg at 2.5 % of all want 37.5 g
  await expect(page.getByText(/38 g of salt/)).toBeVisible()
  await page.getByRole('radio', { name: 'How strong it is' }).click()
  await page.getByLabel('Salt put in').fill('30')
  await expect(page.getByText('2.0 %', { exact: true })).toBeVisible()
  await page.getByLabel('Name of it').fill('Kraut')
  await page.getByLabel('How many of them').fill('2')
  await page.getByLabel('Days until it is tasted').fill('1')
  await page.getByRole('button', { name: 'Put it by' }).click()
  await expect(page.getByRole('heading', { name: 'Kraut: 2 jars' })).toBeVisible()

  await page.goto('/shelf')
  await page.getByLabel('The pad').fill('4 jars tomato sauce in cellar')
  await page.getByRole('button', { name: 'Keep 1 line' }).click()
  await expect(page.getByText('1 line kept.')).toBeVisible()
  await page.goto('/')
  await page.getByRole('button', { name: 'Next morning' }).click()
  const seal = page.locator('[data-kind="seal"]')
  await expect(seal).toContainText('Press every lid of the 4')
  await seal.getByRole('button', { name: 'All drawn in' }).click()
  await expect(seal).toHaveCount(0)
  const taste = page.locator('[data-kind="taste"]')
  await expect(taste).toContainText('Taste the kraut')
  await taste.getByRole('button', { name: 'Not yet' }).click()
  await expect(taste).toHaveCount(0)
  for (let i = 0; i < 3; i++) {
    const before = await page.locator('.when strong').textContent()
    await page.getByRole('button', { name: 'Next morning' }).click()
    await expect(page.locator('.when strong')).not.toHaveText(before!)
  }
  await taste.getByRole('button', { name: 'Into the fridge' }).click()
  await expect(taste).toHaveCount(0)
  expect((await api<LotRow[]>(page, '/lots')).find(({ name }) => name === 'Kraut')).toMatchObject({ place: 'Fridge' })
})
