import { pick, picker } from './acts'
import { expect, test } from './page'
import { loggerYear } from './logger-year'

const logger = (name: string, text: string) => ({ name, mimeType: 'text/csv', buffer: Buffer.from(text) })

test.beforeEach(async ({ page }) => {
  await page.goto('/readings')
  await expect(page.getByRole('heading', { name: 'Readings from a file' })).toBeVisible()
  await pick(page, 'Place the logger hung in', 'Cellar')
})

test('a year of five-minute readings comes in in one go, the page stays free, twice adds nothing, and it is taken back', async ({
  page,
}) => {
  const year = loggerYear()
  await page.getByLabel('Logger file').setInputFiles(logger('shelf.csv', year))
  await expect(page.getByText('Is this how it is meant?')).toBeVisible()
  // guessed: °F from the heading, the day first from the dots, summer time from the household
  await expect(picker(page, 'Unit of temperature')).toContainText('°F')
  await expect(picker(page, 'Order of the date')).toContainText('day')
  // the longest time the page answers nobody while the file is read
  await page.evaluate(() => {
    const w = window as unknown as { stalled: number }
    w.stalled = 0
    let last = performance.now()
    const beat = () => {
      const now = performance.now()
      w.stalled = Math.max(w.stalled, now - last)
      last = now
      setTimeout(beat, 0)
    }
    beat()
  })
  await page.getByRole('button', { name: 'Look it through' }).click()
  await expect(page.getByRole('heading', { name: '105,120 readings, every 5 minutes' })).toBeVisible()
  const stalled = await page.evaluate(() => (window as unknown as { stalled: number }).stalled)
  console.log(`longest the page was away while a year was read: ${Math.round(stalled)} ms`)
  expect(stalled).toBeLessThan(1000)
  await page.getByRole('button', { name: /^Keep [\d,]+ readings in cellar$/ }).click()
  await expect(page.getByRole('status')).toContainText('new readings in cellar')
  // known again by its headings, and there is nothing new in it
  await page.getByLabel('Logger file').setInputFiles(logger('shelf.csv', year))
  await expect(page.getByText('Read as the last file with these headings.')).toBeVisible()
  await page.getByRole('button', { name: 'Look it through' }).click()
  await expect(page.getByText('All of it is in the book already.')).toBeVisible()
  await page.getByRole('button', { name: 'Take back shelf.csv' }).click()
  await expect(page.getByText('taken back')).toBeVisible()
})

test('what cannot be read is said line by line before anything is kept', async ({ page }) => {
  const text =
    'time;temp C;rh\n01.09.2026 10:00;10,5;88\n01.09.2026 10:05;;88\nbattery low;;\n01.09.2026 10:10;10,4;187\n01.09.2026 14:10;10,4;87\n01.09.2026 14:15;10,4;87\n01.09.2026 14:20;10,4;87'
  await page.getByLabel('Logger file').setInputFiles(logger('odd.csv', text))
  await page.getByRole('button', { name: 'Look it through' }).click()
  await expect(page.getByText('3 of 7 lines')).toBeVisible()
  await expect(page.getByText('line 3, no temperature')).toBeVisible()
  await expect(page.getByText(/the longest 4.2 h from/)).toBeVisible()
})

test('a file of an older program, in its own letters, is read all the same', async ({ page }) => {
  const text = 'Datum;Temp °C;Feuchte %\r\n01.09.2026 10:00;10,5;88\r\n01.09.2026 10:05;10,4;88\r\n'
  for (const [name, buffer] of [
    ['windows.csv', Buffer.from(text, 'latin1')],
    ['wide.csv', Buffer.from(`\ufeff${text}`, 'utf16le')],
  ] as const) {
    await page.getByLabel('Logger file').setInputFiles({ name, mimeType: 'text/csv', buffer })
    await page.getByRole('button', { name: 'Look it through' }).click()
    await expect(page.getByRole('heading', { name: '2 readings, every 5 minutes' })).toBeVisible()
  }
})

test('a picture of no log is refused with what a log looks like', async ({ page }) => {
  await page.getByLabel('Logger file').setInputFiles(logger('diary.csv', 'Dear diary,\nit rained again.\n'))
  await expect(page.getByRole('alert')).toContainText('a date with a time, a temperature and a humidity')
})

test('a sensor is let in with a token, sends, and is turned away', async ({ page, request }) => {
  await page.getByLabel('Name of the sensor').fill('Shelf three')
  await pick(page, 'Place of the sensor', 'Cellar')
  await page.getByRole('button', { name: 'Let it in' }).click()
  const token = await page.locator('.token').textContent()
  const send = () =>
    request.post(`${process.env['VADOSE_URL']}/api/ingest`, {
      headers: { Authorization: `Bearer ${token}` },
      data: { readings: [{ at: '2026-10-01T03:17:00Z', temperatureC: 9.1, relativeHumidityPct: 90 }] },
    })
  expect(await (await send()).json()).toEqual({ taken: 1, already: 0 })
  expect(await (await send()).json()).toEqual({ taken: 0, already: 1 })
  await page.getByRole('button', { name: 'Turn away Shelf three' }).click()
  await expect(page.getByText('Shelf three')).toHaveCount(0)
  expect((await send()).status()).toBe(401)
})

test('a file that lies quietly is asked about, and read as it was meant', async ({ page }) => {
  const hour = (i: number) => new Date(Date.UTC(2026, 8, 1, i, 7)).toISOString().slice(0, 16).replace('T', ' ')
  const rows = Array.from({ length: 72 }, (_, i) => `${hour(71 - i)},${48 + (i % 3)},0.${80 + (i % 9)}`)
  await page.getByLabel('Logger file').setInputFiles(logger('quiet.csv', ['when,temp,rh', ...rows].join('\n')))
  await page.getByRole('button', { name: 'Look it through' }).click()
  const keep = page.getByRole('button', { name: /^Keep \d+ readings/ })
  await expect(page.getByText(/Is it a share of 1/)).toBeVisible()
  await expect(page.getByText(/Is it in °F, 9 °C/)).toBeVisible()
  await expect(keep).toHaveCount(0)
  await page
    .getByRole('alert')
    .filter({ hasText: 'share of 1' })
    .getByRole('button', { name: 'Yes, read it so' })
    .click()
  await page.getByRole('alert').filter({ hasText: '°F' }).getByRole('button', { name: 'Yes, read it so' }).click()
  await page.getByRole('alert').filter({ hasText: 'newest first' }).getByRole('button', { name: 'It is right' }).click()
  await expect(keep).toBeVisible()
  await expect(page.getByText(/^80 % to 88 %/)).toBeVisible()
})
