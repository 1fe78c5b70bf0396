import type { LotRow, LotView } from '@vadose/contract/lots'
import { api, bringIn } from './acts'
import { apiOf, expect, test } from './page'
import { startHousehold } from './story'

for (const size of [
  { name: 'desk', width: 1280, height: 800 },
  { name: 'phone', width: 390, height: 844 },
]) {
  test(`what is frozen is the same crop in bags, that keeps for months and knows its bed (${size.name})`, async ({
    page,
  }) => {
    await page.setViewportSize(size)
    await startHousehold(page, `Frozen House ${size.name}`)
    await page.goto('/household')
    await page.getByLabel('Name of a new place').fill('Chest freezer')
    await page.getByRole('radio', { name: /^Freezer/ }).click()
    await page.getByRole('button', { name: 'Add it' }).click()
    await expect(page.getByText('Chest freezer', { exact: true })).toBeVisible()
    const code = await bringIn(page, 'Bean, green', '3')
    const fresh = await api<LotView>(page, `/lots/${code}`)

    // a lot carried to the freezer as it is: prepared and bagged first
    await page.goto(`/lots/${code}`)
    await page.getByRole('button', { name: 'Move' }).click()
    await page.getByRole('radio', { name: /^Chest freezer/ }).click()
    await page.getByRole('link', { name: 'freeze it', exact: true }).click()
    await expect(page.getByText(/^3 min in boiling water, or 4.5 min over steam/)).toBeVisible()
    await page.getByRole('radio', { name: 'A part' }).click()
    await page.getByLabel('Weight in kg').fill('2')
    await page.getByLabel('Weight prepared, kg').fill('1.8')
    await page.getByLabel('How many bags').fill('5')
    await expect(page.getByText('360 g each.')).toBeVisible()
    await page.getByRole('button', { name: 'Into the freezer' }).click()
    await expect(page.getByRole('heading', { name: 'In the freezer' })).toBeVisible()

    const bags = (await api<LotRow[]>(page, '/lots')).find((lot) => lot.form === 'frozen')!
    expect(bags).toMatchObject({ crop: 'bean-green', pieces: 5, weightG: 1800, place: 'Chest freezer' })
    expect((await api<LotView>(page, `/lots/${code}`)).weightG).toBe(1000)
    await page.getByRole('link', { name: `Label for ${bags.code}` }).click()
    await expect(page.getByRole('img', { name: /Tag of lot/ })).toBeVisible()
    const tag = await (await page.request.get(apiOf(page, `/lots/${bags.code}/tag.svg`))).text()
    for (const words of ['Bean, green, frozen', 'blanched', 'frozen 2026-07-12', '5 bags, 1.80 kg'])
      expect(tag.includes(words), words).toBe(true)

    // months, not days; no frost ends it; one bag by one tap, and back
    await page.goto(`/lots/${bags.code}`)
    await expect(page.getByRole('heading', { name: /^Bean, green, frozen/ })).toBeVisible()
    const keeps = (await api<LotView>(page, `/lots/${bags.code}`)).keeping!
    expect(keeps.nineInTenUntil.p50 > '2027-01-01').toBe(true)
    expect(keeps.endedBy.map(({ end }) => end)).not.toContain('frost')
    expect(fresh.heap).toBe(bags.heap)
    await page.goto('/larder')
    await expect(page.getByText(/1.80 kg of it frozen/)).toBeVisible()
    // out of the freezer it thaws
    await page.goto(`/lots/${bags.code}`)
    await page.getByRole('button', { name: 'Move' }).click()
    await page.getByRole('radio', { name: /^Kitchen/ }).click()
    await expect(page.getByText(/Out of the freezer it thaws/)).toBeVisible()
  })
}
