'use client'

import { useMemo } from 'react'
import { drawingColors, drawingGroups, drawingSvg } from '@/core/designs/drawings'
import { colorOf } from '@/core/color'
import { slotsInOrder } from '@/core/site'
import { useEditorState } from '../editor'

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
                <button
                  type="button"
                  aria-label={alt}
                  title={alt}
                  onClick={() =>
                    onTake(new File([svg], `${id}.svg`, { type: 'image/svg+xml' }), alt)
                  }
                  className="block aspect-4/3 w-full overflow-hidden rounded-sm hover:outline-3 hover:-outline-offset-3 hover:outline-strong"
                >
                  <img
                    src={`data:image/svg+xml,${encodeURIComponent(svg)}`}
                    alt=""
                    loading="lazy"
                    className="size-full object-cover"
                  />
                </button>
              </li>
            ))}
          </ul>
        </section>
      ))}
    </div>
  )
}
