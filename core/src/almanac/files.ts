import type { CropData } from './crop'
import { likeSister, type LikeFile } from './like'
import onionStoring from './data/onion-storing.json'
import onionSweet from './data/onion-sweet.json'
import onionRed from './data/onion-red.json'
import shallot from './data/shallot.json'
import garlicHardneck from './data/garlic-hardneck.json'
import garlicSoftneck from './data/garlic-softneck.json'
import leek from './data/leek.json'
import potatoEarly from './data/potato-early.json'
import potatoMaincrop from './data/potato-maincrop.json'
import sweetPotato from './data/sweet-potato.json'
import squashHubbard from './data/squash-hubbard.json'
import squashKabocha from './data/squash-kabocha.json'
import squashButternut from './data/squash-butternut.json'
import squashAcorn from './data/squash-acorn.json'
import squashSpaghetti from './data/squash-spaghetti.json'
import pumpkin from './data/pumpkin.json'
import courgette from './data/courgette.json'
import carrot from './data/carrot.json'
import beetroot from './data/beetroot.json'
import parsnip from './data/parsnip.json'
import celeriac from './data/celeriac.json'
import swede from './data/swede.json'
import turnip from './data/turnip.json'
import radishWinter from './data/radish-winter.json'
import kohlrabi from './data/kohlrabi.json'
import cabbageWhite from './data/cabbage-white.json'
import cabbageRed from './data/cabbage-red.json'
import cabbageSavoy from './data/cabbage-savoy.json'
import brusselsSprouts from './data/brussels-sprouts.json'
import kale from './data/kale.json'
import cauliflower from './data/cauliflower.json'
import broccoli from './data/broccoli.json'
import broccoliSprouting from './data/broccoli-sprouting.json'
import chard from './data/chard.json'
import spinach from './data/spinach.json'
import tomato from './data/tomato.json'
import tomatoGreen from './data/tomato-green.json'
import pepper from './data/pepper.json'
import chilli from './data/chilli.json'
import cucumber from './data/cucumber.json'
import aubergine from './data/aubergine.json'
import beanGreen from './data/bean-green.json'
import beanRunner from './data/bean-runner.json'
import pea from './data/pea.json'
import peaWholePod from './data/pea-whole-pod.json'
import beanBroad from './data/bean-broad.json'
import sweetcorn from './data/sweetcorn.json'
import beanDrying from './data/bean-drying.json'
import pumpkinSeed from './data/pumpkin-seed.json'
import sunflower from './data/sunflower.json'
import poppy from './data/poppy.json'
import fennel from './data/fennel.json'
import coriander from './data/coriander.json'
import caraway from './data/caraway.json'
import nigella from './data/nigella.json'
import amaranth from './data/amaranth.json'
import quinoa from './data/quinoa.json'
import wheat from './data/wheat.json'
import maize from './data/maize.json'
import appleEarly from './data/apple-early.json'
import appleLate from './data/apple-late.json'
import pear from './data/pear.json'
import quince from './data/quince.json'
import plum from './data/plum.json'
import cherry from './data/cherry.json'
import apricot from './data/apricot.json'
import peach from './data/peach.json'
import fig from './data/fig.json'
import grape from './data/grape.json'
import strawberry from './data/strawberry.json'
import raspberry from './data/raspberry.json'
import currant from './data/currant.json'
import gooseberry from './data/gooseberry.json'
import blueberry from './data/blueberry.json'
import herbSoft from './data/herb-soft.json'
import herbWoody from './data/herb-woody.json'
import nasturtiumPods from './data/nasturtium-pods.json'
import flowerBuds from './data/flower-buds.json'
import jerusalemArtichoke from './data/jerusalem-artichoke.json'
import horseradish from './data/horseradish.json'
import cabbageChinese from './data/cabbage-chinese.json'
import celery from './data/celery.json'
import chicory from './data/chicory.json'
import lettuce from './data/lettuce.json'
import saladLeaves from './data/salad-leaves.json'
import endive from './data/endive.json'
import melon from './data/melon.json'
import watermelon from './data/watermelon.json'
import rhubarb from './data/rhubarb.json'
import ginger from './data/ginger.json'
import hops from './data/hops.json'
import walnut from './data/walnut.json'
import hazelnut from './data/hazelnut.json'
import chestnut from './data/chestnut.json'
import mushroom from './data/mushroom.json'

/** Crops with a whole file of their own. */
const whole = [
  onionStoring,
  onionSweet,
  onionRed,
  shallot,
  garlicHardneck,
  garlicSoftneck,
  leek,
  potatoEarly,
  potatoMaincrop,
  sweetPotato,
  squashHubbard,
  squashKabocha,
  squashButternut,
  squashAcorn,
  squashSpaghetti,
  pumpkin,
  courgette,
  carrot,
  beetroot,
  parsnip,
  celeriac,
  swede,
  turnip,
  radishWinter,
  kohlrabi,
  cabbageWhite,
  cabbageRed,
  cabbageSavoy,
  brusselsSprouts,
  kale,
  cauliflower,
  broccoli,
  broccoliSprouting,
  chard,
  spinach,
  tomato,
  tomatoGreen,
  pepper,
  chilli,
  cucumber,
  aubergine,
  beanGreen,
  beanRunner,
  pea,
  peaWholePod,
  beanBroad,
  sweetcorn,
  beanDrying,
  pumpkinSeed,
  sunflower,
  poppy,
  fennel,
  coriander,
  caraway,
  nigella,
  amaranth,
  quinoa,
  wheat,
  maize,
  appleEarly,
  appleLate,
  pear,
  quince,
  plum,
  cherry,
  apricot,
  peach,
  fig,
  grape,
  strawberry,
  raspberry,
  currant,
  gooseberry,
  blueberry,
  herbSoft,
  herbWoody,
  nasturtiumPods,
  flowerBuds,
] as unknown as readonly CropData[]

/** Crops that differ little from a sister. */
const like = [
  jerusalemArtichoke,
  horseradish,
  cabbageChinese,
  celery,
  chicory,
  lettuce,
  endive,
  saladLeaves,
  rhubarb,
  melon,
  watermelon,
  ginger,
  hops,
  walnut,
  hazelnut,
  chestnut,
  mushroom,
] as unknown as readonly LikeFile[]

/** The crops' files, in the almanac's order, each after the sister it is like; the schema in schema.ts guards them. */
export const cropFiles: readonly CropData[] = like.reduce<readonly CropData[]>((files, file) => {
  const made = likeSister(file, files)
  const after = files.findIndex(({ id }) => id === file.like) + 1
  return [...files.slice(0, after), made, ...files.slice(after)]
}, whole)
