import { expect, it } from 'vitest'
import { ApiError } from '../call'
import { refused } from './refused'

it('leaves a refusal of the server as it is', () => {
  const error = new ApiError('surprise', '9,000 g is more than it can well be.', 'weightG')
  expect(refused(error)).toBe(error)
})

it('makes a refusal of anything else that failed', () => {
  expect(refused(new TypeError('no such thing'))).toMatchObject({
    code: 'internal',
    message: 'TypeError: no such thing',
  })
})
