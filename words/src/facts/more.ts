import almanac from './almanac.json' with { type: 'json' }
import count from './count.json' with { type: 'json' }
import keeping from './keeping.json' with { type: 'json' }
import kitchen from './kitchen.json' with { type: 'json' }
import labels from './labels.json' with { type: 'json' }
import larder from './larder.json' with { type: 'json' }
import ledger from './ledger.json' with { type: 'json' }
import line from './line.json' with { type: 'json' }
import readings from './readings.json' with { type: 'json' }

/** What else they mean, said on other pages. */
export const moreFacts = { almanac, count, keeping, kitchen, labels, larder, ledger, line, readings } as const
