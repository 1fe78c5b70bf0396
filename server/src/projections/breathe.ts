/** longest a household's forecasts hold the event loop at a stretch, ms */
const stretchMs = 5

/** Lets requests in between two pieces of work, where it has gone on for a stretch. */
export function breather(): () => Promise<void> {
  let began = performance.now()
  return async () => {
    if (performance.now() - began < stretchMs) return
    await new Promise((resolve) => setImmediate(resolve))
    began = performance.now()
  }
}
