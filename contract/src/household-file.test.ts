import { readFileSync } from 'node:fs'
import { resolve } from 'node:path'
import { expect, it } from 'vitest'
import { householdFile } from './household-file'

it('stands in docs as JSON Schema, word for word', () => {
  const {
    $schema: _,
    title: __,
    ...written
  } = JSON.parse(readFileSync(resolve('docs/household-file.schema.json'), 'utf8')) as Record<string, unknown>
  expect(written).toEqual(JSON.parse(JSON.stringify(householdFile)))
})
