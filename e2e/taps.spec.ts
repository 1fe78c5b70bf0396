import type { LotRow } from '@vadose/contract/lots'
import { api, bringIn, pass, takeDown } from './acts'
import { expect, test } from './page'
import { startHousehold } from './story'

test('a plain harvest by keyboard takes at most twenty keys', async ({ page }) => {
  await startHousehold(page, 'Few Keys')
  let keys = 0
  const press = async (text: string) => {
    for (const key of text === 'Enter' ? ['Enter'] : text) {
      keys++
      await page.keyboard.press(key)
    }
  }
  await press('2')
  await expect(page.getByLabel('Find what came in')).toBeFocused()
  await press('carro')
  await press('Enter')
  await expect(page.getByLabel('Weight of the whole harvest, kg')).toBeFocused()
  await press('12.4')
  await press('Enter')
  await expect(page.getByRole('heading', { name: 'One lot brought in' })).toBeVisible()
  expect(keys).toBeLessThanOrEqual(20)
  // in the empty field a figure leads to another screen, as everywhere
  await page.keyboard.press('2')
  await page.getByRole('link', { name: 'Today' }).locator('visible=true').first().click()
  await page.keyboard.press('2')
  await expect(page.getByLabel('Find what came in')).toBeFocused()
  await page.keyboard.press('5')
  await expect(page.getByRole('heading', { name: 'The larder' })).toBeVisible()
})

for (const size of [
  { name: 'desk', width: 1280, height: 800 },
  { name: 'phone', width: 390, height: 844 },
]) {
  test(`three garlics from one bed in at most twenty-five taps, heaps each (${size.name})`, async ({ page }) => {
    await page.setViewportSize(size)
    await startHousehold(page, `Three Garlics ${size.name}`)
    let taps = 0
    const type = async (label: string | RegExp, text: string) => {
      taps++
      await page.getByLabel(label).fill(text)
    }
    const tap = async (name: string | RegExp, role: 'button' | 'radio' = 'button') => {
      taps++
      await page.getByRole(role, { name }).click()
    }
    await page.goto('/bring-in')
    await type('Find what came in', 'hardneck')
    await tap('Garlic, hardneck', 'radio')
    await type('Bed', 'Bed 3')
    for (const [i, variety] of ['Quarry Stiff', 'Bell Purple', 'Late Rose'].entries()) {
      if (i > 0) await tap('Another variety from this bed')
      await expect(page.getByLabel('Bed')).toHaveValue('Bed 3')
      await type('Variety', variety)
      await type('Weight of the whole harvest, kg', String(3 + i))
      await type('Nicked or torn, kg', '0.3')
      await tap(/^Make /)
      await expect(page.getByRole('heading', { name: '2 lots brought in' })).toBeVisible()
    }
    expect(taps).toBeLessThanOrEqual(25)
    const lots = await api<LotRow[]>(page, '/lots')
    expect(lots.map(({ variety, bed, heap }) => `${variety} ${bed} ${heap}`).sort()).toEqual([
      'Bell Purple Bed 3 nicked',
      'Bell Purple Bed 3 sound',
      'Late Rose Bed 3 nicked',
      'Late Rose Bed 3 sound',
      'Quarry Stiff Bed 3 nicked',
      'Quarry Stiff Bed 3 sound',
    ])
    // next time the names are one tap away, and seen
    await page.goto('/bring-in')
    await page.getByRole('radio', { name: 'Garlic, hardneck' }).click()
    await page.getByRole('group', { name: 'Varieties of before' }).getByRole('button', { name: 'Bell Purple' }).click()
    await expect(page.getByLabel('Variety')).toHaveValue('Bell Purple')
  })

  test(`heads kept back for planting come from the sound heap (${size.name})`, async ({ page }) => {
    await page.setViewportSize(size)
    await startHousehold(page, `Kept House ${size.name}`)
    await page.goto('/bring-in')
    await page.getByLabel('Find what came in').fill('hardneck')
    await page.getByRole('radio', { name: 'Garlic, hardneck' }).click()
    await page.getByLabel('Weight of the whole harvest, kg').fill('6')
    await page.getByLabel(/^Sound, number of/).fill('120')
    await page.getByLabel('How many to keep back').fill('48')
    await page.getByRole('button', { name: 'Put them on the planting heap' }).first().click()
    await expect(page.getByLabel(/^Sound, number of/)).toHaveValue('72')
    await page.getByRole('button', { name: /^Make / }).click()
    await expect(page.getByRole('heading', { name: '2 lots brought in' })).toBeVisible()
    const lots = await api<LotRow[]>(page, '/lots')
    expect(lots.reduce((sum, lot) => sum + (lot.pieces ?? 0), 0)).toBe(120)
    expect(lots.reduce((sum, lot) => sum + lot.weightG, 0)).toBe(6000)
  })
}

test('weighing from the round, a look with one fault, and an undo: four taps at most, four, one', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await startHousehold(page, 'Few Taps')
  const hanging = await bringIn(page, 'Onion, storing', '9')
  await page.goto('/')
  let taps = 1
  const job = page.locator('.job[data-kind="weigh"]').filter({ hasText: hanging })
  await job.getByLabel(/grams$/).fill('900')
  taps++
  await job.getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(page.locator('.undo')).toContainText('weighed 900 g')
  expect(taps).toBeLessThanOrEqual(4)

  const stored = await bringIn(page, 'Garlic, hardneck', '4', 60)
  await takeDown(page, stored, '3', 60, /North room/)
  for (let i = 0; i < 3; i++) await pass(page, 'Next week')
  await page.goto('/')
  let looks = 0
  const tap = async (name: string | RegExp, role: 'button' | 'link' = 'button') => {
    looks++
    await page.getByRole(role, { name }).first().click()
  }
  await tap('Start check', 'link')
  await tap(/^Green shoot: one more|: one more/)
  await tap(/^What to do with it/)
  await tap(/^Done with it/)
  await expect(page.getByRole('heading', { name: `Looked over ${stored}` })).toBeVisible()
  expect(looks).toBeLessThanOrEqual(4)
  const bar = page.locator('.undo')
  await bar.getByRole('button', { name: 'Undo' }).click()
  await expect(bar).toContainText('as before')
})
