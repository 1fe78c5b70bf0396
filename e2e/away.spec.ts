import { api, bringIn } from './acts'
import { expect, test } from './page'
import { startHousehold } from './story'

test('a harvest typed while the server is away is still there, and is kept once when it is back', async ({
  page,
  wrongs,
}) => {
  await startHousehold(page, 'Away House')
  await page.goto('/bring-in')
  await page.getByRole('radio', { name: 'Garlic, hardneck' }).click()
  await page.getByLabel('Weight of the whole harvest, kg').fill('6')
  await page.getByLabel('Bed', { exact: true }).fill('Bed 4')
  await page.route('**/harvests', (route) => route.abort())
  await page.getByRole('button', { name: 'Make the lot' }).click()
  await expect(page.getByRole('alert')).toContainText('Vadose does not answer')
  await expect(page.getByLabel('Weight of the whole harvest, kg')).toHaveValue('6')
  await expect(page.getByLabel('Bed', { exact: true })).toHaveValue('Bed 4')
  await page.unroute('**/harvests')
  await page.getByRole('button', { name: 'Make the lot' }).click()
  await expect(page.getByText('Sound, 6.00 kg')).toBeVisible()
  expect(await api<unknown[]>(page, '/lots')).toHaveLength(1)
  wrongs.splice(0)
})

test('an answer that was lost on the way is not a second harvest', async ({ page, wrongs }) => {
  await startHousehold(page, 'Twin House')
  await page.goto('/bring-in')
  await page.getByRole('radio', { name: 'Garlic, hardneck' }).click()
  await page.getByLabel('Weight of the whole harvest, kg').fill('6')
  // the server gets it and writes it; the page never hears
  let sent = 0
  await page.route('**/harvests', async (route) => {
    sent++
    if (sent > 1) return route.continue()
    await route.fetch()
    return route.abort()
  })
  await page.getByRole('button', { name: 'Make the lot' }).click()
  await expect(page.getByRole('alert')).toContainText('Vadose does not answer')
  await page.getByRole('button', { name: 'Make the lot' }).click()
  await expect(page.getByText('Sound, 6.00 kg')).toBeVisible()
  expect(sent).toBe(2)
  expect(await api<unknown[]>(page, '/lots')).toHaveLength(1)
  wrongs.splice(0)
})

test('a weight taken twice by an impatient thumb is one weighing', async ({ page, wrongs }) => {
  await startHousehold(page, 'Thumb Twice House')
  const code = await bringIn(page, 'Onion, storing', '9')
  await page.goto(`/lots/${code}`)
  await page.getByRole('button', { name: 'Weigh' }).click()
  await page.getByLabel(/grams$/).fill('1240')
  let lost = 0
  await page.route(`**/lots/${code}/acts`, async (route) => {
    if (lost++ > 0) return route.continue()
    await route.fetch()
    return route.abort()
  })
  const keep = page.locator('.weigh').getByRole('button', { name: 'Keep', exact: true })
  await keep.click()
  await expect(page.getByRole('alert')).toContainText('Vadose does not answer')
  await keep.click()
  await expect(keep).toHaveCount(0)
  const { events } = await api<{ events: { kind: string }[] }>(page, `/lots/${code}`)
  expect(events.filter((e) => e.kind === 'weighed')).toHaveLength(1)
  wrongs.splice(0)
})

test('a screen says that the server does not answer, and comes back by itself when it does', async ({
  page,
  wrongs,
}) => {
  await startHousehold(page, 'Silent House')
  await page.route('**/api/households/*/larder', (route) => route.abort())
  await page.goto('/larder')
  await expect(page.getByText('Vadose does not answer. Is it still running on this machine?')).toBeVisible()
  await page.unroute('**/api/households/*/larder')
  await expect(page.getByRole('heading', { name: 'The larder' })).toBeVisible()
  await expect(page.getByText('Vadose does not answer')).toHaveCount(0)
  wrongs.splice(0)
})

test('a screen that cannot be had says so, and after a renewal of the server the page is opened anew', async ({
  page,
  wrongs,
}) => {
  await startHousehold(page, 'Renewed House')
  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'The round' })).toBeVisible()
  const parts = '**/assets/StoresView-*.js'
  await page.route(parts, (route) => route.abort())
  await page.route('**/api/health', (route) => route.abort())
  const stores = page.getByRole('navigation', { name: 'Screens', exact: true }).getByRole('link', { name: 'Stores' })
  await stores.click()
  await expect(page.getByRole('alert')).toContainText('Vadose does not answer')
  await expect(page.getByRole('heading', { name: 'The round' })).toBeVisible()
  // it is back, and knows nothing of the parts that this page was built of
  await page.unroute('**/api/health')
  await page.unroute(parts)
  let gone = 0
  await page.route(parts, (route) => (gone++ ? route.continue() : route.fulfill({ status: 404 })))
  await stores.click()
  await expect(page).toHaveURL(/renewed-house\/stores$/)
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('The house')
  await expect(page.getByRole('alert')).toHaveCount(0)
  wrongs.splice(0)
})

test('a tab tapped before the first screen is there opens its screen anew too; one that stays missing is said', async ({
  page,
  wrongs,
}) => {
  await startHousehold(page, 'Hasty House')
  let sendFirst = () => {}
  const first = new Promise<void>((resolve) => (sendFirst = resolve))
  await page.route('**/assets/TodayView-*.js', (route) => first.then(() => route.continue()))
  const parts = '**/assets/StoresView-*.js'
  let gone = 0
  await page.route(parts, (route) => (gone++ ? route.continue() : route.fulfill({ status: 404 })))
  await page.goto('/', { waitUntil: 'commit' })
  await page.getByRole('navigation', { name: 'Screens', exact: true }).getByRole('link', { name: 'Stores' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('The house')
  sendFirst()
  await page.route(parts, (route) => route.fulfill({ status: 404 }))
  await page.reload()
  await expect(page.getByRole('alert')).toContainText('A part of this screen is missing on the server')
  wrongs.splice(0)
})
