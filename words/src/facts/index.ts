import alarms from './alarms.json' with { type: 'json' }
import beds from './beds.json' with { type: 'json' }
import intake from './intake.json' with { type: 'json' }
import lots from './lots.json' with { type: 'json' }
import round from './round.json' with { type: 'json' }
import stores from './stores.json' with { type: 'json' }
import verdict from './verdict.json' with { type: 'json' }
import weather from './weather.json' with { type: 'json' }

/** What core and server mean, by room: what the first page may have to say. */
export const facts = { alarms, beds, intake, lots, round, stores, verdict, weather } as const
