import type { StandView } from '@vadose/contract/beds'
import { entrySays } from '@vadose/core/beds'
import { bedVerdict, type House } from '@vadose/core/forecast'

/** What stands in the beds: what is nearest to its day first, what is over last. */
export function bedsView(house: House): StandView[] {
  return house.stands
    .map((stand): StandView => {
      const crop = house.almanac.byId.get(stand.crop)
      const verdict = stand.over ? undefined : bedVerdict(house, stand)
      return {
        key: stand.key,
        crop: stand.crop,
        variety: stand.variety,
        bed: stand.bed,
        growsIn: stand.growsIn,
        plantedOn: stand.plantedOn,
        planted: stand.planted,
        from: stand.from,
        over: stand.over,
        lifted: stand.lifted,
        entries: stand.entries
          .map((entry) => ({
            id: entry.id,
            on: entry.on,
            what: entry.what,
            value: entry.value,
            says: entrySays(crop, entry),
          }))
          .reverse(),
        verdict: verdict
          ? { state: verdict.state, window: verdict.window, day: verdict.day, says: verdict.says, next: verdict.next }
          : null,
      }
    })
    .sort((a, b) => (order(a) < order(b) ? -1 : 1))
}

const order = ({ over, verdict, bed }: StandView) => `${over ? 1 : 0} ${verdict?.next?.on ?? '9999'} ${bed}`
