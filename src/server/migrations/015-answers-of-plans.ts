import type { QueryInterface } from 'sequelize'

/** A plan keeps what was answered with it; those of before have no answer, and are asked for again. */
export async function up(query: QueryInterface): Promise<void> {
  await query.sequelize.query('delete from plans')
  // Both are written often and seldom read: what is quick to pack is better here than what is small.
  await query.sequelize.query(`
    alter table plans add column answer text compression lz4 not null,
      alter column intent set compression lz4`)
}

export async function down(query: QueryInterface): Promise<void> {
  await query.sequelize.query(
    'alter table plans drop column answer, alter column intent set compression default',
  )
}
