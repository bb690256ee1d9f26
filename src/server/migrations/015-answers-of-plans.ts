import type { QueryInterface } from 'sequelize'

/** A plan keeps what was answered with it; those of before have no answer, and are asked for again. */
export async function up(query: QueryInterface): Promise<void> {
  await query.sequelize.query('delete from plans')
  await query.sequelize.query('alter table plans add column answer text not null')
}

export async function down(query: QueryInterface): Promise<void> {
  await query.sequelize.query('alter table plans drop column answer')
}
