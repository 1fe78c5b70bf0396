import type { LarderLot } from '@vadose/contract/larder'
import type { Unit } from '@vadose/core/almanac'
import { cropOf, outlineOf } from '../almanac'

/** Outlines of what things stand in, 24 wide and 36 high, standing at 35. */
const containers: Record<Exclude<Unit, 'piece' | 'head'>, string> = {
  jar: 'M5 2h14v5H5z M3 10.500c0-1.500 1-2.500 2.500-2.500h13c1.500 0 2.500 1 2.500 2.500V32c0 2-1 3-3 3H6c-2 0-3-1-3-3z',
  bag: 'M6 2h12l-1.500 5C20 8 21 10 21.500 13c1 7 1 15 .5 22H2c-.5-7-.5-15 .5-22C3 10 4 8 7.500 7z',
  bottle:
    'M9 1h6v4l-.5 1v5c0 2.500 5 4 5 8.500V32c0 2-1 3-3 3h-9c-2 0-3-1-3-3V19.500C4.500 15 9.500 13.500 9.500 11V6L9 5z',
  tin: 'M2.500 9c0-4.500 19-4.500 19 0v22.500c0 4.500-19 4.500-19 0z',
  box: 'M2 12h20v23H2z M2 12l3.500-5h13L22 12z',
  portion:
    'M1.500 15h21v4h-21z M3 20h18l-1.800 12.500c-.3 1.700-1.200 2.500-2.700 2.500h-9c-1.500 0-2.400-.8-2.700-2.500z',
  block: 'M1.500 20l5-6h16v15l-5 6h-16z M1.500 20h16v15 M17.500 20l5-6',
  roll: 'M3 17c0-4.500 18-4.500 18 0v14c0 4.500-18 4.500-18 0z M8 17c0-2 8-2 8 0',
  net: 'M12 1c2.200 0 2.200 4 1 6.500 7 3 9.500 9.500 9.500 16C22.500 31 18.500 35 12 35S1.500 31 1.500 23.500c0-6.500 2.500-13 9.500-16C9.800 5 9.800 1 12 1z M5 14l14 16 M19 14L5 30 M3 22l12 12 M21 22L9 34',
  sack: 'M6 3h12l-2 6c5 4 7.500 13 6.500 26h-21C.5 22 3 13 8 9z',
  crate: 'M1 15h22v20H1z M1 21h22 M1 28h22 M5 15v20 M19 15v20',
  plait:
    'M12 1c1 3 1 4 0 6 M8 8a4 4 0 1 0 .1 0z M16 10a4 4 0 1 0 .1 0z M8 16a4 4 0 1 0 .1 0z M16 18a4 4 0 1 0 .1 0z M8 24a4 4 0 1 0 .1 0z M16 26a4 4 0 1 0 .1 0z',
  bunch: 'M12 1v9 M12 10c-4 4-9 10-8 17 3 5 13 5 16 0 1-7-4-13-8-17z M8 16v14 M12 13v18 M16 16v14',
}

export interface Shape {
  /** of the thing it stands in; nothing for what lies there as it grew */
  container: Unit | null
  /** the crop's own outline */
  mark: string
}

/** What one of a lot looks like on its shelf. */
export function shapeOf({
  crop,
  form,
  unit,
  pack,
}: Pick<LarderLot, 'crop' | 'form' | 'unit'> & { pack?: string }): Shape {
  const mark = outlineOf(cropOf(crop), 'fresh')
  if (unit && unit !== 'piece' && unit !== 'head') return { container: unit, mark }
  if (pack === 'jar' || form === 'dried' || form === 'jarred' || form === 'brined') return { container: 'jar', mark }
  if (form === 'frozen') return { container: 'bag', mark }
  if (form === 'cooked') return { container: 'portion', mark }
  return { container: null, mark }
}

/** Words for the filter by what things stand in; what lies as it grew is loose. */
export const containerOf = (lot: Pick<LarderLot, 'crop' | 'form' | 'unit'>): Unit | 'loose' =>
  shapeOf(lot).container ?? 'loose'

const masks = new Map<string, string>()

/** A mask to be repeated along the shelf: the thing full, its crop's mark cut out, or only its outline. */
export function maskOf({ container, mark }: Shape, full: boolean): string {
  const key = `${container ?? ''} ${full} ${mark}`
  const known = masks.get(key)
  if (known) return known
  const line = `fill="none" stroke="${full ? '#000' : '#fff'}" stroke-linejoin="round" stroke-linecap="round"`
  const body = container === null || container === 'piece' || container === 'head' ? null : containers[container]
  const own = full
    ? body
      ? `<path d="${body}" fill="#fff" stroke="#fff" stroke-width="1.2" stroke-linejoin="round"/>${isOpen(container!) ? `<path d="${body}" ${line} stroke-width="1"/>` : ''}<g transform="translate(${markAt(container!)}) scale(.5)"><path d="${mark}" fill="#000" stroke="#000" stroke-width="2"/></g>`
      : `<g transform="translate(4 3)"><path d="${mark}" fill="#fff"/><path d="${mark}" ${line} stroke-width="1"/></g>`
    : body
      ? `<path d="${body}" ${line} stroke-width="1.3" stroke-dasharray="2.5 2"/>`
      : `<g transform="translate(4 3)"><path d="${mark}" ${line} stroke-width="1.2" stroke-dasharray="2.500 2"/></g>`
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="-1 0 27 36" width="27" height="36">${own}</svg>`
  const url = `url("data:image/svg+xml,${encodeURIComponent(svg)}")`
  masks.set(key, url)
  return url
}

/** those whose lines say what they are: a net's mesh, a crate's slats */
const isOpen = (unit: Unit) => ['net', 'crate', 'block', 'roll'].includes(unit)
const markAt = (unit: Unit): string =>
  unit === 'portion' ? '8 18' : unit === 'bottle' ? '8 17.500' : unit === 'block' ? '5.500 19' : '8 15'
