import type { CountView } from '@vadose/contract/count'
import type { LotView } from '@vadose/contract/lots'
import { api } from './acts'
import { expect, test } from './page'
import { startHousehold } from './story'

/** Forty lines on two shelves. */
const pad = [
  ...Array.from(
    { length: 20 },
    (_, i) => `${4 + (i % 9)} jars sauce number ${'abcdefghijklmnopqrst'[i]} bought in north room`,
  ),
  ...Array.from(
    { length: 20 },
    (_, i) => `${5 + (i % 7)} jars relish number ${'abcdefghijklmnopqrst'[i]} bought in cellar`,
  ),
]

async function stocked(page: Parameters<typeof api>[0], name: string, lines: string[]) {
  await startHousehold(page, name)
  await page.goto('/shelf')
  await page.getByLabel('The pad').fill(lines.join('\n'))
  await page.getByRole('button', { name: `Keep ${lines.length} lines` }).click()
  await expect(page.getByText(`${lines.length} lines kept.`)).toBeVisible()
}

test('forty lines are counted by keyboard in at most 130 keys, and booked with their causes', async ({ page }) => {
  await stocked(page, 'Counting House', pad)
  await page.goto('/count')
  await expect(page.locator('[data-progress]')).toContainText('0 of 40')
  let keys = 0
  const press = async (key: string) => {
    keys++
    await page.keyboard.press(key)
  }
  const off = new Map([
    [6, '2x4+1'],
    [13, '3'],
    [20, '2x5'],
    [27, '4'],
    [33, '2x2+1'],
  ])
  for (let i = 0; i < 40; i++) {
    await expect(page.locator('.typed')).toBeFocused()
    for (const key of off.get(i) ?? ' ') await press(key === ' ' ? 'Space' : key)
    if (off.has(i)) await press('Enter')
    if (i < 39) await expect(page.locator('[data-progress]')).toContainText(`${i + 1} of 40`)
  }
  expect(keys).toBeLessThanOrEqual(130)
  await expect(page.getByRole('heading', { name: /^Counted: 3\d of 40 lines as expected/ })).toBeVisible()
  const view = await api<CountView>(page, '/count')
  const counted = view.shelves.flatMap(({ lines }) => lines).filter(({ counted: c }) => c?.offPieces)
  expect(counted.length).toBeGreaterThan(2)
  const [first] = counted
  await page.locator(`[data-off="${first!.code}"]`).getByRole('radio', { name: 'no idea' }).click()
  await page.getByRole('button', { name: 'Book the count' }).click()
  await expect(page.locator('[data-booked]')).toContainText(`${counted.length} differences booked`)
  const lot = await api<LotView>(page, `/lots/${first!.code}`)
  expect(lot.pieces).toBe(first!.counted!.therePieces)
})

test('a count is left and taken up by another phone, a line counted again, another by weight', async ({
  page,
  browser,
}) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await stocked(page, 'Two Phones', ['6 jars plums in cellar', '4 jars pears in cellar', '2 kg walnuts in cellar'])
  await page.goto('/count')
  await page.getByRole('button', { name: 'As expected' }).click()
  await expect(page.locator('[data-progress]')).toContainText('1 of 3')
  const other = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage()
  await other.goto(page.url())
  await expect(other.locator('[data-progress]')).toContainText('1 of 3')
  await expect(other.locator('[data-count]')).toBeVisible()
  await other.locator('.typed').fill('1')
  await other.getByRole('button', { name: 'Keep' }).click()
  await expect(other.locator('[data-progress]')).toContainText('2 of 3')
  await expect(other.getByText('Far off, while you stand there')).toBeVisible()
  await other.getByRole('button', { name: 'Count again' }).click()
  await expect(other.locator('[data-progress]')).toContainText('1 of 3')
  await other.locator('.typed').fill('4x')
  await expect(other.getByText(/not a count/)).toBeVisible()
  await expect(other.getByRole('button', { name: 'Keep' })).toBeDisabled()
  await other.close()
})
