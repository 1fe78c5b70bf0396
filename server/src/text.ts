/**
 * What was put together once is written as text once: the rows of a list too, of which a write changes few. The text is kept
 * with the thing itself, where no copy takes it along: in a WeakMap it would outlive it by one collection and more.
 */
const textKey = Symbol('text')
type WithText = { [textKey]?: string }

type Things = readonly object[]
const isThing = (value: unknown): value is object => typeof value === 'object' && value !== null
const isList = (value: unknown): value is Things => Array.isArray(value) && isThing(value[0])
/** Whether there is a list inside it, at any depth that answers have. */
const holdsLists = (value: unknown, depth = 2): boolean =>
  isThing(value) &&
  (isList(value) || (depth > 0 && Object.values(value).some((inner) => isThing(inner) && holdsLists(inner, depth - 1))))

function kept(thing: object): string {
  const known = (thing as WithText)[textKey]
  if (known !== undefined) return known
  const parts: string[] = []
  write(thing, parts)
  const text = parts.length === 1 ? parts[0]! : parts.join('')
  Object.defineProperty(thing, textKey, { value: text })
  return text
}

/** Adds the pieces of a text to those there are: joined once, however deep the lists lie. */
function write(thing: object, parts: string[]): void {
  if (isList(thing)) {
    thing.forEach((one, i) =>
      parts.push(i === 0 ? '[' : ',', isThing(one) ? kept(one) : (JSON.stringify(one) ?? 'null')),
    )
    parts.push(']')
  } else if (Array.isArray(thing) || 'toJSON' in thing || !holdsLists(thing)) parts.push(JSON.stringify(thing))
  else {
    let between = '{'
    for (const [name, value] of Object.entries(thing)) {
      const text = isThing(value) ? undefined : JSON.stringify(value)
      if (!isThing(value) && text === undefined) continue
      parts.push(between, JSON.stringify(name), ':')
      if (isThing(value)) write(value, parts)
      else parts.push(text!)
      between = ','
    }
    parts.push(between === '{' ? '{}' : '}')
  }
}

/** An answer as JSON, as JSON.stringify writes it. Nothing of it is changed afterwards. */
export const textOf = (answer: unknown): string => (isThing(answer) ? kept(answer) : JSON.stringify(answer))
