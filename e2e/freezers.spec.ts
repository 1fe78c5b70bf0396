import { randomUUID } from 'node:crypto'
import type { LotView } from '@vadose/contract/lots'
import { api, bringIn } from './acts'
import { apiOf, expect, test } from './page'
import { startHousehold } from './story'

test('a freezer with its baskets: said what it holds, filled, seen from above, full by so much in Stores too', async ({
  page,
}) => {
  await startHousehold(page, 'Cold House')
  await page.goto('/household')
  await page.getByLabel('Name of a new place').fill('Chest')
  await page.getByRole('radio', { name: /^Freezer/ }).click()
  await page.getByRole('button', { name: 'Add it' }).click()
  await page.getByRole('button', { name: 'Put right Chest' }).click()
  await page.getByLabel('Litres Chest holds').fill('20')
  await page.getByRole('button', { name: 'Put right', exact: true }).first().click()
  await expect(page.getByLabel('Litres Chest holds')).toBeHidden()
  await page.getByRole('button', { name: 'Put right Chest' }).click()
  await expect(page.getByLabel('Litres Chest holds')).toHaveValue('20')
  await page.getByLabel('A part of Chest').fill('basket')
  await page.getByRole('button', { name: 'Divide' }).click()
  await expect(page.getByText('Chest, basket', { exact: true })).toBeVisible()

  const code = await bringIn(page, 'Bean, green', '3')
  const places = await api<{ id: string; name: string }[]>(page, '/places')
  const basket = places.find(({ name }) => name === 'Chest, basket')!.id
  const frozen = await page.request.post(apiOf(page, `/lots/${code}/acts`), {
    data: {
      requestId: randomUUID(),
      act: 'freeze',
      weightG: 2750,
      takenG: 3000,
      bags: 6,
      prepared: 'blanched',
      placeId: basket,
      sure: true,
    },
  })
  expect(frozen.status()).toBe(201)
  // 2.75 kg of the 11 that 20 L hold
  await page.goto('/freezers')
  await expect(page.getByText('25 % full')).toBeVisible()
  const box = page.getByRole('region', { name: 'Chest' })
  await expect(box.getByRole('heading', { name: 'basket' })).toBeVisible()
  await box.getByRole('button', { name: /Bean, green/ }).click()
  await expect(page.getByRole('dialog')).toContainText('blanched')
  await page.keyboard.press('Escape')
  await page.goto('/stores')
  await expect(page.locator('[data-place="Chest"]')).toContainText('25 % full')
})

test('a note with a day is told on that day, and is done with one tap', async ({ page }) => {
  await startHousehold(page, 'Noted House')
  const code = await bringIn(page, 'Bean, green', '3')
  await page.goto(`/lots/${code}`)
  await page.getByRole('button', { name: 'Note', exact: true }).click()
  await page.getByRole('textbox', { name: 'Note' }).fill('for the feast')
  const { today } = await api<{ today: string }>(page, '/frame')
  await page
    .getByLabel('Remind me on')
    .fill(new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric' }).format(new Date(today)))
  await page.getByLabel('Remind me on').press('Enter')
  await page.getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(page.getByText('for the feast').first()).toBeVisible()
  await page.goto('/')
  const job = page.locator('[data-kind="mind"]')
  await expect(job).toContainText('for the feast')
  await job.getByRole('button', { name: 'Done' }).click()
  await expect(job).toHaveCount(0)
  expect((await api<LotView>(page, `/lots/${code}`)).note).toBe('for the feast')
})

test('the calendar has an address that nobody can guess and that can be taken back', async ({ page }) => {
  await startHousehold(page, 'Calendar House')
  await bringIn(page, 'Bean, green', '3')
  await page.goto('/household')
  await page.getByRole('button', { name: 'Make a private address' }).click()
  const field = page.getByLabel('Private address of the calendar')
  await expect(field).toHaveValue(/\/calendar\/[\w-]{32}\/jobs\.ics$/)
  const address = await field.inputValue()
  const calendar = await page.request.get(address)
  expect(calendar.headers()['content-type']).toMatch(/^text\/calendar/)
  expect(await calendar.text()).toContain('BEGIN:VEVENT')
  await page.getByRole('button', { name: 'Stop it' }).click()
  await expect(page.getByRole('button', { name: 'Make a private address' })).toBeVisible()
  expect((await page.request.get(address)).status()).toBe(404)
  expect((await page.request.get(apiOf(page, '/calendar/guess/jobs.ics'))).status()).toBe(404)
})
