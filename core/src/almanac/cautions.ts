import { kilos, told, type Prose } from '../message'
import type { Caution, SourceId } from './crop'

const caution = (id: string, text: Prose, source: SourceId = 'practice'): Caution => ({ id, text, source })

/** The usual cautions; each crop names its own. They point to the local authority, they do not replace it. */
export const cautions = {
  'garlic-oil': caution(
    'garlic-oil',
    'Garlic in oil: in the fridge and used within 4 days, or in the freezer; never on the shelf. Botulism gives no smell.',
    'anr8568',
  ),
  'herb-oil': caution(
    'herb-oil',
    'Fresh herbs or vegetables in oil: fridge and days, or the freezer; never the shelf. Botulism gives no smell.',
    'nchfp',
  ),
  'white-rot': caution(
    'white-rot',
    'White rot: bin or burn, never the compost; no alliums in that bed for many years.',
  ),
  'rhubarb-leaves': caution(
    'rhubarb-leaves',
    'Rhubarb leaves are poisonous, raw or cooked, to people and animals: on the compost, never in the pot.',
  ),
  'wild-mushroom': caution(
    'wild-mushroom',
    'Only mushrooms you have grown yourself, or that somebody licensed has named: many deadly ones look like good ones, and neither cooking nor drying helps.',
  ),
  'hops-dogs': caution('hops-dogs', 'Hops, fresh or spent, are poisonous to dogs.'),
  'nuts-mould': caution(
    'nuts-mould',
    'Mouldy, shrivelled or bitter nuts are thrown away, shells and all, never picked over or fed: mould in nuts can carry aflatoxin.',
    'efsa',
  ),
  'allium-animals': caution(
    'allium-animals',
    'Onions, garlic and leeks and their waste never go to dogs or cats, and only sparingly to sheep and cattle.',
  ),
  'green-potato': caution(
    'green-potato',
    'Green or bitter potatoes are not eaten; sprouts and green skin are cut away deeply. Cooking does not help. Nor are they fed raw.',
    'efsa',
  ),
  blight: caution(
    'blight',
    'Blighted plants and tubers do not go on the compost; ring rot, brown rot and wart are reported where the law says so.',
  ),
  'sweet-potato-black': caution(
    'sweet-potato-black',
    'Black or bitter sweet potatoes are thrown away and not fed: their poison stays when cooked.',
  ),
  'bitter-squash': caution(
    'bitter-squash',
    'Bitter squash, courgette or cucumber, often from saved seed: spit it out and throw all of it away. Cooking does not help.',
    'anses',
  ),
  'raw-beans': caution(
    'raw-beans',
    'Red, runner and other kidney-type beans: never raw, never slow-cooked from raw. Soak, pour away the water, boil hard for at least 10 minutes (some authorities say 30), then cook. Drying does not make them safe.',
    'fda',
  ),
  favism: caution('favism', 'Broad beans harm people with G6PD deficiency, fresh, dried or cooked.', 'efsa'),
  'low-acid': caution(
    'low-acid',
    'In jars this is low-acid food: only a pressure canner and a tested recipe, corrected for altitude. Botulism gives no smell.',
    'cghc',
  ),
  'tomato-acid': caution('tomato-acid', 'Tomatoes and figs in jars are acidified as the tested recipe says.', 'cghc'),
  jars: caution('jars', 'A bulging, leaking or spurting jar: do not taste; bag and bin it.', 'cghc'),
  'mould-firm': caution(
    'mould-firm',
    'Mould on firm vegetables is cut away 2.5 cm clear, the knife kept out of it; soft, dried, shredded or jarred food with mould is thrown out.',
    'fsis',
  ),
  'mould-soft': caution(
    'mould-soft',
    'Mould on soft fruit, dried or jarred food: throw it out, do not cut round it.',
    'fsis',
  ),
  'apple-mould': caution(
    'apple-mould',
    'Rotten apples do not go into juice or sauce: blue mould can leave patulin in what looks clean.',
    'fsis',
  ),
  kernels: caution(
    'kernels',
    'Kernels of apricots, plums, cherries and peaches are not eaten: they hold cyanide.',
    'efsa',
  ),
  sulphite: caution(
    'sulphite',
    'Sulphited dried fruit can bring on asthma: label it, and ask before serving.',
    'nchfp',
  ),
  poppy: caution(
    'poppy',
    'Growing poppies for seed: the law differs; seek local advice. Unwashed seed can carry opiates.',
    'efsa',
  ),
  'parsnip-mould': caution(
    'parsnip-mould',
    'Mouldy or damaged parsnip and celery are thrown out or peeled deep; the sap burns skin in sun.',
  ),
  thaw: caution('thaw', 'Thawed food: the power-cut rules decide; when in doubt, throw it out.', 'fsis'),
  leftovers: caution(
    'leftovers',
    'Cooked food: cold within two hours, in the fridge three or four days, warmed through until it steams; when in doubt, throw it out.',
    'fsis',
  ),
  lifting: caution('lifting', told('almanac.fullCrate', { weight: kilos(20_000, 0) })),
  knife: caution('knife', 'Hard squash slips: flat side down, knife away from the hand.'),
  'gloves-chilli': caution('gloves-chilli', 'Chillies: gloves, and hands off eyes; dust from dry pods stings lungs.'),
  steam: caution('steam', 'Boiling water and steam: lid away from you, children away from the stove.'),
  dust: caution('dust', 'Threshing and winnowing: outdoors, wind at your back, a mask against the dust.'),
  'seed-dressed': caution('seed-dressed', 'Seed that was bought dressed for sowing is never eaten.'),
  brine: caution(
    'brine',
    'Weigh the salt, keep everything under the brine, and throw out what smells wrong, is slimy or has coloured mould. Follow a tested recipe.',
    'nchfp',
  ),
  'whole-nuts': caution('whole-nuts', 'Whole seeds and beans are not for children under five: choking.'),
} satisfies Record<string, Caution>

export type CautionId = keyof typeof cautions
