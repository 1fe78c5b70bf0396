import { readFileSync } from 'node:fs'
import { api, bringIn, pick } from './acts'
import { apiOf, athome, expect, test } from './page'
import { startHousehold } from './story'

test('a household goes into one file, is renamed and removed, and comes back from its file', async ({
  page,
  wrongs,
}) => {
  // two besides, so that nobody is led to the only one that is left
  await startHousehold(page, 'Staying House')
  await startHousehold(page, 'Travelling House')
  const code = await bringIn(page, 'Garlic, hardneck', '6', 60)
  await page.goto('/household')
  const waiting = page.waitForEvent('download')
  await page.getByRole('link', { name: 'This household, one file' }).click()
  const download = await waiting
  expect(download.suggestedFilename()).toBe('travelling-house.vadose.json')
  const path = await download.path()
  expect(JSON.parse(readFileSync(path, 'utf8'))).toMatchObject({
    format: 'vadose-household',
    household: { name: 'Travelling House' },
  })

  await page.getByLabel('Name of the household').fill('Settled House')
  await page.getByRole('button', { name: 'Rename it' }).click()
  await expect(page.locator('.when a')).toContainText('Settled House')
  await expect(page).toHaveURL(/travelling-house/)
  await page.getByRole('button', { name: 'Remove this household' }).click()
  const remove = page.getByRole('button', { name: 'Remove it for good' })
  await page.getByLabel('Its name, to remove it').fill('Travelling House')
  await expect(remove).toBeDisabled()
  await page.getByLabel('Its name, to remove it').fill('Settled House')
  await remove.click()
  await expect(page.getByRole('heading', { name: 'Whose is it?' })).toBeVisible()
  await expect(page.getByText('Settled House')).toHaveCount(0)

  await page.getByRole('link', { name: 'Quarry House' }).click()
  await expect(page.locator('.when a')).toContainText('Quarry House')
  await page.goto('/household')
  await page.getByLabel('A household’s file').setInputFiles(path)
  await expect(page).toHaveURL(/travelling-house\/$/)
  await page.goto('/lots/' + code)
  await expect(page.getByText('60 heads, 6.00 kg').first()).toBeVisible()
  wrongs.splice(0)
})

test('what is no household of ours is refused in a sentence', async ({ page, wrongs }) => {
  await page.goto('/household')
  const file = (name: string, text: string) => ({ name, mimeType: 'application/json', buffer: Buffer.from(text) })
  for (const text of ['Dear diary', '{"format":"other"}', '[]']) {
    await page.locator('input[type=file]').setInputFiles(file('odd.json', text))
    await expect(page.getByRole('alert')).toContainText(/\w+.*\.$/)
    await page.reload()
  }
  wrongs.splice(0)
})

test('a backup is made at a tap, and the page says when the last good one was', async ({ page }) => {
  await page.goto('/household')
  await page.getByRole('button', { name: 'Back up now' }).click()
  await expect(page.getByText('Last good backup:')).toBeVisible()
})

test('three days without a backup are said on the round', async ({ page }) => {
  const last = { at: new Date(Date.now() - 4 * 86_400_000).toISOString(), bytes: 2_100_000 }
  // the one answer that cannot be had here without waiting for days
  await page.route('**/api/backups', (route) =>
    route.fulfill({ json: { folder: '/elsewhere', last, failed: 'The disk is full.' } }),
  )
  await page.goto('/')
  await expect(page.getByRole('alert')).toHaveText(/No backup for 4 days. The disk is full/)
})

test('a write whose answer was lost is known after the page was loaded again', async ({ page, wrongs }) => {
  await startHousehold(page, 'Reload House')
  const code = await bringIn(page, 'Garlic, hardneck', '6', 60)
  await page.goto(`/lots/${code}`)
  // it is written; the page hears nothing and is loaded again
  await page.route(`**/lots/${code}/acts`, async (route) => {
    await route.fetch()
    return route.abort()
  })
  await page.getByRole('button', { name: 'Note' }).click()
  await page.getByLabel('Note').fill('hung by the door')
  await page.getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(page.getByText('Vadose does not answer')).toBeVisible()
  await page.unroute(`**/lots/${code}/acts`)
  await page.reload()
  await expect(page.getByText('did arrive; it need not be entered once more')).toBeVisible()
  // the same words again are a note of their own
  await page.getByRole('button', { name: 'Note' }).click()
  await page.getByLabel('Note').fill('hung by the door')
  await page.getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(page.locator('.fold.card td').getByText('hung by the door')).toHaveCount(2)
  wrongs.splice(0)
})

test('a number is kept through every failure of the server, and over a reload', async ({ page, wrongs }) => {
  await startHousehold(page, 'Patient House')
  const code = await bringIn(page, 'Garlic, hardneck', '6', 60)
  const numbers: string[] = []
  await page.route(`**/lots/${code}/acts`, (route) => {
    numbers.push(route.request().headers()['idempotency-key']!)
    return numbers.length < 4
      ? route.fulfill({ status: 503, json: { error: { code: 'database-away', message: 'Away.' } } })
      : route.continue()
  })
  for (let i = 0; i < 4; i++) {
    if (i % 2 === 0) {
      await page.goto(`/lots/${code}`)
      await page.getByRole('button', { name: 'Note' }).click()
      await page.getByLabel('Note').fill('looked well')
    }
    const answered = page.waitForResponse(`**/lots/${code}/acts`)
    await page.getByRole('button', { name: 'Keep', exact: true }).click()
    await answered
  }
  await expect(page.getByText('looked well').first()).toBeVisible()
  expect(new Set(numbers).size).toBe(1)
  expect(
    await api<{ events: { kind: string }[] }>(page, `/lots/${code}`).then(
      ({ events }) => events.filter((e) => e.kind === 'noted').length,
    ),
  ).toBe(1)
  wrongs.splice(0)
})

test('a weight that no garden brings in is asked about, for a pick too', async ({ page, wrongs }) => {
  await startHousehold(page, 'Heavy House')
  await page.goto('/bring-in')
  await pick(page, 'Another crop picked', /^Currant/)
  await page.getByLabel(/picked, kg$/).fill('1500')
  await page.locator('form.row').getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(page.getByRole('alert')).toContainText('1.5 t of')
  await page.getByRole('button', { name: 'Keep it anyway' }).click()
  await expect(page.getByRole('status')).toContainText('put to')
  for (const path of ['/', '/larder', '/stores', '/line']) {
    await page.goto(path)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    await expect(page.locator('.notice.bad')).toHaveCount(0)
  }
  wrongs.splice(0)
})

test('two pages on two households, one browser: each writes into its own', async ({ page, context, wrongs }) => {
  await startHousehold(page, 'Left House')
  const other = athome(await context.newPage())
  await startHousehold(other, 'Right House')
  const [left, right] = [
    await bringIn(page, 'Garlic, hardneck', '6', 60),
    await bringIn(other, 'Garlic, hardneck', '3', 30),
  ]
  expect(left).toBe(right)
  for (const [one, kilos] of [
    [page, 6000],
    [other, 3000],
  ] as const) {
    expect((await api<{ weightG: number }[]>(one, '/lots')).map((lot) => lot.weightG)).toEqual([kilos])
  }
  expect(apiOf(page, '/lots')).not.toBe(apiOf(other, '/lots'))
  wrongs.splice(0)
})
