'use client'

import { useState } from 'react'
import { toast } from 'sonner'
import { contentAt } from '@/core/edit'
import { own, type Picture } from '@/core/site'
import { useEditor, useEditorState } from '../editor'
import { FileButton, Popover, TextField, Tick } from '../kit'
import { editProblemWords } from '../words'
import type { FieldProps } from './field-props'
import { FocusPoint } from './focus-point'
import { PictureChoice } from './picture-choice'
import { exchangeFile, pictureTypes } from './take-file'
import { Thumbnail } from './thumbnail'

/** A picture of the site: chosen among those that are there, or taken from a file; with what it shows in words. */
export function PictureField({ field, at, content, onWrite }: FieldProps<'picture'>) {
  const editor = useEditor()
  const id = String(contentAt(content, at) ?? '')
  const picture = useEditorState((state) => own(state.docs.pictures, id))
  const [open, setOpen] = useState(false)
  return (
    <div className="grid gap-2">
      <span className="text-xs text-soft">{field.label}</span>
      <Popover
        label={field.label}
        side="left"
        width={330}
        open={open}
        onOpenChange={setOpen}
        trigger={
          <button
            type="button"
            aria-label={`${field.label}: ${picture?.alt || picture?.fileName || 'none'}`}
            className="flex w-full items-center gap-2.5 rounded-md border border-edge-strong/60 bg-raised p-1.5 text-left hover:bg-hover"
          >
            <Thumbnail picture={picture} />
            <span className="min-w-0">
              <span className="block truncate">{picture?.fileName ?? 'Choose a picture'}</span>
              {picture && (
                <span className="block text-xs text-soft">
                  {picture.width} × {picture.height}
                </span>
              )}
            </span>
          </button>
        }
      >
        <PictureChoice
          chosen={id}
          mayGo={field.mayGo}
          onChoose={(next) => {
            onWrite(at, next)
            setOpen(false)
          }}
        />
      </Popover>
      {picture && (
        <TextField
          label="What it shows, for who does not see it"
          value={picture.alt}
          onCommit={(alt) => {
            const problem = editor.dispatch({ type: 'describePicture', picture: picture.id, alt })
            return problem && `Not kept: ${editProblemWords[problem]}.`
          }}
        />
      )}
      {picture && !picture.alt && (
        <p className="text-xs font-semibold">! Nobody who listens to the page learns of it yet.</p>
      )}
      {picture && <Everywhere picture={picture} />}
    </div>
  )
}

/** What is set of a picture for all places where it stands: what of it stays in sight, and its file. */
function Everywhere({ picture }: { readonly picture: Picture }) {
  const editor = useEditor()
  const [words, setWords] = useState<string>()
  const exchange = async (file: File) => {
    setWords('Taking it …')
    const failed = await exchangeFile(editor, picture, file)
    if (failed) return setWords(`× ${failed}`)
    setWords(
      picture.alt
        ? `Exchanged wherever it stands. Does “${picture.alt}” still say what it shows?`
        : 'Exchanged wherever it stands.',
    )
  }
  return (
    <>
      <FocusPoint
        picture={picture}
        onFocus={(focus) => {
          const problem = editor.dispatch({
            type: 'focusPicture',
            picture: picture.id,
            ...(focus ? { focus } : {}),
          })
          setWords(problem && `× Not kept: ${editProblemWords[problem]}.`)
        }}
      />
      <SiteIcon picture={picture} />
      <FileButton accept={pictureTypes} onTake={(file) => void exchange(file)}>
        <span className="font-semibold">Exchange it everywhere</span>
        <span className="text-xs text-soft">by another file</span>
      </FileButton>
      {words && (
        <p role="status" className="text-xs font-semibold">
          {words}
        </p>
      )}
    </>
  )
}

/** Whether browsers show it beside the titles of pages. */
function SiteIcon({ picture: { id } }: { readonly picture: Picture }) {
  const editor = useEditor()
  const isIcon = useEditorState((state) => state.docs.frame.siteIcon?.picture === id)
  return (
    <Tick
      checked={isIcon}
      onChange={(take) => {
        const problem = editor.dispatch({ type: 'setSiteIcon', ...(take ? { picture: id } : {}) })
        if (problem) toast.error(`Not kept: ${editProblemWords[problem]}.`)
      }}
    >
      the icon of the site, beside the titles of its pages
    </Tick>
  )
}
