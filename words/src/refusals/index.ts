import almanac from './almanac.json' with { type: 'json' }
import aside from './aside.json' with { type: 'json' }
import backup from './backup.json' with { type: 'json' }
import beds from './beds.json' with { type: 'json' }
import checks from './checks.json' with { type: 'json' }
import count from './count.json' with { type: 'json' }
import exports from './exports.json' with { type: 'json' }
import forecast from './forecast.json' with { type: 'json' }
import households from './households.json' with { type: 'json' }
import input from './input.json' with { type: 'json' }
import intake from './intake.json' with { type: 'json' }
import kitchen from './kitchen.json' with { type: 'json' }
import labels from './labels.json' with { type: 'json' }
import larder from './larder.json' with { type: 'json' }
import line from './line.json' with { type: 'json' }
import lots from './lots.json' with { type: 'json' }
import photos from './photos.json' with { type: 'json' }
import places from './places.json' with { type: 'json' }
import readings from './readings.json' with { type: 'json' }
import stores from './stores.json' with { type: 'json' }
import worksheets from './worksheets.json' with { type: 'json' }
import year from './year.json' with { type: 'json' }

/** What is refused, by room: seldom said, so that no page begins with it. */
export const refusals = {
  almanac,
  aside,
  backup,
  beds,
  checks,
  count,
  exports,
  forecast,
  households,
  input,
  intake,
  kitchen,
  labels,
  larder,
  line,
  lots,
  photos,
  places,
  readings,
  stores,
  worksheets,
  year,
} as const
