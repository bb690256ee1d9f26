import { readFile } from 'node:fs/promises'
import path from 'node:path'
import { summarize } from '@/core/uses'
import { localOwner } from '@/server/actor'
import { models } from '@/server/database/models'
import { fileStore } from '@/server/storage'
import { demoSites, type DemoSite } from './sites'

const workspaceId = 'demo'

async function seedSite(site: DemoSite, position: number): Promise<void> {
  const { sequelize, Site, Page, Asset } = models()
  const store = fileStore()
  for (const { fileName } of site.assets) {
    const file = path.join(process.cwd(), 'demo', 'assets', site.folder, fileName)
    await store.put(`assets/${site.id}/${fileName}`, await readFile(file))
  }
  await sequelize.transaction(async (transaction) => {
    const { id, frame } = site
    const summary = summarize(frame.body)
    await Site.create(
      { id, workspaceId, name: frame.name, position, frame, summary, revision: 0 },
      { transaction },
    )
    await Page.bulkCreate(
      site.pages.map((page, i) => ({
        siteId: id,
        id: page.id,
        position: i,
        document: page,
        summary: summarize(page.body),
      })),
      { transaction },
    )
    await Asset.bulkCreate(
      site.assets.map((details) => ({
        siteId: id,
        id: details.id,
        details,
        storageKey: `assets/${id}/${details.fileName}`,
      })),
      { transaction },
    )
  })
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
