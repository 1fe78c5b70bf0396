import { randomUUID } from 'node:crypto'
import type { Page } from '@playwright/test'
import type { AlarmView } from '@vadose/contract/round'
import type { LotView } from '@vadose/contract/lots'
import { api, bringIn, pass, pick } from './acts'
import { apiOf, expect, test } from './page'
import { startHousehold } from './story'

const idOf = async (page: Page, name: string) =>
  (await api<{ id: string; name: string }[]>(page, '/places')).find((place) => place.name === name)!.id

test('what one page moves, the other shows within two seconds', async ({ page, context }) => {
  await startHousehold(page, 'Two Pages')
  const code = await bringIn(page, 'Carrot', '12')
  await page.goto('/stores')
  const other = await context.newPage()
  await other.goto(new URL(page.url()).pathname.replace(/stores.*/, 'stores'))
  const kitchen = other.locator('[data-place="Kitchen"]')
  await expect(other.getByRole('heading', { name: 'The house' })).toBeVisible()
  await expect(kitchen.getByText(code)).toHaveCount(0)
  const moved = await page.request.post(apiOf(page, `/lots/${code}/acts`), {
    data: { requestId: randomUUID(), act: 'move', placeId: await idOf(page, 'Kitchen') },
  })
  expect(moved.status()).toBe(201)
  await expect(kitchen.getByText(code)).toBeVisible({ timeout: 2000 })
})

test('a place says its year, who is happy there, and what it is like; read by keyboard', async ({ page }) => {
  await startHousehold(page, 'Climate House')
  await bringIn(page, 'Squash, butternut', '12', 6)
  await page.goto(`/places/${await idOf(page, 'North room')}`)
  await expect(page.getByRole('heading', { name: 'Twelve months ahead' })).toBeVisible()
  await expect(page.getByText(/fitted to \d+ days of readings/)).toBeVisible()
  const chart = page.getByRole('img', { name: /Twelve months ahead/ })
  await chart.focus()
  await page.keyboard.press('ArrowRight')
  await expect(page.getByText(/\d °C \(.* to .*\), \d+ %/).first()).toBeVisible()
  await page.getByText('As a table').first().click()
  await expect(page.getByRole('row')).toHaveCount(13)
  await page.getByRole('button', { name: 'Put right' }).click()
  await page.getByRole('radio', { name: 'mice get in', exact: true }).click()
  await page.getByLabel('Kilos there is room for in North room').fill('80')
  await page.getByRole('button', { name: 'Put right' }).last().click()
  await expect(page.getByText('room for 80.0 kg')).toBeVisible()
  await expect(page.getByText('mice get in').first()).toBeVisible()
})

test('frost coming to a veranda rings on Today, says what to do, and stays muted', async ({ page }) => {
  await startHousehold(page, 'Frost House')
  const code = await bringIn(page, 'Squash, butternut', '12', 6)
  await page.request.post(apiOf(page, `/lots/${code}/acts`), {
    data: { requestId: randomUUID(), act: 'move', placeId: await idOf(page, 'Veranda') },
  })
  // into the winter, week by week, until it rings
  await page.goto('/')
  const alarm = page.locator('[data-alarm="frost"]')
  for (let week = 0; week < 24 && (await alarm.count()) === 0; week++) {
    await pass(page, 'Next week')
    const { ringing } = await api<{ ringing: AlarmView[] }>(page, '/alarms')
    if (ringing.some(({ kind }) => kind === 'frost')) await expect(alarm).toBeVisible()
  }
  await expect(alarm).toContainText('Frost coming to veranda')
  await expect(alarm).toContainText(/Carry it to|Cover/)
  const calendar = async () => (await page.request.get(apiOf(page, '/exports/jobs.ics'))).text()
  expect(await calendar()).toContain('Frost coming to veranda')
  await alarm.getByRole('button', { name: /^Mute/ }).click()
  await expect(alarm).toHaveCount(0)
  await page.reload()
  await expect(page.getByText('1 muted')).toBeVisible()
  await expect(alarm).toHaveCount(0)
  expect(await calendar()).not.toContain('Frost coming to veranda')
  await page.getByText('1 muted').click()
  await page.getByRole('button', { name: /^Ring again/ }).click()
  await expect(alarm).toBeVisible()
})

test('the best arrangement is found in a worker, and its moves are taken one by one', async ({ page }) => {
  await startHousehold(page, 'Better House')
  const code = await bringIn(page, 'Carrot', '20')
  await page.request.post(apiOf(page, `/lots/${code}/acts`), {
    data: { requestId: randomUUID(), act: 'move', placeId: await idOf(page, 'Kitchen') },
  })
  expect((await api<LotView>(page, `/lots/${code}`)).place).toBe('Kitchen')
  await page.goto('/stores')
  await page.getByRole('button', { name: 'Find the best arrangement' }).click()
  const card = page.getByRole('region', { name: 'The best arrangement' })
  await expect(card).toContainText(/kg saved/, { timeout: 30_000 })
  await expect(card).toContainText('kitchen → cellar')
  await card.getByRole('button', { name: `Carry ${code}` }).click()
  await expect(card.getByText('carried')).toBeVisible()
  expect((await api<LotView>(page, `/lots/${code}`)).place).toBe('Cellar')
})

