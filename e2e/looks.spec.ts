import type { StandView } from '@vadose/contract/beds'
import { api, pass, pick, takeDown } from './acts'
import { expect, test } from './page'
import { startHousehold } from './story'

const sizes = [
  { name: 'desk', width: 1280, height: 800 },
  { name: 'phone', width: 390, height: 844 },
]

for (const size of sizes) {
  test(`what is seen at a bed comes to a day, and is brought in from there (${size.name})`, async ({ page }) => {
    await page.setViewportSize(size)
    await startHousehold(page, `Look House ${size.name}`)
    await page.goto('/bring-in')
    await page.getByRole('link', { name: 'Write down a look at a bed' }).click()
    await pick(page, 'What grows there', 'Garlic, hardneck')
    await page.getByLabel('Bed or pots').fill('Bed 3')
    await page.getByLabel('Variety').fill('Red Moor')
    await page.getByLabel('Seen on').fill('2 Jul 2026')
    await page.getByLabel('Seen on').press('Enter')
    await page.getByRole('button', { name: 'Scapes cut' }).click()
    const bed = page.locator('article[data-bed="Bed 3"]')
    await expect(bed).toContainText('Scapes cut 2 July: lift 23 July to 30 July.')
    await expect(bed.getByRole('img')).toHaveAccessibleName(/scapes cut on 2 July; to lift from 23 July to 30 July/)

    // a look is two taps, and says more than the scapes
    await bed.getByRole('button', { name: 'What do you see?' }).click()
    await bed.getByRole('radio', { name: '4', exact: true }).click()
    await expect(bed.getByText(/^▲ lift/)).toBeVisible()
    await expect(bed).toContainText('By “scapes cut 2 July” it is 23 July to 30 July.')
    // a slip is one tap to take back
    await bed.getByRole('button', { name: 'Strike out: 4 of 9 leaves brown' }).click()
    await expect(bed).toContainText('Scapes cut 2 July: lift 23 July to 30 July.')
    await bed.getByRole('radio', { name: 'cloves fill their skins' }).click()
    await expect(bed.getByText(/^▲ lift/)).toBeVisible()

    await bed.getByRole('link', { name: 'Bring it in' }).click()
    await expect(page.getByLabel('Bed', { exact: true })).toHaveValue('Bed 3')
    await expect(page.getByLabel('Variety', { exact: true })).toHaveValue('Red Moor')
    await page.getByLabel('Weight of the whole harvest, kg').fill('4.2')
    await page.getByRole('button', { name: 'Make the lot' }).click()
    await expect(page.getByRole('heading', { name: 'One lot brought in' })).toBeVisible()
    await page.goto('/beds')
    await expect(page.getByRole('listitem').filter({ hasText: 'Garlic, hardneck Red Moor' })).toContainText(
      '4.20 kg, last on 12 July',
    )
    expect(await api<StandView[]>(page, '/beds')).toMatchObject([{ over: true, lifted: [{ weightG: 4200 }] }])
  })

  test(`what is kept back asks to be planted, and stands in its bed then (${size.name})`, async ({ page }) => {
    await page.setViewportSize(size)
    await startHousehold(page, `Plant House ${size.name}`)
    await page.goto('/bring-in')
    await page.getByRole('radio', { name: 'Garlic, hardneck' }).click()
    await page.getByLabel('For planting, kg').fill('1.5')
    await page.getByLabel(/^For planting, number of/).fill('30')
    await page.getByRole('button', { name: 'Make the lot' }).click()
    await expect(page.getByRole('heading', { name: 'One lot brought in' })).toBeVisible()
    const code = (await page.locator('.made .figure').first().textContent())!
    await page.goto('/')
    for (let week = 0; week < 4; week++) await pass(page, 'Next week')
    await takeDown(page, code, '1.1', 30, /^North room/)
    await page.goto('/')
    for (let week = 0; week < 9; week++) await pass(page, 'Next week')
    const job = page.locator('article.job[data-kind="plant"]')
    await expect(job).toContainText('Planting time is October and November.')
    await job.getByLabel('Bed they went into').fill('Bed 11')
    await job.getByRole('button', { name: 'All planted' }).click()
    await expect(job).toHaveCount(0)
    if (size.name === 'desk') await page.keyboard.press('b')
    else await page.goto('/beds')
    const bed = page.locator('article[data-bed="Bed 11"]')
    await expect(bed).toContainText(`Planted 30 heads, 1.10 kg on 11 October from ${code}.`)
    await expect(bed).toContainText('2027')
  })
}

test('a look kept at bring in is asked about again, and the round says when', async ({ page }) => {
  await startHousehold(page, 'Round Look House')
  await page.goto('/bring-in')
  await page.getByRole('radio', { name: 'Onion, storing' }).click()
  await page.getByLabel('Bed', { exact: true }).fill('Bed 6')
  await page.getByRole('radio', { name: '2', exact: true }).click()
  await page.getByRole('button', { name: 'Not yet: keep this look at Bed 6' }).click()
  await expect(page.getByRole('link', { name: /Kept/ })).toBeVisible()
  await page.goto('/')
  await pass(page, 'Next week')
  const job = page.locator('article.job[data-kind="look-bed"]')
  await expect(job).toContainText('Look at the onions, Bed 6')
  await job.getByRole('link', { name: 'Look' }).click()
  // the bed is open to be looked at
  await expect(page.getByRole('radiogroup', { name: 'How many tops in ten have fallen?' })).toBeVisible()
  await page.getByRole('radio', { name: '9', exact: true }).click()
  await expect(page.locator('article[data-bed="Bed 6"]')).toContainText('9 of 10 tops down')
  await page.goto('/')
  await expect(page.locator('.strip')).toHaveAccessibleName(/Likely harvests: Bed 6 from/)
})
