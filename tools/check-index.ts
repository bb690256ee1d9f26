import { closeDatabase } from '@/server/database/connection'
import { checkIndex } from '@/server/uses'

const { records, faults } = await checkIndex()
for (const { site, record, table } of faults) console.log(`${site}: ${table} of ${record} differ`)
console.log(`${records} records read, ${faults.length} differ from what is kept`)
await closeDatabase()
process.exitCode = faults.length ? 1 : 0
