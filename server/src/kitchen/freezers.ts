import type { FreezersView } from '@vadose/contract/kitchen'
import { keepsUntil, workable, type House, type LotState, type PlaceState } from '@vadose/core/forecast'
import { daysBetween, dayMs } from '@vadose/core/households'
import { daysAMonth, freezerFill, frozenPace, loadKgPerLitre, usualColdC, warmSpells } from '@vadose/core/kitchen'
import { lotRow } from '../lots'

const stepHours = 3
/** how the life of most frozen produce shortens with warmth, where what lies there says nothing of it */
const usualWarmShare = 0.5

export const freezersView = (house: House): FreezersView => ({
  freezers: house.places
    .filter(({ kind, within }) => kind === 'freezer' && within === null)
    .map((place) => freezerView(house, place)),
})

function freezerView(house: House, place: PlaceState): FreezersView['freezers'][number] {
  const parts = house.places.filter(({ within }) => within === place.id)
  const inside = new Set([place.id, ...parts.map(({ id }) => id)])
  const lots = workable(house).filter((lot) => lot.placeId !== null && inside.has(lot.placeId) && lot.form === 'frozen')
  const weightG = lots.reduce((sum, lot) => sum + lot.weightG, 0)
  const putInG = lots.reduce((sum, lot) => sum + (frozenAtMs(lot) > house.nowMs - dayMs ? lot.weightG : 0), 0)
  const { litres, past } = place
  const measured = place.measuredAtMs !== null
  const freezing = { warmShare: { value: warmShareOf(lots), source: 'iir' as const } }
  const log: FreezersView['freezers'][number]['log'] = []
  for (let i = 0; measured && i < past.hours; i += stepHours) {
    // the warmest of the step: a lid ajar for an hour is what is looked for
    const temperatureC = Math.max(...past.temperatureC.subarray(i, i + stepHours))
    log.push({ at: new Date(past.startMs + i * 3_600_000).toISOString(), temperatureC })
  }
  const usualC = measured ? usualColdC(past) : null
  return {
    id: place.id,
    name: place.name,
    litres,
    weightG,
    bags: lots.reduce((sum, lot) => sum + (lot.pieces ?? 1), 0),
    fill: litres === null ? null : freezerFill(weightG / 1000, litres),
    putInG,
    mayFreezeG: litres === null ? null : Math.max(0, Math.round(1000 * litres * loadKgPerLitre.most) - putInG),
    parts: parts.map(({ id, name }) => ({ id, name: name.replace(`${place.name}, `, '') })),
    log,
    usualC,
    pace: usualC === null ? null : frozenPace(freezing, usualC),
    spells: measured
      ? warmSpells(past, freezing).map(({ fromMs, ...spell }) => ({ from: new Date(fromMs).toISOString(), ...spell }))
      : [],
    lots: lots
      .map((lot) => {
        const until = keepsUntil(house, lot).nineInTenUntil.p50
        return {
          ...lotRow(house, lot),
          keepsUntil: until,
          monthsLeft: daysBetween(house.today, until) / daysAMonth,
        }
      })
      .sort((a, b) => a.monthsLeft - b.monthsLeft),
  }
}

const frozenAtMs = ({ history }: LotState): number => history.made?.atMs ?? history.frozen?.atMs ?? 0

function warmShareOf(lots: readonly LotState[]): number {
  const shares = lots.map(({ grown }) => grown.freezing?.warmShare.value ?? usualWarmShare)
  return shares.length === 0 ? usualWarmShare : shares.reduce((a, b) => a + b, 0) / shares.length
}
