/** British words and what they are in American English, in small letters, with the endings they take. */
const american: Record<string, string> = {
  autumn: 'fall',
  colour: 'color',
  colours: 'colors',
  coloured: 'colored',
  colouring: 'coloring',
  mould: 'mold',
  moulds: 'molds',
  mouldy: 'moldy',
  moulded: 'molded',
  grey: 'gray',
  litre: 'liter',
  litres: 'liters',
  metre: 'meter',
  metres: 'meters',
  centre: 'center',
  centres: 'centers',
  odour: 'odor',
  odours: 'odors',
  flavour: 'flavor',
  flavours: 'flavors',
  favour: 'favor',
  neighbour: 'neighbor',
  neighbours: 'neighbors',
  neighbouring: 'neighboring',
  labelled: 'labeled',
  travelled: 'traveled',
  vapour: 'vapor',
  programme: 'program',
  fibre: 'fiber',
  fibres: 'fibers',
  sulphur: 'sulfur',
  draught: 'draft',
  draughts: 'drafts',
  draughty: 'drafty',
  plough: 'plow',
  cooker: 'stove',
  spoilt: 'spoiled',
  learnt: 'learned',
  burnt: 'burned',
  whilst: 'while',
  towards: 'toward',
  afterwards: 'afterward',
  judgement: 'judgment',
  practise: 'practice',
  practised: 'practiced',
  fortnight: 'two weeks',
  'a fortnight': 'two weeks',
  tin: 'can',
  tins: 'cans',
  // crops
  courgette: 'zucchini',
  courgettes: 'zucchini',
  aubergine: 'eggplant',
  aubergines: 'eggplants',
  beetroot: 'beet',
  beetroots: 'beets',
  swede: 'rutabaga',
  swedes: 'rutabagas',
  'bean, broad': 'bean, fava',
  'broad bean': 'fava bean',
  'broad beans': 'fava beans',
  maize: 'corn',
  sweetcorn: 'sweet corn',
  chilli: 'chili',
  chillies: 'chilies',
}

const anyOf = new RegExp(
  `\\b(?:${Object.keys(american)
    .sort((a, b) => b.length - a.length)
    .join('|')})\\b`,
  'gi',
)
const large = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

/** A message, or a word of the almanac, as American English has it. */
export const inAmerican = (text: string): string =>
  text.replace(anyOf, (found) => {
    const us = american[found.toLowerCase()]!
    return found.charAt(0) === found.charAt(0).toLowerCase() ? us : large(us)
  })
