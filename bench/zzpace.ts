import { crops } from '@vadose/core/almanac'
import { agesByDay, usualPacking } from '@vadose/core/stores'
import { airSeries } from '@vadose/core/air'
const air = airSeries(0, new Float64Array(24).fill(8), new Float64Array(24).fill(80))
const ages: string[] = []
const times: [number, string][] = []
for (const c of crops) { if (!c.keeping) continue; const t = performance.now(); ages.push(c.id + ' ' + agesByDay(c, air, usualPacking(c)).ages.map((a) => a.at(-1)!.toPrecision(5)).join(' ')); times.push([performance.now() - t, c.id]) }
times.sort((a, b) => b[0] - a[0])
console.log(times.slice(0, 12).map(([t, c]) => c + ' ' + t.toFixed(0)).join(', '), 'sum', times.reduce((s, [t]) => s + t, 0).toFixed(0), 'median', times[times.length >> 1]![0].toFixed(1))
console.log(process.env.SHOW ? ages.join('\n') : '')
