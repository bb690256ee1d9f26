'use client'

import Link from 'next/link'
import { useEffect, useState } from 'react'
import { toast } from 'sonner'
import type { SiteName } from '@/core/payloads'
import { useEditor } from '../editor'
import { Button } from '../kit'
import { problemWords } from '../words'

/** Carries the palette to another site, where it waits as a study. */
export function CopyToSite() {
  const { client } = useEditor()
  const [sites, setSites] = useState<readonly SiteName[]>()
  const [copied, setCopied] = useState<{ readonly site: SiteName; readonly study: string }>()
  useEffect(() => {
    void client.otherSites().then((result) => {
      if (result.ok) setSites(result.value)
      else toast.error(problemWords(result.problem))
    })
  }, [client])
  const copy = async (site: SiteName) => {
    const result = await client.copyPalette(site.id)
    if (result.ok) setCopied({ site, study: result.value.study })
    else toast.error(problemWords(result.problem))
  }
  return (
    <div className="grid gap-3">
      <p className="text-soft">
        The palette is kept on the other site as a study. Nothing there changes until it is fitted
        to that site’s slots and applied.
      </p>
      {sites?.length === 0 && <p>There is no other site to carry it to.</p>}
      <ul className="grid gap-1.5">
        {sites?.map((site) => (
          <li key={site.id} className="flex items-center justify-between gap-3">
            <span className="font-semibold">{site.name}</span>
            <Button onClick={() => void copy(site)}>Carry it there</Button>
          </li>
        ))}
      </ul>
      {copied && (
        <p role="status" className="rounded-md border border-edge-strong/60 px-2.5 py-2">
          ✓ {copied.site.name} has it as a study.{' '}
          <Link
            className="font-semibold underline"
            href={`/sites/${copied.site.id}?study=${copied.study}`}
          >
            Open it there
          </Link>
        </p>
      )}
    </div>
  )
}
