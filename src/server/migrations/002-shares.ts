import { DataTypes, type QueryInterface } from 'sequelize'

const text = { type: DataTypes.TEXT, allowNull: false }

/** Read-only links to a palette as it was when the link was made. */
export async function up(query: QueryInterface): Promise<void> {
  await query.createTable('shares', {
    id: { ...text, primaryKey: true },
    site_id: { ...text, references: { model: 'sites', key: 'id' }, onDelete: 'CASCADE' },
    title: text,
    palette: { type: DataTypes.JSONB, allowNull: false },
    created_at: { type: DataTypes.DATE, allowNull: false },
    revoked_at: { type: DataTypes.DATE },
  })
  await query.addIndex('shares', ['site_id'], { name: 'shares_site' })
}

export async function down(query: QueryInterface): Promise<void> {
  await query.dropTable('shares')
}
