import type { Described, PlaceKind } from '@vadose/core/places'
import { autumn2026 } from './autumn-2026'
import { beds2026 } from './beds-2026'
import { kitchen } from './kitchen'
import { season2025 } from './season-2025'
import { season2026 } from './season-2026'
import type { Step } from './steps'

/** Quarry House: an invented smallholding, four people, eleven places, two seasons. All of it is made up. */
export const quarryHouse = {
  name: 'Quarry House',
  timeZone: 'Europe/Vienna',
  latitudeDeg: 47,
  altitudeM: 430,
  seasonStart: '05-01',
  firstReadingOn: '2025-06-20',
  today: '2026-10-02',
  places: [
    ['Garden', 'outdoors'],
    ['Veranda', 'veranda'],
    ['Shed', 'shed'],
    ['Kitchen', 'room'],
    ['North room', 'cool-room'],
    ['Loft', 'loft'],
    ['Cellar', 'cellar'],
    ['Chest freezer', 'freezer', null, { litres: 100 }],
    ['Upright freezer', 'freezer', null, { litres: 60 }],
    ['Pantry', 'cool-room'],
    ['Fridge', 'fridge'],
    ['Pantry, top', 'cool-room', 'Pantry'],
    ['Pantry, middle', 'cool-room', 'Pantry'],
    ['Pantry, floor', 'cool-room', 'Pantry'],
    ['Chest freezer, basket 1', 'freezer', 'Chest freezer'],
    ['Chest freezer, basket 2', 'freezer', 'Chest freezer'],
  ] as [string, PlaceKind, (string | null)?, Partial<Described>?][],
}

export type { Step }

/** Every step of both seasons in the order it happened. */
export const steps: Step[] = [...season2025, ...season2026, ...autumn2026, ...beds2026, ...kitchen].sort((a, b) =>
  a.on === b.on ? a.hour - b.hour : a.on < b.on ? -1 : 1,
)
