import * as almanac from './almanac'
import * as beds from './beds'
import * as backup from './backup'
import type { AnyEndpoint } from './endpoint'
import * as habits from './habits'
import * as exported from './exports'
import * as householdFile from './household-file'
import * as households from './households'
import * as intake from './intake'
import * as kitchen from './kitchen'
import * as count from './count'
import * as labels from './labels'
import * as larder from './larder'
import * as line from './line'
import * as lots from './lots'
import * as photos from './photos'
import * as places from './places'
import * as putRight from './put-right'
import * as readings from './readings'
import * as round from './round'
import * as stores from './stores'
import * as year from './year'
import * as worksheets from './worksheets'

const rooms = {
  households,
  intake,
  beds,
  lots,
  putRight,
  photos,
  labels,
  line,
  stores,
  larder,
  count,
  year,
  kitchen,
  round,
  places,
  readings,
  almanac,
  habits,
  exported,
  householdFile,
  backup,
  worksheets,
}

const isEndpoint = (one: unknown): one is AnyEndpoint =>
  typeof one === 'object' && one !== null && 'method' in one && 'answer' in one

/** Every endpoint there is, by room. */
export const endpoints: { room: string; endpoint: AnyEndpoint }[] = Object.entries(rooms).flatMap(([room, names]) =>
  Object.values(names)
    .filter(isEndpoint)
    .map((endpoint) => ({ room, endpoint })),
)
