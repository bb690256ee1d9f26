'use client'

import { Trash2 } from 'lucide-react'
import { useState } from 'react'
import { toast } from 'sonner'
import { ownFontAddress, typefacesOf } from '@/core/render'
import type { Font } from '@/core/site'
import { useEditor, useEditorState } from '../editor'
import { FileButton, IconButton, Notice } from '../kit'
import { counted, editProblemWords, listed } from '../words'
import { takeFont } from './take-font'

const weightWords = ({ weights: [least, most], style }: Font): string =>
  `${least === most ? least : `${least} to ${most}`}${style === 'italic' ? ', italic' : ''}`

/** A font drawn in itself, with what it is and who may use it. */
function Entry({ font, isUsed }: { readonly font: Font; readonly isUsed: boolean }) {
  const editor = useEditor()
  const remove = () => {
    if (isUsed) {
      return void toast.error(
        `${font.family} is in use. Choose another typeface where it is, then remove it.`,
      )
    }
    const problem = editor.dispatch({ type: 'removeFont', font: font.id })
    if (problem) toast.error(`Not removed: ${editProblemWords[problem]}.`)
  }
  return (
    <li className="grid grid-cols-[1fr_auto] items-start gap-x-2 rounded-md border border-edge-strong/60 bg-raised px-2.5 py-1.5">
      <span className="min-w-0">
        <span
          className="block truncate text-[17px] leading-6"
          style={{ fontFamily: `"of ${font.id}"` }}
        >
          {font.family}
        </span>
        <span className="block text-[11px] text-soft">
          {weightWords(font)}
          {isUsed ? ' · in use' : ''}
          {font.whole ? ' · published whole, as its rights ask' : ''}
        </span>
        <span className="line-clamp-2 text-[11px] text-soft" title={font.license}>
          {font.license}
        </span>
      </span>
      <IconButton
        label={`Remove ${font.family}, ${weightWords(font)}`}
        className="size-7"
        onClick={remove}
      >
        <Trash2 size={14} />
      </IconButton>
    </li>
  )
}

/** Fonts of the site’s own: taken from files, listed with their rights, removed. */
export function OwnFonts() {
  const editor = useEditor()
  const siteId = useEditorState((state) => state.siteId)
  const fonts = useEditorState((state) => state.docs.fonts)
  const settings = useEditorState((state) => state.docs.frame.settings)
  const [wrong, setWrong] = useState<readonly string[]>([])
  const used = typefacesOf({ settings })
  const all = Object.values(fonts)
  const take = async (files: readonly File[]) => {
    const [taken, problems]: [Font[], string[]] = [[], []]
    for (const file of files) {
      const font = await takeFont(editor, file)
      if (typeof font === 'string') problems.push(files.length > 1 ? `${file.name}: ${font}` : font)
      else taken.push(font)
    }
    setWrong(problems)
    if (taken.length === 0) return
    const families = [...new Set(taken.map(({ family }) => family))]
    toast(`${listed(families)} can be chosen now: ${counted(taken.length, 'file')} taken.`)
  }
  return (
    <section aria-label="Fonts of your own" className="grid gap-2 border-b border-edge pb-3">
      <style href={`fonts-of-${all.map(({ id }) => id).join('-')}`} precedence="low">
        {all
          .map(
            ({ id, file }) =>
              `@font-face { font-family: "of ${id}"; src: url("${ownFontAddress(siteId, file)}") format("woff2"); }`,
          )
          .join('\n')}
      </style>
      <h3 className="font-semibold">Fonts of your own</h3>
      {all.length > 0 && (
        <ul className="grid gap-1">
          {all.map((font) => (
            <Entry key={font.id} font={font} isUsed={used.includes(font.family)} />
          ))}
        </ul>
      )}
      {wrong.map((words) => (
        <Notice key={words}>{words}</Notice>
      ))}
      <FileButton
        accept=".woff2,.woff,.ttf,.otf,font/*"
        several
        onTake={(_, files) => void take(files)}
      >
        Take font files …
      </FileButton>
      <p className="text-xs text-soft">
        WOFF2, WOFF, TTF or OTF, up to 8 MB. They lie with the site; nothing is fetched from
        elsewhere.
      </p>
    </section>
  )
}
