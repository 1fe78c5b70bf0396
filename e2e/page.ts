import { expect, test as base, type Page } from '@playwright/test'

/** The household a page is open on; the demo's before it is open on any. */
export const householdOf = (page: Page): string =>
  (page.url().startsWith('http') && new URL(page.url()).pathname.split('/')[1]) || 'quarry-house'

/** Where something of the page's household is, for the page and for the API. */
export const ofHousehold = (page: Page, path: string): string => `/${householdOf(page)}${path}`
export const apiOf = (page: Page, path: string): string => `/api/households/${householdOf(page)}${path}`

/** What a page is asked for is the household's that it is open on. */
export function athome(page: Page): Page {
  const goto = page.goto.bind(page)
  page.goto = (url, options) => goto(url.startsWith('/') ? ofHousehold(page, url) : url, options)
  return page
}

/** A page on which any console error, failed request or request to elsewhere fails the test. */
export const test = base.extend<{ wrongs: string[] }>({
  // Playwright insists on a destructured first argument
  page: ({ page }, use) => use(athome(page)),
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
