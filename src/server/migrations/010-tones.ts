import type { QueryInterface } from 'sequelize'

/** What colours a picture of pixels has, kept once for each file. */
export async function up(query: QueryInterface): Promise<void> {
  await query.sequelize.query(
    'create table picture_tones (file text primary key, tones text not null)',
  )
}

export async function down(query: QueryInterface): Promise<void> {
  await query.sequelize.query('drop table picture_tones')
}