test('a house is arranged, its cellar read, a date moves, and a sack with three faults is looked over', async ({
  page,
}) => {
  await startHousehold(page, 'Whole House')
  const code = await bringIn(page, 'Carrot', '15', 150)
  await page.request.post(apiOf(page, `/lots/${code}/acts`), {
    data: { requestId: randomUUID(), act: 'move', placeId: await idOf(page, 'Kitchen') },
  })
  await page.goto('/stores')
  await page.getByRole('button', { name: 'Find the best arrangement' }).click()
  const card = page.getByRole('region', { name: 'The best arrangement' })
  await card.getByRole('button', { name: `Carry ${code}` }).click({ timeout: 30_000 })
  await expect(card.getByText('carried')).toBeVisible()
  // on to a cellar that nobody has measured
  await page.request.post(apiOf(page, '/places'), { data: { name: 'Back cellar', kind: 'cellar' } })
  await page.request.post(apiOf(page, `/lots/${code}/acts`), {
    data: { requestId: randomUUID(), act: 'move', placeId: await idOf(page, 'Back cellar') },
  })
  const until = async () => (await api<LotView>(page, `/lots/${code}`)).keeping!.nineInTenUntil.p50
  const before = await until()

  // two weeks of a logger there: warmer than cellars are
  await pass(page, 'Next week')
  await pass(page, 'Next week')
  const stamp = (hour: number, minute: number) =>
    new Date(Date.UTC(2026, 6, 12, hour, minute)).toISOString().slice(0, 16).replace('T', ' ')
  // beside the sensor that writes every full hour
  const lines = Array.from({ length: 13 * 24 }, (_, hour) =>
    [10, 20, 30, 40, 50].map((minute) => `${stamp(hour, minute)},${(21.4 + (hour % 7) / 10).toFixed(1)},60`),
  ).flat()
  await page.goto('/readings')
  await pick(page, 'Place the logger hung in', 'Back cellar')
  await page.getByLabel('Logger file').setInputFiles({
    name: 'cellar.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(['time,temp C,rh', ...lines].join('\n')),
  })
  await page.getByRole('button', { name: 'Look it through' }).click()
  await page.getByRole('button', { name: /^Keep [\d,]+ readings in back cellar$/ }).click()
  await expect(page.getByRole('status')).toContainText('new readings in back cellar')
  await expect.poll(until).not.toBe(before)
  expect((await until()) < before).toBe(true)

  await page.goto(`/lots/${code}/check`)
  await page.getByRole('button', { name: 'all 150' }).click()
  for (const i of [0, 1, 2]) await page.locator('.fault').nth(i).locator('.hit').click()
  await page.getByRole('button', { name: 'What to do with the 3' }).click()
  await page.getByRole('button', { name: 'Done with them' }).click()
  await expect(page.getByText(/9 in 10 sound to/)).toBeVisible()
  await expect(page.getByText(/Look again on/)).toBeVisible()
  expect((await api<LotView>(page, `/lots/${code}`)).checks).toEqual([
    expect.objectContaining({ lookedAt: 150, bad: 3 }),
  ])
})

test('places are put in order by arrows and by dragging, each on its storey; how full one is stands beside it', async ({
  page,
}) => {
  await startHousehold(page, 'Arranged House')
  await bringIn(page, 'Carrot', '30')
  const names = () =>
    page.locator('[data-place]').evaluateAll((all) => all.map((one) => (one as HTMLElement).dataset['place']))
  await page.goto('/stores')
  await page.getByRole('button', { name: 'Arrange the places' }).click()
  const before = await names()
  expect(before.indexOf('Kitchen')).toBeLessThan(before.indexOf('North room'))
  // by keyboard
  await page.getByRole('button', { name: 'North room earlier' }).focus()
  await page.keyboard.press('Enter')
  await expect
    .poll(names)
    .toEqual(['North room', 'Kitchen', ...before.filter((n) => n !== 'North room' && n !== 'Kitchen')])
  // by hand: the veranda goes before the kitchen, onto a floor of the house
  await page.locator('[data-place="Veranda"] header').dragTo(page.locator('[data-place="Kitchen"]'))
  await expect.poll(async () => (await names()).slice(0, 3)).toEqual(['North room', 'Veranda', 'Kitchen'])
  const places = await api<{ name: string; storey: string }[]>(page, '/places')
  expect(places.find(({ name }) => name === 'Veranda')!.storey).toBe('floor')
  await page.getByRole('button', { name: 'Put right Cellar' }).click()
  await page.getByLabel('Kilos there is room for in Cellar').fill('20')
  await page.getByRole('button', { name: 'Put right', exact: true }).last().click()
  await expect(page.locator('[data-place="Cellar"]')).toContainText('▲ 150 % of its 20.0 kg')
  await page.getByRole('button', { name: 'Done arranging' }).click()
  await expect(page.getByRole('button', { name: 'North room earlier' })).toHaveCount(0)
})

test('a lot says why its date moved since last week', async ({ page }) => {
  await startHousehold(page, 'Moved House')
  const code = await bringIn(page, 'Carrot', '20')
  await page.goto('/')
  await pass(page, 'Next week')
  await pass(page, 'Next week')
  await page.request.post(apiOf(page, `/lots/${code}/acts`), {
    data: { requestId: randomUUID(), act: 'move', placeId: await idOf(page, 'Kitchen') },
  })
  await page.goto(`/lots/${code}`)
  await expect(page.getByText(/days sooner than was said a week ago: it was carried to kitchen/)).toBeVisible()
})
