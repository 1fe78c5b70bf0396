import type { LotRow, LotView } from '@vadose/contract/lots'
import type { Page } from '@playwright/test'
import { api, bringIn, takeDown } from './acts'
import { expect, test } from './page'
import { startHousehold } from './story'

const sizes = [
  { name: 'desk', width: 1280, height: 800 },
  { name: 'phone', width: 390, height: 844 },
]
const lotOf = (page: Page, code: string) => api<LotView>(page, `/lots/${code}`)

/** Counts taps and keys from here on, each digit typed as one. */
function counting(page: Page) {
  let taps = 0
  return {
    tap: async (name: string | RegExp, role: 'button' | 'link' | 'radio' = 'button') => {
      taps++
      await page.getByRole(role, { name }).click()
    },
    type: async (text: string) => {
      taps += text.length
      await page.keyboard.type(text)
    },
    get taps() {
      return taps
    },
  }
}

for (const size of sizes) {
  test(`an entry of any day is put right or struck out, the tag too (${size.name})`, async ({ page }) => {
    await page.setViewportSize(size)
    await startHousehold(page, `Second Words ${size.name}`)
    const code = await bringIn(page, 'Onion, storing', '14', 100)
    await takeDown(page, code, '10.0', 100, /North room/)
    await page.goto(`/lots/${code}`)
    await page.getByText(/^Everything it ever did/).click()

    // twelve was typed for ten
    const row = page.getByRole('row').filter({ hasText: 'cleaned and packed' })
    await row.getByRole('button', { name: 'Put right' }).click()
    const form = page.getByRole('form', { name: /^Put right: cleaned and packed/ })
    await form.getByLabel('It weighed, grams').fill('12000')
    await form.getByRole('button', { name: 'Put right' }).click()
    await expect(page.locator('.undo')).toContainText('put right: taking down')
    expect((await lotOf(page, code)).weightG).toBe(12_000)

    // it never happened: struck out in words of one's own, and that undone with one tap
    await row.getByRole('button', { name: 'Put right' }).click()
    await form.getByLabel('Why, in your own words').fill('still on the line')
    await form.getByRole('button', { name: 'Strike out' }).click()
    await expect(page.locator('.undo')).toContainText('struck out: taking down (still on the line)')
    expect((await lotOf(page, code)).stage).toBe('drying')
    await page.locator('.undo').getByRole('button', { name: 'Undo' }).click()
    await expect(page.locator('.undo')).toContainText('as before')
    expect(await lotOf(page, code)).toMatchObject({ stage: 'stored', weightG: 12_000 })

    // the tag: another crop, variety and bed; what changes is said before anything is done
    if (size.name === 'phone') await page.getByRole('button', { name: 'More', exact: true }).click()
    await page.getByRole('link', { name: 'Put right' }).click()
    await page.getByLabel('Variety').fill('Red Sack')
    await page.getByLabel('Bed').fill('Bed 3')
    await page.getByRole('combobox', { name: 'Crop' }).fill('Shallot')
    await page.getByRole('option', { name: 'Shallot', exact: true }).click()
    const changes = page.locator('.changes')
    await expect(changes).toContainText(/9 in 10 to .* → 9 in 10 to/)
    await expect(changes).toContainText('print again')
    expect((await lotOf(page, code)).crop).toBe('onion-storing')
    await page.getByRole('button', { name: 'Put right' }).click()
    await expect(page.getByRole('heading', { name: /^Shallot/ })).toContainText(code)
    await expect(page.getByText(/Its tag was put right/)).toBeVisible()
    await page.getByRole('link', { name: 'print it again' }).click()
    await page.getByRole('button', { name: 'Printed and tied on' }).click()
    await expect(page.getByRole('button', { name: 'Tied on' })).toBeVisible()
    await page.goto(`/lots/${code}`)
    await expect(page.getByText(/Its tag was put right/)).toHaveCount(0)
    expect(await lotOf(page, code)).toMatchObject({ crop: 'shallot', variety: 'Red Sack', bed: 'Bed 3' })
  })

  test(`a sack poured out in February is sorted in fifteen taps (${size.name})`, async ({ page }) => {
    await page.setViewportSize(size)
    await startHousehold(page, `February ${size.name}`)
    const code = await bringIn(page, 'Potato, maincrop', '40')
    await page.goto(`/lots/${code}/finish`)
    await page.getByLabel('Weight cleaned, kg').fill('39')
    await page.getByRole('radio', { name: /North room/ }).click()
    await page.getByRole('button', { name: /^Put by/ }).click()
    const same = page.getByRole('button', { name: 'Take it down all the same' })
    await expect(same.or(page.getByRole('heading', { name: 'Put by' })).first()).toBeVisible()
    if (await same.isVisible()) await same.click()
    await expect(page.getByRole('heading', { name: 'Put by' })).toBeVisible()

    // “6 kg to eat, 9 kg for planting, the rest to the hens”
    await page.goto(`/lots/${code}`)
    const hand = counting(page)
    await hand.tap(/^Sort/, 'link')
    await expect(page.getByLabel('Weight in the hand, kg')).toBeFocused()
    await hand.type('6')
    await hand.tap(/^Eat first/)
    await hand.type('9')
    await hand.tap(/^For planting/)
    await hand.tap('all the rest')
    await hand.tap(/^Hens/)
    await expect(page.locator('.left')).toContainText('0 g')
    await hand.tap(/^Done, the table is empty/)
    await expect(page.getByRole('heading', { name: `Sorted ${code}` })).toBeVisible()
    expect(hand.taps).toBeLessThanOrEqual(15)

    const lots = await api<LotRow[]>(page, '/lots')
    expect(lots.map(({ weightG, fate, aside }) => [weightG, fate, aside?.why]).sort()).toEqual([
      [6000, 'store', 'eat-first'],
      [9000, 'plant', undefined],
    ])
    expect((await lotOf(page, code)).stage).toBe('gone')
    // what is set aside stands first in the larder, with its days, and on the round
    await page.goto('/larder')
    await expect(page.getByText('Set aside, to be used soon')).toBeVisible()
    await expect(page.locator('article').first()).toContainText('eat first: 21 days left')
    await page.goto('/')
    await expect(page.locator('.job[data-kind="use"]')).toContainText(/Set aside, eat first/)
  })

  test(`a part is moved, and what was taken down too early hangs again (${size.name})`, async ({ page }) => {
    await page.setViewportSize(size)
    await startHousehold(page, `Parts ${size.name}`)
    const code = await bringIn(page, 'Garlic, hardneck', '4', 60)
    // people eat from the line
    await page.goto(`/lots/${code}`)
    await page.getByRole('button', { name: /^Use/ }).click()
    await page.getByRole('spinbutton', { name: 'heads', exact: true }).fill('3')
    await page.getByRole('button', { name: 'Use', exact: true }).last().click()
    await expect(page.locator('.undo')).toContainText('used 3 heads')
    expect(await lotOf(page, code)).toMatchObject({ pieces: 57, stage: 'drying' })

    // some bunches are ready
    await page.goto(`/lots/${code}/finish`)
    await page.getByRole('radio', { name: 'Some; the rest hangs on' }).click()
    await page.getByLabel('What comes down, as it hangs, kg').fill('1.4')
    await page.getByLabel('Weight cleaned, kg').fill('1.2')
    await page.getByRole('radio', { name: /North room/ }).click()
    await page.getByRole('button', { name: /^Put by/ }).click()
    await page.getByRole('button', { name: 'Take it down all the same' }).click()
    await expect(page.getByRole('heading', { name: 'Put by' })).toBeVisible()
    const part = (await api<LotRow[]>(page, '/lots')).find((lot) => lot.stage === 'stored')!
    expect(part.weightG).toBe(1200)

    await page.goto(`/lots/${part.code}`)
    await page.getByRole('button', { name: /^Move/ }).click()
    await page.getByRole('radio', { name: 'A part' }).click()
    await page.getByRole('spinbutton', { name: 'heads', exact: true }).fill('5')
    await page.getByRole('radio', { name: /^Cellar/ }).click()
    await page.getByRole('button', { name: 'Move it' }).click()
    await expect(page.locator('.undo')).toContainText('5 heads')
    const moved = (await api<LotRow[]>(page, '/lots')).find((lot) => lot.place === 'Cellar')!
    expect(moved.pieces).toBe(5)

    if (size.name === 'phone') await page.getByRole('button', { name: 'More', exact: true }).click()
    await page.getByRole('button', { name: 'Hang again' }).click()
    await page.getByRole('radiogroup', { name: 'Where it hangs' }).getByRole('radio').first().click()
    await page.getByRole('button', { name: 'Hang it again' }).click()
    await expect(page.locator('.undo')).toContainText('hung again')
    expect((await lotOf(page, part.code)).stage).toBe('drying')

    // what still dries is moved for its drying
    await page.goto(`/lots/${code}`)
    await page.getByRole('button', { name: /^Move/ }).click()
    await page.getByRole('radiogroup', { name: 'Places' }).getByRole('radio').first().click()
    await expect(page.locator('.says')).toContainText('still drying')
    await expect(page.locator('.says')).not.toContainText('9 in 10')
  })

  test(`days of readings, and a harvest that never was, are struck out and come back (${size.name})`, async ({
    page,
  }) => {
    await page.setViewportSize(size)
    await startHousehold(page, `Struck ${size.name}`)
    const code = await bringIn(page, 'Garlic, hardneck', '5', 110)
    await page.goto('/readings')
    await page
      .getByRole('radiogroup', { name: 'Place whose readings are wrong' })
      .getByRole('radio', { name: /^Veranda/ })
      .click()
    await page.getByRole('button', { name: 'Strike them out' }).click()
    await expect(page.getByRole('status')).toContainText('count no longer')
    await page.getByRole('button', { name: 'Let them count again' }).click()
    await expect(page.getByRole('status')).toContainText('count again')

    // scapes are a heap like any other, and can be frozen or given
    await page.goto('/bring-in')
    await page.getByRole('radio', { name: 'Garlic, hardneck' }).click()
    await page.getByLabel('Scapes, kg').fill('0.6')
    await page.getByRole('button', { name: 'Make the lot' }).click()
    await expect(page.getByRole('heading', { name: 'One lot brought in' })).toBeVisible()
    expect((await api<LotRow[]>(page, '/lots')).map(({ heap, weightG }) => [heap, weightG])).toContainEqual([
      'scapes',
      600,
    ])

    await page.goto(`/lots/${code}/right`)
    await page.getByRole('button', { name: 'It was never brought in' }).click()
    await page.getByLabel('Why it never was').fill('the neighbour’s, put down here')
    await page.getByRole('button', { name: 'Strike it all out' }).click()
    await expect(page.locator('.undo')).toBeVisible()
    expect((await api<LotRow[]>(page, '/lots')).some((lot) => lot.code === code)).toBe(false)
    await page.locator('.undo').getByRole('button', { name: 'Undo' }).click()
    await expect.poll(async () => (await api<LotRow[]>(page, '/lots')).some((lot) => lot.code === code)).toBe(true)
  })
}
