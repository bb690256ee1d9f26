'use client'

import { useMemo } from 'react'
import { drawingColors, drawingGroups, drawingSvg } from '@/core/designs/drawings'
import { colorOf } from '@/core/color'
import { slotsInOrder } from '@/core/site'
import { useEditorState } from '../editor'
import { PictureTile } from './picture-tile'

interface DrawnPicturesProps {
  readonly onTake: (file: File, alt: string) => void
}

/** Pictures of ours by subject, drawn in the colours of the site as they are just now. */
export function DrawnPictures({ onTake }: DrawnPicturesProps) {
  const palette = useEditorState((state) => state.docs.frame.palette)
  const groups = useMemo(() => {
    const colors = drawingColors(
      slotsInOrder(palette).flatMap(({ value }) => (value && colorOf(value)) || []),
    )
    return drawingGroups.map(
      ([name, all]) =>
        [name, all.map((drawing) => ({ ...drawing, svg: drawingSvg(drawing, colors) }))] as const,
    )
  }, [palette])
  return (
    <div className="mt-2 grid max-h-72 gap-2 overflow-y-auto">
      {groups.map(([name, all]) => (
        <section key={name} aria-label={name}>
          <h4 className="mb-1 text-xs text-soft">{name}</h4>
          <ul className="grid grid-cols-4 gap-1.5">
            {all.map(({ id, alt, svg }) => (
              <li key={id}>
                <PictureTile
                  label={alt}
                  address={`data:image/svg+xml,${encodeURIComponent(svg)}`}
                  shape="aspect-4/3"
                  onChoose={() =>
                    onTake(new File([svg], `${id}.svg`, { type: 'image/svg+xml' }), alt)
                  }
                />
              </li>
            ))}
          </ul>
        </section>
      ))}
    </div>
  )
}
