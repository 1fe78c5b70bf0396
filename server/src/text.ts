/** What was put together once is written as text once: the rows of a list too, of which a write changes few. */
const texts = new WeakMap<object, string>()

type Things = readonly object[]
const isThing = (value: unknown): value is object => typeof value === 'object' && value !== null
const isList = (value: unknown): value is Things => Array.isArray(value) && isThing(value[0])
/** Whether there is a list inside it, at any depth that answers have. */
const holdsLists = (value: unknown, depth = 2): boolean =>
  isThing(value) &&
  (isList(value) || (depth > 0 && Object.values(value).some((inner) => isThing(inner) && holdsLists(inner, depth - 1))))

const listText = (list: Things): string =>
  `[${list.map((one) => (isThing(one) ? kept(one) : (JSON.stringify(one) ?? 'null'))).join()}]`

function kept(thing: object): string {
  const text = texts.get(thing) ?? written(thing)
  texts.set(thing, text)
  return text
}

function written(thing: object): string {
  if (isList(thing)) return listText(thing)
  if (Array.isArray(thing) || 'toJSON' in thing || !holdsLists(thing)) return JSON.stringify(thing)
  const parts: string[] = []
  for (const [name, value] of Object.entries(thing)) {
    const text = isThing(value) ? written(value) : JSON.stringify(value)
    if (text !== undefined) parts.push(`${JSON.stringify(name)}:${text}`)
  }
  return `{${parts.join()}}`
}

/** An answer as JSON, as JSON.stringify writes it. Nothing of it is changed afterwards. */
export const textOf = (answer: unknown): string => (isThing(answer) ? kept(answer) : JSON.stringify(answer))
