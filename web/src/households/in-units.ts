import { retell } from '@vadose/words'
import { languageHere } from '../voice'
import { degree, fromCelsius, isUs, weight } from './words'

const figure = String.raw`[−-]?\d[\d,]*(?:\.\d+)?`
const measured = (unit: string) =>
  new RegExp(String.raw`(?:(${figure})(\s?–\s?| to | and ))?(${figure})\s(${unit})`, 'g')
const weights = measured(String.raw`(?:kg|g)(?![\w/])`)
const degrees = measured('°C')

const value = (text: string) => Number(text.replaceAll(',', '').replace('−', '-'))
const heavy = (text: string, unit: string) => weight(value(text) * (unit === 'kg' ? 1000 : 1))
const warm = (text: string) => String(Math.round(fromCelsius(value(text)))).replace('-', '−')

/** A sentence made in grams and °C, such as the server's and the almanac's, in the household's units. */
export function inUnits(text: string): string {
  const spoken = retell(text, languageHere())
  if (!isUs()) return spoken
  return spoken
    .replace(weights, (_, from: string | undefined, between: string, to: string, unit: string) =>
      from === undefined ? heavy(to, unit) : `${heavy(from, unit)}${between}${heavy(to, unit)}`,
    )
    .replace(degrees, (_, from: string | undefined, between: string, to: string) =>
      from === undefined ? `${warm(to)} ${degree()}` : `${warm(from)}${between}${warm(to)} ${degree()}`,
    )
}
