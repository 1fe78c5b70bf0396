import type { LotRow, LotView } from '@vadose/contract/lots'
import type { Page } from '@playwright/test'
import { api, pick, putBy, takeDown } from './acts'
import { expect, test } from './page'
import { startHousehold } from './story'
import { harvest, right, sortOut, take, undo } from './winter-acts'
import { accounts, expectNoContradiction, walkRound, weeks } from './winter'

// three households from the garden to April, by what a person taps: with slips, second thoughts, part lots, a sack sorted
// in February and a shelf nobody looked at; in the end every gram is accounted for and no screen contradicts another
const lotOf = (page: Page, code: string) => api<LotView>(page, `/lots/${code}`)
const lots = (page: Page) => api<LotRow[]>(page, '/lots')

test.describe('three winters', () => {
  test.setTimeout(480_000)

  test('garlic, potatoes and onions, with every second thought (desk)', async ({ page }) => {
    await startHousehold(page, 'Long Winter')
    // looks before the harvest
    await page.goto('/beds')
    await pick(page, 'What grows there', 'Garlic, hardneck')
    await page.getByLabel('Bed or pots').fill('Bed 3')
    await page.getByRole('radio', { name: '5', exact: true }).click()
    const garlic = await harvest(page, {
      crop: 'Garlic, hardneck',
      variety: 'Red Mor',
      bed: 'Bed 3',
      heaps: { Sound: ['9', 180], 'Nicked or torn': ['0.8', 14], 'For planting': ['2', 32] },
    })
    expect(garlic).toHaveLength(3)
    // the variety was spelt wrong
    await page.goto(`/lots/${garlic[0]}/right`)
    await page.getByLabel('Variety').fill('Red Moor')
    await page.getByRole('button', { name: 'Put right' }).click()
    await expect(page.getByText(/Its tag was put right/)).toBeVisible()
    // eaten from while it hangs; too many typed, taken back
    await take(page, garlic[0]!, 'To the kitchen', { pieces: 30 })
    await undo(page)
    await take(page, garlic[0]!, 'To the kitchen', { pieces: 3 })
    await weeks(page, 2, 3)
    // some bunches are taken down, the rest hangs on
    await page.goto(`/lots/${garlic[0]}/finish`)
    await page.getByRole('radio', { name: 'Some; the rest hangs on' }).click()
    await page.getByLabel('What comes down, as it hangs, kg').fill('3')
    await page.getByLabel('Weight cleaned, kg').fill('2.4')
    await page.getByRole('radio', { name: /^North room/ }).click()
    await putBy(page)
    await expect(page.getByRole('heading', { name: 'Put by' })).toBeVisible()
    await weeks(page, 2, 4)
    for (const code of [garlic[0]!, garlic[2]!]) {
      if ((await lotOf(page, code)).stage === 'drying') {
        const { weightG, pieces } = await lotOf(page, code)
        await takeDown(page, code, (weightG / 1200).toFixed(2), pieces!, /^North room/)
      }
    }
    const [onion] = await harvest(page, { crop: 'Shallot', bed: 'Bed 4', heaps: { Sound: ['22', 260] } })
    await weeks(page, 4, 4)
    const { weightG: hanging, stage } = await lotOf(page, onion!)
    if (stage === 'drying') await takeDown(page, onion!, (hanging / 1150).toFixed(2), 255, /^North room/)
    const [potato] = await harvest(page, { crop: 'Potato, maincrop', bed: 'Bed 11', heaps: { Sound: ['41'] } })
    await weeks(page, 3, 4)
    if ((await lotOf(page, potato!)).stage === 'drying') await takeDown(page, potato!, '40', 320, /^Cellar/)
    const [shelf] = await harvest(page, { crop: 'Squash, butternut', heaps: { Sound: ['11', 9] } })
    await weeks(page, 2, 3, [shelf!])
    if ((await lotOf(page, shelf!)).stage === 'drying') await takeDown(page, shelf!, '10.8', 9, /^Kitchen/)
    // planted, by its bed
    await take(page, garlic[2]!, 'Planted', { pieces: 24 }, 'Bed 8')
    await expect
      .poll(async () => (await api<{ bed: string }[]>(page, '/beds')).map(({ bed }) => bed))
      .toContain('Bed 8')
    await weeks(page, 5, 4, [shelf!])
    // they were onions all along: the lot is forecast anew from its first day
    const was = (await lotOf(page, onion!)).keeping?.nineInTenUntil.p50
    await page.goto(`/lots/${onion}/right`)
    await page.getByRole('combobox', { name: 'Crop' }).fill('Onion, storing')
    await page.getByRole('option', { name: 'Onion, storing', exact: true }).click()
    await expect(page.locator('.changes')).toContainText('9 in 10 to')
    await page.getByRole('button', { name: 'Put right' }).click()
    await expect(page.getByRole('heading', { name: /^Onion, storing/ })).toBeVisible()
    expect((await lotOf(page, onion!)).keeping?.nineInTenUntil.p50).not.toBe(was)
    await take(page, onion!, 'To the kitchen', { pieces: 40 })
    await weeks(page, 8, 4, [shelf!])
    // February: 40 kg on the table
    await sortOut(
      page,
      potato!,
      [
        ['6', /^Eat first/],
        ['9', /^For planting/],
        ['1.2', /^Compost/],
        ['12', /^Back into store/],
      ],
      /^Hens/,
    )
    const sorted = await accounts(page)
    expect(sorted.fed).toBeGreaterThan(9000)
    await expectNoContradiction(page)
    // what was written off had only been carried upstairs
    await page.goto(`/lots/${garlic[0]}`)
    const before = await lotOf(page, garlic[0]!)
    await page.getByRole('button', { name: 'Gone bad' }).click()
    await page.locator('.take').locator('input').first().fill('5')
    await page.locator('.take').getByRole('radio', { name: 'Mice' }).click()
    await page.locator('.take').getByRole('button', { name: 'Write off' }).click()
    await expect(page.locator('.take')).toHaveCount(0)
    await right(page, garlic[0]!, '(mice)', async (form) => {
      await form.getByLabel('Why, in your own words').fill('they were in the kitchen')
      await form.getByRole('button', { name: 'Strike out' }).click()
    })
    expect((await lotOf(page, garlic[0]!)).pieces).toBe(before.pieces)
    // April: the shelf nobody looked at asks what became of it
    await weeks(page, 9, 3, [shelf!])
    expect((await lotOf(page, shelf!)).keeping!.overdueSince).not.toBeNull()
    await page.goto('/')
    const asked = page.locator('article.job[data-kind="overdue"]').filter({ hasText: shelf! })
    await asked.getByRole('button', { name: 'All gone' }).click()
    await expect(asked).toHaveCount(0)
    await expectNoContradiction(page)
  })

  test('roots, squash and cabbages in a divided cellar, with hens and neighbours (phone)', async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 })
    await startHousehold(page, 'Hen Winter')
    await weeks(page, 8, 0)
    const [carrot] = await harvest(page, { crop: 'Carrot', bed: 'Bed 1', heaps: { Sound: ['18', 210] } })
    const [beet] = await harvest(page, { crop: 'Beetroot', bed: 'Bed 2', heaps: { Sound: ['12', 80] } })
    const [cabbage] = await harvest(page, { crop: 'Cabbage, white', heaps: { Sound: ['', 12] } })
    expect((await lotOf(page, cabbage!)).guessed.weight).toBe(true)
    await page.goto('/household')
    await page.getByRole('button', { name: 'Put right Cellar' }).click()
    await page.getByLabel('A part of Cellar').fill('sand box')
    await page.getByRole('button', { name: 'Divide' }).click()
    await expect(page.getByText('Cellar, sand box', { exact: true })).toBeVisible()
    // half the carrots go into the sand
    await page.goto(`/lots/${carrot}`)
    await page.getByRole('button', { name: 'Move' }).click()
    await page.getByRole('radio', { name: 'A part' }).click()
    await page.locator('.much input').first().fill('100')
    await page.getByRole('radio', { name: /^Cellar, sand box/ }).click()
    await page.getByRole('button', { name: /^Move/ }).last().click()
    await expect.poll(async () => (await lots(page)).some(({ place }) => place === 'Cellar, sand box')).toBe(true)
    const sand = (await lots(page)).find(({ place }) => place === 'Cellar, sand box')!
    expect([sand.pieces, sand.guessed]).toEqual([100, { weight: true, pieces: false }])
    await take(page, carrot!, 'To the hens', { pieces: 10 })
    await take(page, beet!, 'Given away', { kilos: '2' })
    await weeks(page, 6, 3)
    // a look finds rot: two cut round, one thrown away
    await page.goto(`/lots/${beet}/check`)
    const faults = page.locator('.fault')
    await faults.nth(0).locator('.hit').click()
    await faults.nth(1).locator('.hit').click()
    await page.getByRole('button', { name: 'What to do with the 2' }).click()
    await page.getByRole('button', { name: /^Done with/ }).click()
    await expect(page.getByText(/Look again on/)).toBeVisible()
    await expectNoContradiction(page)
    // it was eight that were given, not that much
    await right(page, beet!, 'given away', async (form) => {
      await form.getByLabel('It weighed, grams').fill('900')
      await form.getByRole('button', { name: 'Put right' }).click()
    })
    expect((await accounts(page)).rows.length).toBeGreaterThan(8)
    await weeks(page, 8, 3)
    await sortOut(
      page,
      sand.code,
      [
        ['2', /^Eat first/],
        ['1', /^Compost/],
      ],
      /^Back into store/,
    )
    await weeks(page, 6, 4)
    // the sand box is the cellar after all
    await page.goto('/household')
    await page.getByRole('button', { name: 'Put right Cellar, sand box' }).click()
    await pick(page, 'Cellar, sand box is one with', 'Cellar')
    await page.getByRole('button', { name: 'Join them' }).click()
    await expect(page.getByText(/^Cellar, sand box, out of use since/)).toBeVisible()
    await weeks(page, 6, 4)
    await expectNoContradiction(page)
  })

  test('beans, herbs and apples: threshed, jarred and dried, then left alone (desk)', async ({ page }) => {
    await startHousehold(page, 'Dry Winter')
    const [herb] = await harvest(page, { crop: 'Herbs, woody', heaps: { Sound: ['0.9'] } })
    await weeks(page, 3, 3)
    if ((await lotOf(page, herb!)).stage === 'drying') {
      await page.goto(`/lots/${herb}/finish`)
      await page.getByLabel('Weight cleaned, kg').fill('0.3')
      await page.getByRole('radio', { name: /^Kitchen/ }).click()
      await putBy(page)
      await expect(page.getByRole('heading', { name: 'Put by' })).toBeVisible()
    }
    await weeks(page, 6, 3)
    const [bean] = await harvest(page, { crop: 'Beans, drying', bed: 'Bed 7', heaps: { Sound: ['5'] } })
    await weeks(page, 3, 3)
    await page.goto(`/lots/${bean}`)
    await page.getByRole('button', { name: 'Thresh, clean' }).click()
    await page.getByLabel('Weight after, kg').fill('2.9')
    await page.locator('form').getByRole('button', { name: 'Keep', exact: true }).first().click()
    await expect.poll(async () => (await lotOf(page, bean!)).weightG).toBe(2900)
    if ((await lotOf(page, bean!)).stage === 'drying') {
      await page.goto(`/lots/${bean}/finish`)
      await page.getByLabel('Weight cleaned, kg').fill('2.7')
      await page.getByRole('radio', { name: /^Kitchen/ }).click()
      await putBy(page)
      await expect(page.getByRole('heading', { name: 'Put by' })).toBeVisible()
    }
    const [apple] = await harvest(page, { crop: 'Apple, late', heaps: { Sound: ['20', 140] } })
    await weeks(page, 4, 3)
    // eaten, undone, eaten, and the second time struck out weeks later
    await take(page, apple!, 'To the kitchen', { pieces: 20 })
    await undo(page)
    await take(page, apple!, 'To the kitchen', { pieces: 12 })
    await weeks(page, 3, 3)
    await right(page, apple!, 'used 12', async (form) => {
      await form.getByLabel('Why, in your own words').fill('they were the neighbour’s')
      await form.getByRole('button', { name: 'Strike out' }).click()
    })
    expect((await lotOf(page, apple!)).pieces).toBe(140)
    await expectNoContradiction(page)
    await weeks(page, 14, 0)
    // home after three months: the round says what is past its time, and a person goes through it
    await walkRound(page, 8)
    await expectNoContradiction(page)
  })
})
