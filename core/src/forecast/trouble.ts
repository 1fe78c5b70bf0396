import { told, type Message } from '../message'
import { Refusal } from '../refusal'
import { curingOfLot, dryerOf } from './curing'
import type { House } from './house'
import { keepingOf } from './keeping'
import type { LotState } from './lot'
import { sharesAhead } from './shares-ahead'

const finite = (...numbers: number[]) => {
  if (numbers.some((n) => !Number.isFinite(n))) throw new Refusal('no-number', told('forecast.figuresLeadNowhere'))
}

/** Works out everything of one lot that any screen asks for. @throws whatever is wrong with it */
function workOut(house: House, lot: LotState): void {
  const shares = sharesAhead(house, lot)
  house.once(lot, 'finite', [shares, lot.weightG], () => {
    finite(lot.weightG, ...shares)
    return true
  })
  if (lot.stage === 'drying') {
    finite(curingOfLot(house, lot).state.progress)
  } else if (lot.stage === 'dryer') {
    const { doneAtMs, rotateAtMs } = dryerOf(house, lot)
    finite(doneAtMs.p50, rotateAtMs)
  } else if (lot.stage === 'stored' || lot.stage === 'fresh') {
    finite(keepingOf(house, lot).forecast.nineInTenDay.p50)
  }
}

/** What keeps a lot from being worked out; undefined where nothing does. It is said on the lot's own line. */
export const troubleOf = (house: House, lot: LotState): Message | undefined =>
  house.seenOf(lot, 'trouble', () => ({ says: triedOut(house, lot) })).says

function triedOut(house: House, lot: LotState): Message | undefined {
  try {
    workOut(house, lot)
    return undefined
  } catch (error) {
    return error instanceof Refusal ? error.says : told('lots.makesNoSense')
  }
}

/** The lots that can be worked out: one that cannot takes no screen with it. */
export const workable = (house: House): readonly LotState[] =>
  house.shown('workable', [], () => house.lots.filter((lot) => !troubleOf(house, lot)))

/** The lots that cannot be worked out, with what is wrong. */
export const troubled = (house: House): readonly { lot: LotState; trouble: Message }[] =>
  house.shown('troubled', [], () =>
    workable(house).length === house.lots.length
      ? []
      : house.lots.flatMap((lot) => {
          const trouble = troubleOf(house, lot)
          return trouble === undefined ? [] : [{ lot, trouble }]
        }),
  )
