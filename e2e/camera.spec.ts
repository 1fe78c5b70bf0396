import { chromium } from '@playwright/test'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { apiOf, ofHousehold, expect, test } from './page'

test('a tag held before the camera opens its lot', async ({ page }, info) => {
  const svg = await (await page.request.get(apiOf(page, '/lots/G26-1/tag.svg'))).text()
  const wide = svg.replace('width="80mm" height="50mm"', 'width="600" height="375"')
  await page.setViewportSize({ width: 640, height: 480 })
  await page.setContent(`<body style="margin: 40px 20px; background: #888">${wide}</body>`)
  const still = await page.screenshot({ type: 'jpeg', quality: 90 })
  // a camera of Chromium's own, which shows this picture over and over
  const folder = mkdtempSync(join(tmpdir(), 'vadose-camera-'))
  const film = join(folder, 'tag.mjpeg')
  writeFileSync(film, Buffer.concat(Array<Buffer>(30).fill(still)))
  const { executablePath, args } = info.project.use.launchOptions!
  const browser = await chromium.launch({
    executablePath: executablePath!,
    args: [
      ...args!,
      '--use-fake-ui-for-media-stream',
      '--use-fake-device-for-media-stream',
      `--use-file-for-fake-video-capture=${film}`,
    ],
  })
  try {
    const phone = await browser.newPage({ viewport: { width: 390, height: 844 } })
    await phone.goto(`${process.env['VADOSE_URL']}${ofHousehold(page, '/find')}`)
    await phone.getByRole('button', { name: 'Look with the camera' }).click()
    await phone.waitForURL(/\/lots\/G26-1$/)
    await expect(phone.getByRole('heading', { name: /G26-1/ })).toBeVisible()
  } finally {
    await browser.close()
    rmSync(folder, { recursive: true })
  }
})
