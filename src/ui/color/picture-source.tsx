'use client'

import { useEffect, useState, type DragEvent } from 'react'
import type { Picture } from '@/core/site'
import { useEditor, useEditorState } from '../editor'
import { FileButton } from '../kit'

interface PictureSourceProps {
  readonly onTake: (file: Blob) => void
  readonly busy?: boolean
}

/** The pictures of the site, asked for when they are to be chosen from. */
function usePictures(): readonly Picture[] {
  const { client } = useEditor()
  const [pictures, setPictures] = useState<readonly Picture[]>([])
  useEffect(() => {
    let current = true
    void client.pictures().then((result) => {
      if (current && result.ok) setPictures(result.value)
    })
    return () => {
      current = false
    }
  }, [client])
  return pictures
}

/** Where a picture comes from: chosen, dropped, or one of the site's own. */
export function PictureSource({ onTake, busy }: PictureSourceProps) {
  const pictures = usePictures()
  const siteId = useEditorState((state) => state.siteId)
  const drop = (event: DragEvent) => {
    event.preventDefault()
    const file = event.dataTransfer.files[0]
    if (file) onTake(file)
  }
  const takeOwn = async (id: string) => {
    const response = await fetch(`/files/${siteId}/${id}`)
    if (response.ok) onTake(await response.blob())
  }
  return (
    <div className="grid gap-2" onDragOver={(event) => event.preventDefault()} onDrop={drop}>
      <FileButton accept="image/*" onTake={onTake}>
        {busy ? 'Looking at the picture …' : 'Choose a picture, or drop one here'}
      </FileButton>
      <div className="flex flex-wrap gap-1.5">
        {pictures.map(({ id, alt }) => (
          <button
            key={id}
            type="button"
            title={`From this site: ${alt}`}
            aria-label={`Take the site’s picture: ${alt}`}
            onClick={() => void takeOwn(id)}
            className="size-9 overflow-hidden rounded border border-edge-strong/60 bg-raised"
          >
            <img src={`/files/${siteId}/${id}`} alt="" className="size-full object-cover" />
          </button>
        ))}
      </div>
    </div>
  )
}
