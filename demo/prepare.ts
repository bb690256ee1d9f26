import { closeDatabase } from '@/server/database/connection'
import { migrate } from '@/server/migrations/migrate'
import { bringUpToDate, tidyUp } from '@/server/records'
import { seedDemo } from './seed'

/** Brings the database and every record in it to today's shape, and puts in the demo sites that are missing. */
const steps = await migrate()
const renewed = await bringUpToDate()
const added = await seedDemo()
await tidyUp()
await closeDatabase()
const told = [
  steps.length ? `${steps.length} migration${steps.length > 1 ? 's' : ''}` : 'nothing to migrate',
  ...(renewed ? [`${renewed} record${renewed > 1 ? 's' : ''} brought up to date`] : []),
  added.length ? `seeded ${added.join(' and ')}` : 'demo sites are there',
]
console.log(told.join(', '))
