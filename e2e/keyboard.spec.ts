import { bringIn } from './acts'
import { expect, test } from './page'
import { startHousehold } from './story'

test('a harvest is brought in without touching the mouse', async ({ page }) => {
  await startHousehold(page, 'Tab House')
  await page.keyboard.press('2')
  await expect(page.getByRole('heading', { name: 'Bring in' })).toBeVisible()
  // the name is typed at once, then the scale has the focus
  await expect(page.getByLabel('Find what came in')).toBeFocused()
  await page.keyboard.type('celeriac')
  await page.keyboard.press('Enter')
  await expect(page.getByLabel('Weight of the whole harvest, kg')).toBeFocused()
  await page.keyboard.type('7.5')
  await page.keyboard.press('Enter')
  await expect(page.getByText('Sound, 7.50 kg')).toBeVisible()
})

test('what has the focus is seen to have it', async ({ page }) => {
  await startHousehold(page, 'Focus House')
  await bringIn(page, 'Carrot', '12')
  for (const path of ['/', '/bring-in', '/larder', '/bench/keep']) {
    await page.goto(path, { waitUntil: 'networkidle' })
    for (let i = 0; i < 14; i++) {
      await page.keyboard.press('Tab')
      const shown = await page.evaluate(async () => {
        const e = document.activeElement as HTMLElement
        if (e === document.body) return true
        // a control’s frame may carry the mark for it; it is a mark when it goes with the focus
        const around = [e]
        while (around.length < 4 && around.at(-1)!.parentElement) around.push(around.at(-1)!.parentElement!)
        const look = () =>
          around.map((x) => {
            x.getAnimations().forEach((a) => a.finish())
            const { outlineStyle, outlineWidth, outlineColor, boxShadow, borderColor } = getComputedStyle(x)
            return [outlineStyle === 'none' ? '' : outlineWidth + outlineColor, boxShadow, borderColor].join(' ')
          })
        const focused = look()
        e.blur()
        await new Promise((frame) => requestAnimationFrame(() => requestAnimationFrame(frame)))
        return look().some((x, k) => x !== focused[k]) || `not on ${e.outerHTML.slice(0, 300)}`
      })
      expect(shown, `${path}, tab stop ${i + 1}`).toBe(true)
    }
  }
})

test('charts are read out by arrow keys, and say the same as a table', async ({ page }) => {
  await startHousehold(page, 'Arrow House')
  const code = await bringIn(page, 'Carrot', '12', 150)
  await page.goto(`/lots/${code}`)
  const chart = page.getByRole('img', { name: /Share still sound over time/ })
  await chart.focus()
  await page.keyboard.press('ArrowRight')
  await expect(page.getByText(/: (\d+ in 10|nearly all|hardly any) sound \(/)).toBeVisible()
  const first = await page.getByText(/sound \(/).textContent()
  for (let i = 0; i < 8; i++) await page.keyboard.press('ArrowRight')
  await expect(page.getByText(/sound \(/)).not.toHaveText(first!)
  await page.getByText('As a table').click()
  await expect(page.getByRole('row').nth(1)).toContainText(/\d+ in 100/)

  const hanging = await bringIn(page, 'Onion, storing', '9')
  await page.goto(`/line?lot=${hanging}`)
  const air = page.getByRole('img', { name: /^Drying power of/ })
  await air.focus()
  await page.keyboard.press('ArrowLeft')
  await expect(page.getByText(/: \d\.\d\d kPa/)).toBeVisible()
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('ArrowRight')
  await expect(page.getByText(/: \d\.\d\d kPa, expected/)).toBeVisible()
})

test('letters typed into a field are no shortcuts', async ({ page }) => {
  await startHousehold(page, 'Letter House')
  const code = await bringIn(page, 'Carrot', '12')
  await page.goto(`/lots/${code}`)
  await page.getByRole('button', { name: 'Note' }).click()
  await page.getByLabel('Note').fill('')
  await page.getByLabel('Note').press('m')
  await page.getByLabel('Note').pressSequentially('ucm 1 2 3 / ?')
  await expect(page.getByLabel('Note')).toHaveValue('mucm 1 2 3 / ?')
  await expect(page).toHaveURL(new RegExp(`/lots/${code}$`))
  await expect(page.getByRole('heading', { name: 'Keys' })).toHaveCount(0)
})

test('nothing moves where less movement is asked for, and paper gets no buttons', async ({ page }) => {
  await startHousehold(page, 'Paper House')
  const code = await bringIn(page, 'Carrot', '12')
  await page.emulateMedia({ reducedMotion: 'reduce' })
  await page.goto(`/lots/${code}`, { waitUntil: 'networkidle' })
  const longest = await page.evaluate(() =>
    Math.max(
      ...[...document.querySelectorAll('main *')].map((e) => {
        const { transitionDuration, animationDuration } = getComputedStyle(e)
        return Math.max(...`${transitionDuration}, ${animationDuration}`.split(',').map((t) => parseFloat(t) || 0))
      }),
    ),
  )
  expect(longest).toBeLessThanOrEqual(0.01)
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByRole('heading', { name: new RegExp(code) })).toBeVisible()
  await expect(page.locator('.tabs')).toBeHidden()
  await expect(page.locator('.thumb-bar')).toBeHidden()
  await expect(page.getByRole('button', { name: 'Gone bad' })).toBeHidden()
})
