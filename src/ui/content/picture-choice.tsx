'use client'

import { useEffect, useState } from 'react'
import type { Picture } from '@/core/site'
import { useEditor, usePictureAddress } from '../editor'
import { Button, FileButton, Fold, Folds, later } from '../kit'
import { problemWords } from '../words'
import { PictureTile } from './picture-tile'
import { pictureTypes, takeFile } from './take-file'

/** Fetched in the first quiet moment: every picture of ours is a function of its own. */
const DrawnPictures = later(async () => (await import('./drawn-pictures')).DrawnPictures)

/** The pictures of the site, once they are known. */
function useSitePictures(onFailed: (words: string) => void): readonly Picture[] | undefined {
  const editor = useEditor()
  const [pictures, setPictures] = useState<readonly Picture[]>()
  useEffect(() => {
    let isCurrent = true
    void editor.client.pictures().then((found) => {
      if (!isCurrent) return
      if (found.ok) setPictures(found.value)
      else onFailed(`× ${problemWords(found.problem)}`)
    })
    return () => {
      isCurrent = false
    }
  }, [editor, onFailed])
  return pictures
}

interface PictureChoiceProps {
  readonly chosen: string
  readonly mayGo?: boolean
  readonly onChoose: (id: string | undefined) => void
}

/** The pictures of the site, and a way to bring another one. */
export function PictureChoice({ chosen, mayGo, onChoose }: PictureChoiceProps) {
  const editor = useEditor()
  const [words, setWords] = useState<string>()
  const pictures = useSitePictures(setWords)
  const choose = (picture: Picture) => {
    editor.holdPictures({ [picture.id]: picture })
    onChoose(picture.id)
  }
  const take = async (file: File, alt = '') => {
    setWords('Taking it …')
    const taken = await takeFile(editor, file, alt)
    if (taken.ok) choose(taken.picture)
    else setWords(`× ${taken.words}`)
  }
  return (
    <div
      className="grid gap-2.5"
      onPaste={(event) => {
        const [file] = event.clipboardData.files
        if (file) void take(file)
      }}
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault()
        const [file] = event.dataTransfer.files
        if (file) void take(file)
      }}
    >
      <FileButton accept={pictureTypes} onTake={(file) => void take(file)}>
        <span className="font-semibold">Take one from a file</span>
        <span className="text-xs text-soft">or drop it here, or paste it</span>
      </FileButton>
      {words && (
        <p role="status" className="font-semibold">
          {words}
        </p>
      )}
      {pictures && <ThoseThere pictures={pictures} chosen={chosen} onChoose={choose} />}
      <Folds>
        <Fold value="drawn" title="Drawn for you, in your colours">
          <DrawnPictures onTake={(file, alt) => void take(file, alt)} />
        </Fold>
      </Folds>
      {mayGo && chosen && <Button onClick={() => onChoose(undefined)}>No picture</Button>}
    </div>
  )
}

interface ThoseThereProps {
  readonly pictures: readonly Picture[]
  readonly chosen: string
  readonly onChoose: (picture: Picture) => void
}

function ThoseThere({ pictures, chosen, onChoose }: ThoseThereProps) {
  const addressOf = usePictureAddress()
  if (pictures.length === 0) return <p className="text-soft">The site has no picture yet.</p>
  return (
    <ul
      aria-label="Pictures of this site"
      className="grid max-h-72 grid-cols-4 gap-1.5 overflow-y-auto"
    >
      {pictures.map((picture) => (
        <li key={picture.id}>
          <PictureTile
            label={picture.alt || picture.fileName}
            address={addressOf(picture)}
            shape="aspect-square"
            isChosen={picture.id === chosen}
            onChoose={() => onChoose(picture)}
          />
        </li>
      ))}
    </ul>
  )
}
