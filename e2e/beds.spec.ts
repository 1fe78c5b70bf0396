import type { LotRow } from '@vadose/contract/lots'
import { api, pass, pick, picker } from './acts'
import { expect, test } from './page'
import { startHousehold } from './story'

test('a diseased heap marks its bed, and what comes from there next is looked at twice', async ({ page }) => {
  await startHousehold(page, 'Bed House')
  await page.goto('/bring-in')
  await page.getByRole('radio', { name: 'Onion, storing' }).click()
  await page.getByLabel('Bed', { exact: true }).fill('Long bed')
  await page.getByLabel('Weight of the whole harvest, kg').fill('8')
  await page.getByLabel('Soft base or white mould, kg').fill('0.6')
  await page.getByRole('button', { name: 'Make 2 lots' }).click()
  await expect(page.getByText('written off; the bed is marked')).toBeVisible()
  // another allium in the same bed, however it is spelt
  await page.getByRole('button', { name: 'Bring in more' }).click()
  await page.getByLabel('Find what came in').fill('shallot')
  await page.getByLabel('Find what came in').press('Enter')
  await page.getByLabel('Bed', { exact: true }).fill('LONG bed')
  await expect(page.getByText(/Long bed was marked on 12 Jul for diseased onions/)).toBeVisible()
  await page.getByLabel('Bed', { exact: true }).fill('Short bed')
  await expect(page.getByText(/was marked on/)).toHaveCount(0)
  // carrots do not mind white rot
  await page.getByLabel('Find what came in').fill('carrot')
  await page.getByLabel('Find what came in').press('Enter')
  await page.getByLabel('Bed', { exact: true }).fill('Long bed')
  await expect(page.getByText(/was marked on/)).toHaveCount(0)
})

test('two harvests of one bed hang as one lot while they are young, and not later', async ({ page }) => {
  await startHousehold(page, 'Join House')
  const harvest = async (kilos: string, into?: string) => {
    await page.goto('/bring-in')
    await page.getByRole('radio', { name: 'Garlic, hardneck' }).click()
    await page.getByLabel('Bed', { exact: true }).fill('Bed 3')
    await page.getByLabel('Sound, kg').fill(kilos)
    if (into) await pick(page, 'Lot for Sound', `into ${into}`)
    else await expect(page.getByLabel('Lot for Sound')).toHaveCount(0)
    await page.getByRole('button', { name: 'Make the lot' }).click()
    await expect(page.getByRole('heading', { name: 'One lot brought in' })).toBeVisible()
  }
  await harvest('3')
  await pass(page, 'Next morning')
  await harvest('2', 'G26-1')
  expect((await api<LotRow[]>(page, '/lots')).map((l) => [l.code, l.weightG])).toEqual([['G26-1', 5000]])
  await pass(page, 'Next week')
  await harvest('1')
  expect(await api<LotRow[]>(page, '/lots')).toHaveLength(2)
})

test('the almanac proposes the place: roots to the cellar, alliums to the veranda, what is nicked to the kitchen', async ({
  page,
}) => {
  await startHousehold(page, 'Place House Two')
  const proposed = async (crop: string, heap: string) => {
    await page.goto('/bring-in')
    await page.getByLabel('Find what came in').fill(crop)
    await page.getByRole('radio', { name: crop, exact: true }).click()
    return (await picker(page, `Place for ${heap}`).textContent())!.trim()
  }
  expect(await proposed('Carrot', 'Sound')).toBe('Cellar')
  expect(await proposed('Garlic, hardneck', 'Sound')).toBe('Veranda')
  expect(await proposed('Garlic, hardneck', 'Nicked or torn')).toBe('Kitchen')
  expect(await proposed('Squash, butternut', 'Sound')).toBe('Kitchen')
})

test('a day ahead of today cannot be lifted on, and an earlier one has hung since', async ({ page }) => {
  await startHousehold(page, 'Day House')
  await page.goto('/bring-in')
  await page.getByRole('radio', { name: 'Garlic, hardneck' }).click()
  await page.getByLabel('Lifted on').fill('20 Jul 2026')
  await page.getByLabel('Lifted on').press('Enter')
  await page.getByLabel('Weight of the whole harvest, kg').fill('4')
  await expect(page.getByLabel('Lifted on')).not.toHaveValue('20 Jul 2026')
  await page.getByLabel('Lifted on').fill('5 Jul 2026')
  await page.getByLabel('Lifted on').press('Enter')
  await page.getByRole('button', { name: 'Make the lot' }).click()
  await expect(page.getByRole('heading', { name: 'One lot brought in' })).toBeVisible()
  await page.goto('/line?lot=G26-1')
  const { lots } = await api<{ lots: { hungOn: string; progress: number }[] }>(page, '/line')
  expect(lots[0]!.hungOn).toBe('2026-07-05')
  expect(lots[0]!.progress).toBeGreaterThan(0.1)
})
