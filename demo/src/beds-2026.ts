import { look, type Step } from './steps'

/** What was seen at the beds of 2026, and what still stands there on 2 October. */
export const beds2026: Step[] = [
  look('2026-06-11', 'garlic-hardneck', 'Quarry Stiff', 'Bed 3', 'scapes', 1),
  look('2026-06-13', 'garlic-hardneck', 'Quarry Stiff', 'Bed 3', 'scapes-cut'),
  look('2026-07-03', 'garlic-hardneck', 'Quarry Stiff', 'Bed 3', 'sign', 3 / 9),
  look('2026-07-05', 'garlic-hardneck', 'Quarry Stiff', 'Bed 3', 'unwatered'),
  look('2026-07-10', 'garlic-hardneck', 'Quarry Stiff', 'Bed 3', 'tried', 1),
  look('2026-09-14', 'pumpkin', 'Gate Keeper', 'Bed 13', 'sign', 0.25),
  look('2026-09-28', 'pumpkin', 'Gate Keeper', 'Bed 13', 'sign', 0.5),
  look('2026-09-18', 'bean-drying', 'Black Pole', 'Bed 8', 'sign', 0.25),
  look('2026-09-27', 'bean-drying', 'Black Pole', 'Bed 8', 'sign', 0.5),
  look('2026-09-22', 'quince', 'Old Hedge', 'Orchard', 'sign', 0),
]
