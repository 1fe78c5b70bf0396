import { randomUUID } from 'node:crypto'
import { api, bringIn } from './acts'
import { apiOf, expect, test } from './page'
import { startHousehold } from './story'

for (const size of [
  { name: 'desk', width: 1280, height: 800 },
  { name: 'phone', width: 390, height: 844 },
]) {
  test(`a line says how it lasts to its next crop, and the week has dishes for what would be lost (${size.name})`, async ({
    page,
  }) => {
    await page.setViewportSize(size)
    await startHousehold(page, `Lasting House ${size.name}`)
    const carrots = await bringIn(page, 'Carrot', '6')
    const kale = await bringIn(page, 'Kale', '1.5')
    await page.request.post(apiOf(page, `/lots/${carrots}/acts`), {
      data: { requestId: randomUUID(), act: 'use', weightG: 1500 },
    })
    await page.goto('/larder')
    const line = page.locator(`[data-lot="${carrots}"]`)
    await expect(line).toContainText(/▾ short, to \d+ \w+/)
    const { runOut } = await api<{ runOut: { crop: string; lasts: string | null; nextCropOn: string | null }[] }>(
      page,
      '/larder',
    )
    expect(runOut.find(({ crop }) => crop === 'carrot')).toMatchObject({ lasts: 'short', nextCropOn: '2027-07-12' })
    await expect(page.getByText(/Short: gone .*, the next crop comes about/).first()).toBeVisible()

    // leaves go first: a dish for them, another one when asked, and into the kitchen with its name
    const week = page.locator('section', {
      has: page.getByRole('heading', { name: 'So that nothing is lost this week' }),
    })
    await expect(week.getByRole('link', { name: 'Greens in the pan' })).toBeVisible()
    await week.getByRole('button', { name: 'Other dishes' }).click()
    await week.getByRole('link', { name: 'Green soup' }).click()
    await expect(page.getByLabel('Name of it')).toHaveValue('Green soup')
    await expect(page.getByText(kale).first()).toBeVisible()
  })
}

test('seeds are roasted: what comes out of the oven, a caution, three months', async ({ page }) => {
  await startHousehold(page, 'Roasting House')
  const cellar = (await api<{ id: string; name: string }[]>(page, '/places')).find(
    ({ name }) => name === 'North room',
  )!.id
  const shelf = await page.request.post(apiOf(page, '/larder/stock'), {
    data: {
      requestId: randomUUID(),
      lines: [{ crop: 'pumpkin-seed', form: 'fresh', source: 'grown', weightG: 1000, placeId: cellar }],
    },
  })
  const [{ code }] = ((await shelf.json()) as { lots: { code: string }[] }).lots as [{ code: string }]
  await page.goto(`/kitchen?lots=${code}`)
  await page.getByRole('radio', { name: /^Dry jar/ }).click()
  await page.getByRole('radio', { name: 'Roasted', exact: true }).click()
  await expect(
    page.getByText(/About 967 g come out of the oven. Let them cool completely before the jar closes/),
  ).toBeVisible()
  await page.getByLabel('Name of it').fill('Roasted pumpkin seed')
  await page.getByLabel('How many of them').fill('2')
  await page.getByRole('button', { name: 'Put it by' }).click()
  await expect(page.getByRole('heading', { name: /Roasted pumpkin seed: 2/ })).toBeVisible()
  const lots = await api<{ name: string | null; form: string; code: string }[]>(page, '/lots')
  const made = lots.find(({ name }) => name === 'Roasted pumpkin seed')!
  expect(made.form).toBe('dried')
  const { keeping } = await api<{ keeping: { nineInTenUntil: { p50: string } } }>(page, `/lots/${made.code}`)
  expect(keeping.nineInTenUntil.p50 > '2026-08-25' && keeping.nineInTenUntil.p50 < '2026-12-15').toBe(true)
})
