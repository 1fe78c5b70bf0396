import * as contract from '@vadose/contract/acts'
import * as core from '@vadose/core/lots'
import { expect, it } from 'vitest'

it('the words both floors know are the same on both', () => {
  for (const words of ['asideReasons', 'endings', 'sortFates'] as const) {
    expect([...contract[words]]).toEqual([...core[words]])
  }
})
