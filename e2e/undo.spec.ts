import type { LotView } from '@vadose/contract/lots'
import { api, bringIn, takeDown } from './acts'
import { expect, test } from './page'
import { startHousehold } from './story'

for (const size of [
  { name: 'desk', width: 1280, height: 800 },
  { name: 'phone', width: 390, height: 844 },
]) {
  test(`the last thing done is undone in one tap, from any screen (${size.name})`, async ({ page }) => {
    await page.setViewportSize(size)
    await startHousehold(page, `Second Thoughts ${size.name}`)
    const code = await bringIn(page, 'Garlic, hardneck', '4.5', 100)
    await takeDown(page, code, '3.0', 100, /North room/)
    const lot = () => api<LotView>(page, `/lots/${code}`)
    const bar = page.locator('.undo')
    await expect(bar).toContainText(code)

    // from the drawer of a lot, two heads too many
    await page.goto(`/lots/${code}`)
    await expect(bar).toHaveCount(0)
    await page.getByRole('button', { name: 'Use' }).click()
    const form = page.locator('.take')
    await form.getByRole('radio', { name: 'To the kitchen' }).click()
    await form.getByRole('spinbutton', { name: 'heads', exact: true }).fill('12')
    await form.getByRole('button', { name: 'Use', exact: true }).click()
    await expect(bar).toContainText('used 12 heads')
    expect((await lot()).pieces).toBe(88)
    await page.getByRole('link', { name: 'Larder' }).locator('visible=true').first().click()
    await expect(bar).toBeInViewport()
    await bar.getByRole('button', { name: 'Undo' }).click()
    await expect(bar).toContainText('as before')
    expect((await lot()).pieces).toBe(100)
    await bar.getByRole('button', { name: 'Let it stand' }).click()
    await expect(bar).toHaveCount(0)

    // any later day, from the lot's own story: taking down
    await page.goto(`/lots/${code}`)
    await page.getByText(/^Everything it ever did/).click()
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(bar).toContainText('as before')
    expect((await lot()).stage).toBe('drying')
    await expect(page.getByRole('cell', { name: 'undone: taking down' })).toBeVisible()
    await expect(page.getByRole('list', { name: 'From bed to plate' })).not.toContainText('undone')
  })
}

test('z undoes by keyboard, and what came after is named', async ({ page, wrongs }) => {
  await startHousehold(page, 'Second Keys')
  const code = await bringIn(page, 'Garlic, hardneck', '4.5', 100)
  await takeDown(page, code, '3.0', 100, /North room/)
  await page.goto(`/lots/${code}`)
  const bar = page.locator('.undo')
  await expect(page.getByRole('heading', { name: new RegExp(code) }).first()).toBeVisible()
  await page.keyboard.press('u')
  const form = page.locator('.take')
  await form.getByRole('radio', { name: 'To the kitchen' }).click()
  await form.getByRole('spinbutton', { name: 'heads', exact: true }).fill('10')
  await form.getByRole('button', { name: 'Use', exact: true }).click()
  await expect(bar).toContainText('used 10 heads')
  // meanwhile somebody else used some
  const url = new URL(page.url())
  const lots = `/api/households${url.pathname.replace(/\/lots\/.*/, '')}/lots/${code}/acts`
  const other = await page.request.post(lots, {
    data: { requestId: crypto.randomUUID(), act: 'use', pieces: 5 },
  })
  expect(other.status()).toBe(201)
  await page.keyboard.press('z')
  await expect(bar).toContainText('Something came after it')
  expect(wrongs.every((wrong) => wrong.includes('400'))).toBe(true)
  wrongs.splice(0)
})
