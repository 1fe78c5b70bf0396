import type { EndTest } from './crop'

const test = (
  id: string,
  label: string,
  passed: string,
  failed: string,
  passesAt: number,
  sharpness: number,
): EndTest => ({
  id,
  label,
  passed,
  failed,
  passesAt: { value: passesAt, source: 'judgement' },
  sharpness: { value: sharpness, source: 'judgement' },
})

/** Yes/no looks that tell how far drying or healing has come. */
export const endTests = {
  'skins-garlic': test('skins', 'Skins', 'papery, all layers', 'inner ones still moist', 0.8, 0.06),
  'skins-onion': test('skins', 'Skins', 'dry and rustling', 'outer ones still limp', 0.78, 0.06),
  'roots-allium': test('roots', 'Roots', 'dry and brittle', 'still bend', 0.74, 0.07),
  'neck-garlic': test('neck', 'Neck', 'tight, dry all through when cut', 'soft or green inside', 0.96, 0.05),
  'neck-onion': test('neck', 'Neck', 'tight, no longer slides when pinched', 'slides or feels wet', 0.96, 0.05),
  rub: test('skin', 'Thumb on the skin', 'skin does not rub off', 'skin feathers', 0.9, 0.07),
  cuts: test('cuts', 'Cuts and scrapes', 'dry and corky', 'still moist', 0.95, 0.06),
  thumbnail: test('thumbnail', 'Thumbnail', 'leaves no mark', 'dents the skin', 0.9, 0.07),
  stem: test('stem', 'Stem', 'corky and hard', 'green or soft', 0.85, 0.08),
  crumble: test('crumble', 'Leaf between fingers', 'crumbles', 'bends', 0.92, 0.05),
  snap: test('snap', 'Stalk', 'snaps', 'bends', 0.97, 0.04),
  pods: test('pods', 'Pods', 'papery, split by themselves', 'leathery', 0.75, 0.08),
  'nut-snap': test('nut', 'Crack one', 'kernel crisp, the skin between the halves snaps', 'kernel rubbery', 0.96, 0.05),
  bite: test('bite', 'Bite or hammer', 'shatters, no dent', 'dents or squashes', 0.97, 0.04),
  rattle: test('rattle', 'Shake', 'seed rattles or pours', 'nothing moves', 0.7, 0.08),
  'skin-chilli': test('skin', 'Skin', 'leathery to brittle, dark', 'still plump', 0.85, 0.06),
  'seeds-chilli': test('seeds', 'Shake', 'seeds rattle', 'silent', 0.95, 0.05),
} satisfies Record<string, EndTest>

export type EndTestId = keyof typeof endTests
