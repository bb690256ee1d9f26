import { notFound } from 'next/navigation'
import type { ReactNode } from 'react'
import { loadPage, loadSite, localOwner } from '@/server'
import { EditorProvider } from '@/ui/editor'
import { EditorShell } from '@/ui/shell'

export const dynamic = 'force-dynamic'

interface SiteLayoutProps {
  readonly params: Promise<{ site: string }>
  readonly children: ReactNode
}

export default async function SiteLayout({ params, children }: SiteLayoutProps) {
  const { site: id } = await params
  const site = await loadSite(localOwner, id)
  const first = site.ok ? site.value.pages[0] : undefined
  const page = first && (await loadPage(localOwner, id, first.id))
  if (!site.ok || !page?.ok) notFound()
  return (
    <EditorProvider site={site.value} page={page.value.page}>
      <EditorShell>{children}</EditorShell>
    </EditorProvider>
  )
}
