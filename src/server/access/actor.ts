import type { Transaction } from 'sequelize'
import { firstOf } from '../database/first-of'
import { models, type MemberRole, type SiteRow } from '../database/models'

/** Who acts. Every service takes one and checks what they may do. */
export interface Actor {
  readonly userId: string
}

/** `own` is to remove a site and to bring it back. */
export type Deed = 'read' | 'edit' | 'publish' | 'own'

const MAY: Readonly<Record<MemberRole, readonly Deed[]>> = {
  owner: ['read', 'edit', 'publish', 'own'],
  designer: ['read', 'edit', 'publish'],
  reader: ['read'],
}

export const deedsFor = (role: MemberRole): readonly Deed[] => MAY[role]

export async function roleIn(
  actor: Actor,
  workspaceId: string,
  transaction?: Transaction,
): Promise<MemberRole | undefined> {
  const where = { workspaceId, userId: actor.userId }
  const member = await firstOf(models().Member, { where, transaction })
  return member?.role
}

/** The workspace in which an actor may begin a site: the one that is asked for, or the first; none where they may not. */
export async function mayBegin(
  actor: Actor,
  wanted: string | undefined,
  transaction: Transaction,
): Promise<string | undefined> {
  const where = { userId: actor.userId, ...(wanted === undefined ? {} : { workspaceId: wanted }) }
  const members = await models().Member.findAll({ where, order: ['workspaceId'], transaction })
  return members.find(({ role }) => MAY[role].includes('edit'))?.workspaceId
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
  return role === undefined ? [] : deedsFor(role)
}

/** On this machine, whoever can reach the loopback address is the owner of the demo workspace. */
export const localOwner: Actor = { userId: 'local-owner' }
