import type { Worksheet } from './field'
import { dryingSheets } from './sheets-drying'
import { freezingSheets } from './sheets-freezing'
import { keepingSheets } from './sheets-keeping'

/** The worksheets of the bench, in the order of the work. */
export const worksheets = (): readonly Worksheet[] => [...dryingSheets(), ...freezingSheets(), ...keepingSheets()]

export const worksheetNamed = (name: string): Worksheet | undefined => worksheets().find((w) => w.name === name)
