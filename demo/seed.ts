import { readFile } from 'node:fs/promises'
import { siteDocs } from '@/core/site'
import { localOwner } from '@/server/access'
import { models } from '@/server/database/models'
import { createSite } from '@/server/sites'
import { fileStore } from '@/server/storage'
import { demoSites, type DemoSite } from './sites'

const workspaceId = 'demo'

async function seedSite(site: DemoSite, position: number): Promise<void> {
  const store = fileStore()
  for (const picture of site.pictures) {
    await store.put(picture.file, await readFile(site.fileOf(picture)))
  }
  const { id, frame, pages, pictures } = site
  await models().sequelize.transaction((transaction) =>
    createSite({ id, workspaceId, position }, siteDocs(frame, pages, pictures), transaction),
  )
}

/** Puts the demo sites into the database, each only when it is not there; returns those it put. */
export async function seedDemo(): Promise<string[]> {
  const { Workspace, User, Member, Site } = models()
  await Workspace.findOrCreate({
    where: { id: workspaceId },
    defaults: { id: workspaceId, name: 'Demo workspace' },
  })
  const { userId } = localOwner
  await User.findOrCreate({ where: { id: userId }, defaults: { id: userId, name: 'You' } })
  await Member.findOrCreate({
    where: { workspaceId, userId },
    defaults: { workspaceId, userId, role: 'owner' },
  })
  const added: string[] = []
  for (const [position, site] of demoSites.entries()) {
    if (await Site.findByPk(site.id)) continue
    await seedSite(site, position)
    added.push(site.frame.name)
  }
  return added
}
