import '@fontsource-variable/bitter/wght.css'
import '@fontsource-variable/atkinson-hyperlegible-next/wght.css'
import 'element-plus/es/components/base/style/css'
import 'element-plus/es/components/button/style/css'
import 'element-plus/es/components/input/style/css'
import './theme/index.css'
import { breath } from './by-and-by'
import { findHousehold } from './households/find-household'

const longestMs = 500

/** The browser's first figure is written out in another thread while the page is read: the next ones are quick in this one. */
const firstFigure = new Promise<void>((resolve) => {
  const worker = new Worker(new URL('./first-figure.worker.ts', import.meta.url), { type: 'module' })
  worker.onmessage = worker.onerror = () => {
    worker.terminate()
    resolve()
  }
  // a line that hangs holds up no page
  setTimeout(resolve, longestMs)
})

// a page is open on one household, named in its address; where none is, the one there is or the one looked at last
void findHousehold().then(async (address) => {
  if (address) return location.replace(address)
  // the book of crops is read in a stretch of its own, what asks in another, all else that the page is made of in a third
  await import('./almanac/almanac')
  await breath()
  await import('./view')
  await breath()
  const { start } = await import('./start')
  await breath()
  await start(firstFigure)
})
