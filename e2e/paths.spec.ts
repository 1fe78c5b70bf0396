import type { LotView } from '@vadose/contract/lots'
import { api, bringIn, putBy } from './acts'
import { apiOf, expect, test } from './page'
import { startHousehold } from './story'

test('potatoes heal their skins in the dark, are felt by thumb, not weighed, and go into sacks', async ({ page }) => {
  await startHousehold(page, 'Potato House')
  const code = await bringIn(page, 'Potato, maincrop', '32')
  await page.goto(`/line?lot=${code}`)
  await expect(page.getByText(/hours of good healing/)).toBeVisible()
  await expect(page.getByRole('button', { name: /^Weigh/ })).toHaveCount(0)
  await expect(page.getByText(/judged by thumb and eye/)).toBeVisible()
  await page.getByRole('button', { name: /Feel thumb on the skin/ }).click()
  await page.getByRole('button', { name: 'skin feathers' }).click()
  await page.getByRole('button', { name: 'Keep what I felt' }).click()
  await expect(page.getByText(/not passed yet/)).toBeVisible()
  await page.getByRole('button', { name: /Feel thumb on the skin/ }).click()
  await page.getByRole('button', { name: 'skin does not rub off' }).click()
  await page.getByRole('button', { name: 'dry and corky' }).click()
  await page.getByRole('button', { name: 'Keep what I felt' }).click()
  await page.goto('/')
  await expect(page.locator('.job[data-kind="take-down"]').filter({ hasText: code })).toBeVisible()
  await page.goto(`/lots/${code}/finish`)
  // potatoes have no neck to leave long
  await expect(page.getByRole('radiogroup', { name: 'Neck' })).toHaveCount(0)
  await page.getByLabel('Weight cleaned, kg').fill('31.2')
  await page.getByLabel('Number of potatoes').fill('240')
  await page.getByRole('radio', { name: /Cellar/ }).click()
  await putBy(page, /^Put by/)
  await expect(page.getByRole('heading', { name: 'Put by' })).toBeVisible()
})

test('herbs hang in bunches, lose most of their weight, and are jarred when they crumble', async ({ page }) => {
  await startHousehold(page, 'Herb House')
  const code = await bringIn(page, 'Herbs, woody', '0.8')
  await page.goto(`/line?lot=${code}`)
  await page.getByRole('button', { name: /^Weigh/ }).click()
  await page.getByRole('radio', { name: 'The whole lot' }).click()
  await page.getByLabel(/grams$/).fill('800')
  await page.locator('.weigh').getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(page.getByText(/Feel leaf between fingers, stalk/)).toBeVisible()
  await page.getByRole('button', { name: 'Next week' }).click()
  await page.goto(`/lots/${code}`)
  await expect(page.getByText(/kPa·h of drying/)).toBeVisible()
})

test('carrots go straight into store, with a date and nothing on the line', async ({ page }) => {
  await startHousehold(page, 'Root House')
  const code = await bringIn(page, 'Carrot', '12')
  await page.goto(`/lots/${code}`)
  await expect(page.getByText(/Look over/).first()).toBeVisible()
  await page.goto('/line')
  await expect(page.getByRole('heading', { name: 'The rope is empty' })).toBeVisible()
})

test('squash is hardened, felt by thumbnail, and sorted by size when it is taken down', async ({ page }) => {
  await startHousehold(page, 'Squash House')
  const code = await bringIn(page, 'Squash, butternut', '11.8')
  await page.goto(`/lots/${code}/finish`)
  await page.getByLabel('Weight cleaned, kg').fill('11.5')
  await page.getByLabel('Number of squash').fill('10')
  await page.getByLabel('Trimmings, kg').fill('0.1')
  await page.getByText(/^Sort by size/).click()
  await page.getByLabel('Small, kg').fill('1.4')
  await page.getByLabel('Small, number of squash').fill('2')
  await page.getByLabel(/^Seconds.*kg$/).fill('1.1')
  await page.getByRole('radio', { name: /North room/ }).click()
  await putBy(page, /^Put by 10/)
  await expect(page.getByRole('link', { name: /^Tag for/ })).toHaveCount(3)
  const lots = (await (await page.request.get(apiOf(page, '/lots'))).json()) as {
    weightG: number
    pieces: number
    heap: string
  }[]
  expect(lots.map((l) => [l.heap, l.weightG, l.pieces])).toEqual([
    ['sound', 9000, 7],
    ['small', 1400, 2],
    ['seconds', 1100, 1],
  ])
})

