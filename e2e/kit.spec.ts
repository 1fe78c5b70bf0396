import { expect, test } from './page'
import { startHousehold } from './story'

const sizes = { desk: { width: 1280, height: 800 }, phone: { width: 390, height: 844 } }

for (const [size, viewport] of Object.entries(sizes)) {
  test(`an amount is stepped and typed, with a comma too, and nothing typed is changed unseen (${size})`, async ({
    page,
  }) => {
    await page.setViewportSize(viewport)
    await startHousehold(page, `Stepping ${size}`)
    await page.goto('/household')
    const habits = page.locator('#habits')
    const bad = habits.getByLabel('Bad ones you bear')
    await bad.fill('1,5')
    await expect(bad).toHaveValue('1.5')
    const more = habits
      .locator('.amount')
      .filter({ has: page.getByLabel('Bad ones you bear') })
      .getByRole('button', { name: 'more' })
    await more.click()
    await expect(bad).toHaveValue('2.5')
    await bad.press('ArrowDown')
    await bad.press('ArrowDown')
    await expect(bad).toHaveValue('0.5')
    await bad.fill('many')
    await expect(bad).toHaveValue('')
    const days = habits.getByLabel('Longest time between looks')
    await days.fill('900')
    await days.press('Tab')
    await expect(days).toHaveValue('900')
    await expect(habits.getByRole('alert').filter({ hasText: 'between 7 and 120' })).toBeVisible()
  })
}

test('a choice is one stop for Tab and goes round by arrow keys', async ({ page }) => {
  await startHousehold(page, 'Arrow House')
  await page.goto('/household')
  const light = page.getByRole('radiogroup', { name: 'Light' })
  await light.getByRole('radio').first().focus()
  await page.keyboard.press('ArrowRight')
  await expect(light.getByRole('radio').nth(1)).toBeChecked()
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'cellar')
  await page.keyboard.press('ArrowRight')
  await expect(light.getByRole('radio').first()).toBeChecked()
  await page.keyboard.press('Tab')
  await expect(light.getByRole('radio').nth(1)).not.toBeFocused()
})

test('what goes for good is asked in a dialog, which Escape leaves', async ({ page }) => {
  await startHousehold(page, 'Lasting House')
  await page.goto('/household')
  const open = page.getByRole('button', { name: 'Remove this household' })
  await open.click()
  const dialog = page.getByRole('dialog', { name: 'Remove this household' })
  await expect(dialog.getByRole('button', { name: 'Remove it for good' })).toBeDisabled()
  await dialog.getByLabel('Its name, to remove it').fill('Another House')
  await dialog.getByLabel('Its name, to remove it').press('Tab')
  await expect(dialog.getByRole('alert')).toHaveText('It is called “Lasting House”: type that.')
  await page.keyboard.press('Escape')
  await expect(dialog).toBeHidden()
  await page.reload()
  await expect(page.locator('.when a')).toContainText('Lasting House')
})

test('what is folded away opens by keyboard, and a word more comes by a tap', async ({ page }) => {
  await startHousehold(page, 'Folded House')
  await page.goto('/almanac/garlic-hardneck')
  const fold = page.getByRole('button', { name: 'Sources in full' })
  await expect(fold).toHaveAttribute('aria-expanded', 'false')
  await fold.press('Enter')
  await expect(fold).toHaveAttribute('aria-expanded', 'true')
  await expect(fold).not.toHaveAttribute('aria-describedby', /./)
  await page.locator('.numbers td.soft span').first().click()
  await expect(page.getByRole('tooltip').filter({ visible: true })).toContainText(/\w{6}/)
})

test('a form that is not right says so under each field, and goes to the first', async ({ page }) => {
  await page.goto('/household')
  await page.getByLabel('Height above the sea, metres').fill('9000')
  await page.getByRole('button', { name: 'Start it' }).click()
  const wrong = page.getByRole('alert')
  await expect(wrong.filter({ hasText: 'Give it a name.' })).toBeVisible()
  await expect(wrong.filter({ hasText: 'Type metres between' })).toBeVisible()
  await expect(page.getByLabel('Its name', { exact: true }).first()).toBeFocused()
})
