import type { QueryInterface } from 'sequelize'
import { SequelizeStorage, Umzug } from 'umzug'
import { database } from '../database/connection'
import * as start from './001-start'
import * as shares from './002-shares'
import * as records from './003-records'
import * as siteLooks from './004-site-looks'
import * as exchangesAndShapes from './005-exchanges-and-shapes'
import * as shelf from './006-shelf'
import * as parts from './007-parts'
import * as liveries from './008-liveries'
import * as escapes from './009-escapes'
import * as tones from './010-tones'
import * as recipes from './011-recipes'
import * as looksByKey from './012-looks-by-key'
import * as exchangedTexts from './013-exchanged-texts'
import * as textsExchangedWhole from './014-texts-exchanged-whole'
import * as answersOfPlans from './015-answers-of-plans'
import * as packedQuickly from './016-packed-quickly'
import * as groupsOfUses from './017-groups-of-uses'

interface Migration {
  readonly up: (query: QueryInterface) => Promise<void>
  readonly down: (query: QueryInterface) => Promise<void>
}

/** In order; a new one is a file beside this one and a line here. */
const migrations: Readonly<Record<string, Migration>> = {
  '001-start': start,
  '002-shares': shares,
  '003-records': records,
  '004-site-looks': siteLooks,
  '005-exchanges-and-shapes': exchangesAndShapes,
  '006-shelf': shelf,
  '007-parts': parts,
  '008-liveries': liveries,
  '009-escapes': escapes,
  '010-tones': tones,
  '011-recipes': recipes,
  '012-looks-by-key': looksByKey,
  '013-exchanged-texts': exchangedTexts,
  '014-texts-exchanged-whole': textsExchangedWhole,
  '015-answers-of-plans': answersOfPlans,
  '016-packed-quickly': packedQuickly,
  '017-groups-of-uses': groupsOfUses,
}

export const migrationNames = Object.keys(migrations)

function migrator() {
  const sequelize = database()
  return new Umzug<QueryInterface>({
    migrations: Object.entries(migrations).map(([name, { up, down }]) => ({
      name,
      up: ({ context }) => up(context),
      down: ({ context }) => down(context),
    })),
    context: sequelize.getQueryInterface(),
    storage: new SequelizeStorage({ sequelize, tableName: 'migrations' }),
    logger: undefined,
  })
}

/** Brings the database to today's shape; returns the names of the steps it took. */
export async function migrate(): Promise<string[]> {
  return (await migrator().up()).map(({ name }) => name)
}

/** Takes every step back, for tests. */
export async function unmigrate(): Promise<void> {
  await migrator().down({ to: 0 })
}
