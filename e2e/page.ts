import { expect, test as base } from '@playwright/test'

/** A page on which any console error, failed request or request to elsewhere fails the test. */
export const test = base.extend<{ wrongs: string[] }>({
  // Playwright insists on a destructured first argument
  baseURL: async ({ browserName }, use) => use(browserName && process.env['VADOSE_URL']!),
  wrongs: [
    async ({ page }, use) => {
      const wrongs: string[] = []
      const home = new URL(process.env['VADOSE_URL']!).host
      page.on('console', (message) => message.type() === 'error' && wrongs.push(`console: ${message.text()}`))
      page.on('pageerror', (error) => wrongs.push(`page: ${error.message}`))
      page.on('requestfailed', (request) => {
        if (request.failure()?.errorText !== 'net::ERR_ABORTED') wrongs.push(`failed: ${request.url()}`)
      })
      page.on('request', (request) => {
        const url = new URL(request.url())
        if (url.protocol.startsWith('http') && url.host !== home) wrongs.push(`left the machine: ${request.url()}`)
      })
      page.on(
        'response',
        (response) => response.status() >= 400 && wrongs.push(`${response.status()}: ${response.url()}`),
      )
      await use(wrongs)
      expect(wrongs).toEqual([])
    },
    { auto: true },
  ],
})

export { expect }