test('beans are threshed and winnowed on the line and jarred clean', async ({ page }) => {
  await startHousehold(page, 'Bean House')
  const code = await bringIn(page, 'Beans, drying', '6')
  await page.goto(`/line?lot=${code}`)
  await page.getByRole('button', { name: 'Thresh, clean' }).click()
  await page.getByLabel('Weight after, kg').fill('2.6')
  await expect(page.getByText('3.40 kg of straw and chaff off')).toBeVisible()
  await page.locator('form').getByRole('button', { name: 'Keep', exact: true }).first().click()
  await expect(page.getByLabel('Weight after, kg')).toHaveCount(0)
  await page.getByRole('button', { name: 'Thresh, clean' }).click()
  await page.getByRole('radio', { name: 'Winnowed' }).click()
  await page.getByLabel('Weight after, kg').fill('2.4')
  await page.locator('form').getByRole('button', { name: 'Keep', exact: true }).first().click()
  await expect(page.getByLabel('Weight after, kg')).toHaveCount(0)
  await page.goto(`/lots/${code}/finish`)
  await page.getByLabel('Weight cleaned, kg').fill('2.1')
  await page.getByRole('radio', { name: 'airtight jar' }).click()
  await page.getByLabel('How many packs').fill('3')
  await page.getByRole('radio', { name: /Cellar/ }).click()
  await putBy(page, /^Put by 2.10 kg/)
  await page.goto(`/lots/${code}`)
  await expect(page.getByText('threshed: 2,600 g clean, 3,400 g of straw and chaff off').first()).toBeVisible()
  await expect(page.getByText(/cleaned and packed: 3 × airtight jar/).first()).toBeVisible()
})

test('apples go through the dehydrator; beads in the jar send them back; a week without puts them by', async ({
  page,
}) => {
  await startHousehold(page, 'Apple House')
  const code = await bringIn(page, 'Apple, late', '10')
  await page.goto(`/lots/${code}`)
  await page.getByRole('link', { name: 'Dry it' }).click()
  await page.getByRole('radio', { name: 'A part' }).click()
  await page.getByLabel('Taken from the lot, kg').fill('3')
  await page.getByLabel('Weight on the trays, kg').fill('2.5')
  // mass balance: 2.5 kg at 85.56 % water to 20 % is 451 g
  await expect(page.getByText('451 g when it is done')).toBeVisible()
  await page.getByRole('button', { name: 'Start the dryer' }).click()
  const dryer = page.getByRole('region', { name: 'In the dryer' })
  await expect(dryer.getByText(/2.50 kg on 4 trays at 60 °C/)).toBeVisible()
  await dryer.getByRole('button', { name: 'Trays changed round' }).click()
  await expect(dryer.getByRole('button', { name: 'Trays changed round' })).toHaveCount(0)
  await page.getByRole('button', { name: 'Next morning' }).click()
  const out = async (grams: string) => {
    await dryer.getByRole('button', { name: 'Out, into jars' }).click()
    await dryer.getByLabel(/Dried weight/).fill(grams)
    await dryer.getByRole('button', { name: 'Keep', exact: true }).click()
    await expect(dryer).toHaveCount(0)
  }
  await out('480')
  const jars = page.getByRole('region', { name: 'In jars, conditioning' })
  await jars.getByRole('button', { name: 'Beads: back to the dryer' }).click()
  await expect(dryer.getByText(/back from the jar, 480 g/)).toBeVisible()
  await out('452')
  for (let day = 0; day < 7; day++) {
    const moved = page.waitForResponse(/\/clock$/)
    await page.getByRole('button', { name: 'Next morning' }).click()
    await moved
    await page.goto('/')
    if (day === 0) await expect(page.locator('.job[data-kind="shake"]')).toBeVisible()
    await page.goto('/line')
    const shaken = jars.getByRole('button', { name: 'Shaken, no beads' })
    if (day === 6 && (await shaken.count()) === 0) continue
    const kept = page.waitForResponse(/\/acts$/)
    await shaken.click()
    await kept
  }
  await expect(jars).toHaveCount(0)
  await page.goto('/lots/A26-2')
  await expect(page.getByRole('heading', { name: /Apple, late, dried A26-2/ })).toBeVisible()
  await expect(page.getByText('9 in 10 still sound until')).toBeVisible()
  await page.goto(`/lots/${code}`)
  await expect(page.getByText(/7.0 kg|7.00 kg/).first()).toBeVisible()
})

test('weighing from the round is three acts: the field, the number, Enter', async ({ page }) => {
  await startHousehold(page, 'Weigh House')
  await bringIn(page, 'Onion, storing', '9')
  await page.goto('/')
  const job = page.locator('.job[data-kind="weigh"]')
  // a number typed counts once; four are allowed
  let acts = 0
  await job.getByLabel(/grams$/).click()
  acts++
  await page.keyboard.type('1240')
  acts++
  await page.keyboard.press('Enter')
  acts++
  await expect(job).toHaveCount(0)
  expect(acts).toBeLessThanOrEqual(4)
})

test('taking down says where it would keep longest, and asks before its window opens', async ({ page }) => {
  await startHousehold(page, 'Early House')
  const code = await bringIn(page, 'Garlic, hardneck', '4.5', 100)
  await page.goto(`/lots/${code}/finish`)
  const places = page.getByRole('radiogroup', { name: 'Place' })
  await expect(places.getByRole('radio').first()).toBeChecked()
  await expect(places.locator('label').first()).toContainText(/keeps (to|over)/)
  await page.getByLabel('Weight cleaned, kg').fill('3')
  await page.getByRole('button', { name: /^Put by/ }).click()
  await expect(page.getByText(/Its window opens (in \d+ days|tomorrow), on/)).toBeVisible()
  await page.getByRole('link', { name: 'Leave it hanging' }).click()
  await expect(page.getByRole('heading', { name: new RegExp(code) }).first()).toBeVisible()
  expect((await api<LotView>(page, `/lots/${code}`)).stage).toBe('drying')
})
