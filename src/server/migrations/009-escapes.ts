import type { QueryInterface } from 'sequelize'

/** Colours stand in addresses too, where their characters are written in another way. */
export async function up(query: QueryInterface): Promise<void> {
  for (const table of ['uses', 'staged_uses']) {
    await query.sequelize.query(`alter table ${table} add column escape text`)
  }
}

export async function down(query: QueryInterface): Promise<void> {
  for (const table of ['uses', 'staged_uses']) {
    await query.sequelize.query(`alter table ${table} drop column escape`)
  }
}
