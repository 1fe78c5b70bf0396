import { chromium, type Page } from '@playwright/test'
import { browserProgram } from '../e2e/browser'

/** Asks the server of a benchmark; a refusal ends the run. */
export const caller =
  (base: string) =>
  async <T>(method: string, path: string, body?: object): Promise<T> => {
    const answer = await fetch(`${base}/api${path}`, {
      method,
      headers: { 'Content-Type': 'application/json' },
      ...(body ? { body: JSON.stringify(body) } : {}),
    })
    if (!answer.ok) throw new Error(`${path}: ${answer.status} ${await answer.text()}`)
    return answer.json() as Promise<T>
  }

interface Watched {
  tasks: number[]
}

/** A page in a browser of its own that keeps count of its long tasks, those over 50 ms. */
export async function watchedPage<T>(
  url: string,
  work: (page: Page) => Promise<T>,
  viewport = { width: 1280, height: 800 },
): Promise<T> {
  const browser = await chromium.launch({ executablePath: browserProgram, args: ['--no-sandbox'] })
  try {
    const page = await browser.newPage({ viewport })
    await page.addInitScript(() => {
      const tasks: number[] = []
      Object.assign(window, { tasks })
      new PerformanceObserver((list) => tasks.push(...list.getEntries().map((e) => e.duration))).observe({
        type: 'longtask',
        buffered: true,
      })
    })
    await page.goto(url, { waitUntil: 'networkidle' })
    return await work(page)
  } finally {
    await browser.close()
  }
}

/** Every task over 50 ms that a page had until now, ms. */
export const longTasks = (page: Page): Promise<number[]> =>
  page.evaluate(() => (window as unknown as Watched).tasks.map(Math.round))

/** The longest task of the page while something is done with it, ms; 0 where none was over 50. */
export async function longestDuring(page: Page, work: () => Promise<unknown>): Promise<number> {
  const settle = () => page.evaluate(() => new Promise((done) => setTimeout(done, 300)))
  await settle()
  await page.evaluate(() => ((window as unknown as Watched).tasks.length = 0))
  await work()
  await settle()
  return page.evaluate(() => Math.round(Math.max(0, ...(window as unknown as Watched).tasks)))
}
