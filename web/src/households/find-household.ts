import { listHouseholds } from '@vadose/contract/households'
import { call, householdHere } from '../call'

const lastHere = 'household'

/**
 * Where a page that names no household belongs: to the only one there is, or to the one that was looked at last here.
 * A tag's address from before households had any is never opened for the wrong one: where there are several, the page asks.
 * @returns an address to go to; undefined to stay
 */
export async function findHousehold(): Promise<string | undefined> {
  if (householdHere) {
    localStorage.setItem(lastHere, householdHere)
    return undefined
  }
  try {
    const there = (await call(listHouseholds, {})).map((household) => household.address)
    const rest = location.pathname + location.search
    const last = localStorage.getItem(lastHere)
    if (there.length === 1) return `/${there[0]}${rest}`
    return last !== null && there.includes(last) && location.pathname === '/' ? `/${last}/` : undefined
  } catch {
    // the page says that nobody answers
    return undefined
  }
}
