import { writeFileSync } from 'node:fs'
import { freshDatabase, runAs } from '../server/src/testing/database'
import { copyDecade, makeDecade, tenYears } from './decade-household'
const database = await freshDatabase('vadose_zz')
const decade = await makeDecade(database.ownerUrl, 'decade', tenYears)
await runAs(database.ownerUrl, 'analyze')
for (let i = 0; i < 6; i++) await copyDecade(database.ownerUrl, decade, `copy-${i}`)
await runAs(database.ownerUrl, 'create table bare (id uuid primary key, at timestamptz default now()); grant insert on bare to vadose_app')
await runAs(database.ownerUrl, 'analyze')
writeFileSync('/tmp/decade.json', JSON.stringify({ url: database.url, ownerUrl: database.ownerUrl, ...decade, places: [...decade.places] }))
