import type { Transaction } from 'sequelize'
import { models, type MemberRole, type SiteRow } from '../database/models'

/** Who acts. Every service takes one and checks what they may do. */
export interface Actor {
  readonly userId: string
}

export type Deed = 'read' | 'edit' | 'publish'

const MAY: Readonly<Record<MemberRole, readonly Deed[]>> = {
  owner: ['read', 'edit', 'publish'],
  designer: ['read', 'edit', 'publish'],
  reader: ['read'],
}

export async function roleIn(
  actor: Actor,
  workspaceId: string,
  transaction?: Transaction,
): Promise<MemberRole | undefined> {
  const where = { workspaceId, userId: actor.userId }
  const member = await models().Member.findOne({ where, transaction })
  return member?.role
}

/**
 * The deeds that an actor may do with a site. Within a transaction the question
 * goes to its own connection: asking for a second one may wait for ever.
 */
export async function deedsOf(
  actor: Actor,
  site: Pick<SiteRow, 'workspaceId'>,
  transaction?: Transaction,
): Promise<readonly Deed[]> {
  const role = await roleIn(actor, site.workspaceId, transaction)
  return role === undefined ? [] : MAY[role]
}

/** On this machine, whoever can reach the loopback address is the owner of the demo workspace. */
export const localOwner: Actor = { userId: 'local-owner' }
