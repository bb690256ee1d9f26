import { headers } from 'next/headers'
import { notFound } from 'next/navigation'
import type { ReactNode } from 'react'
import { openSite, localOwner } from '@/server'
import { EditorProvider } from '@/ui/editor'
import { EditorShell } from '@/ui/shell'

export const dynamic = 'force-dynamic'

interface SiteLayoutProps {
  readonly params: Promise<{ site: string }>
  readonly children: ReactNode
}

export default async function SiteLayout({ params, children }: SiteLayoutProps) {
  const { site: id } = await params
  const wanted = (await headers()).get('x-open-page')
  const opened = await openSite(localOwner, id, wanted || undefined)
  if (!opened.ok) notFound()
  const { site, page } = opened.value
  return (
    <EditorProvider site={site} page={page}>
      <EditorShell>{children}</EditorShell>
    </EditorProvider>
  )
}
