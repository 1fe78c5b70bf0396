import { expect, it } from 'vitest'
import { backupWarning } from './backup-warning'

const at = '2026-10-02T03:00:00.000Z'
const state = { folder: '/b', last: { at, bytes: 9 }, failed: null }
const after = (days: number) => Date.parse(at) + days * 86_400_000

it('is silent for three days, then says how long', () => {
  expect(backupWarning(state, after(2.9))).toBeUndefined()
  expect(backupWarning(state, after(3))).toBe('No backup for 3 days. Back up in Household, or see to the disk.')
  expect(backupWarning({ ...state, failed: 'The disk is full.' }, after(5))).toContain('5 days. The disk is full.')
})
it('says at once that one failed, and nothing where none are made', () => {
  expect(backupWarning({ ...state, last: null, failed: 'The disk is full.' }, after(0))).toMatch(/failed: The disk/)
  expect(backupWarning({ ...state, last: null }, after(9))).toBeUndefined()
  expect(backupWarning({ folder: null, last: null, failed: null }, after(9))).toBeUndefined()
})
