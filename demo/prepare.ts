import { closeDatabase } from '@/server/database/connection'
import { migrate } from '@/server/migrations/migrate'
import { tidyPublications } from '@/server/publishing'
import { seedDemo } from './seed'

/** Brings the database to today's shape and puts in the demo sites that are missing. */
const steps = await migrate()
const added = await seedDemo()
await tidyPublications()
await closeDatabase()
const told = [
  steps.length ? `${steps.length} migration${steps.length > 1 ? 's' : ''}` : 'nothing to migrate',
  added.length ? `seeded ${added.join(' and ')}` : 'demo sites are there',
]
console.log(told.join(', '))
