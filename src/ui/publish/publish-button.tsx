'use client'

import { Download, ExternalLink } from 'lucide-react'
import { useState } from 'react'
import type { Publication } from '@/core/payloads'
import { SiteCheckReport } from '../check'
import { useEditor, useEditorState } from '../editor'
import { Button, Dialog, Notice } from '../kit'
import { Links } from './links'
import { Silent } from './silent'
import { counted, problemWords, when } from '../words'

type Phase =
  | { readonly at: 'asking' }
  | { readonly at: 'ready'; readonly publication: Publication | null }
  | { readonly at: 'publishing' }
  | { readonly at: 'failed'; readonly words: string }

export function PublishButton() {
  const editor = useEditor()
  const revision = useEditorState((state) => state.revision)
  const [open, setOpen] = useState(false)
  const [phase, setPhase] = useState<Phase>({ at: 'asking' })

  const show = async () => {
    setOpen(true)
    setPhase({ at: 'asking' })
    const known = await editor.client.publication()
    setPhase(
      known.ok
        ? { at: 'ready', publication: known.value }
        : { at: 'failed', words: problemWords(known.problem) },
    )
  }
  const publish = async () => {
    setPhase({ at: 'publishing' })
    const result = await editor.publish()
    if (result.ok) await show()
    else setPhase({ at: 'failed', words: problemWords(result.problem) })
  }
  const publication = phase.at === 'ready' ? phase.publication : null
  return (
    <>
      <Button look="strong" onClick={() => void show()}>
        Publish
      </Button>
      <Dialog open={open} onOpenChange={setOpen} title="Publish">
        <div className="grid gap-3">
          {phase.at === 'failed' && <Notice>{phase.words}</Notice>}
          {publication ? (
            <>
              <p>
                {publication.revision === revision
                  ? 'What you see is what is published.'
                  : `Published is revision ${publication.revision}; the site is at ${revision} now.`}{' '}
                {counted(publication.files, 'file')}, {when(publication.at)}.
              </p>
              <div className="flex gap-2">
                <a
                  className="inline-flex h-8 items-center gap-2 rounded-md border border-edge-strong/60 px-3 font-semibold hover:bg-hover"
                  href={publication.address}
                  target="_blank"
                  rel="noreferrer"
                >
                  <ExternalLink size={14} /> Open the published site
                </a>
                <a
                  className="inline-flex h-8 items-center gap-2 rounded-md border border-edge-strong/60 px-3 font-semibold hover:bg-hover"
                  href={editor.client.zipAddress}
                  download
                >
                  <Download size={14} /> ZIP
                </a>
              </div>
            </>
          ) : (
            phase.at !== 'failed' && (
              // Said in one line either way: nothing below moves as the answer comes.
              <p>
                {phase.at === 'asking'
                  ? 'Looking at what is published …'
                  : 'This site has not been published yet.'}
              </p>
            )
          )}
          {open && <SiteCheckReport onGo={() => setOpen(false)} />}
          {open && <Links onGo={() => setOpen(false)} />}
          {open && <Silent />}
          <p className="text-soft">
            Publishing writes plain HTML and CSS, with the slots as custom properties, and serves
            them read-only.
          </p>
          <Button
            look="strong"
            disabled={phase.at === 'publishing' || phase.at === 'asking'}
            onClick={() => void publish()}
          >
            {phase.at === 'publishing'
              ? 'Publishing …'
              : publication
                ? 'Publish again'
                : 'Publish now'}
          </Button>
        </div>
      </Dialog>
    </>
  )
}
