'use client'

import { useEffect, useRef, type CSSProperties } from 'react'

interface StageFrameProps {
  readonly title: string
  readonly className: string
  readonly style?: CSSProperties
  /** Takes the document in which the page is drawn, once it is there. */
  readonly onOpen: (stage: Document) => void
}

/** The frame in which a page of the site is drawn: on our origin, without scripts, out of the pointer's way. */
export function StageFrame({ title, className, style, onOpen }: StageFrameProps) {
  const iframe = useRef<HTMLIFrameElement>(null)
  const open = (loaded: Document | null | undefined) => {
    if (loaded?.title === 'Stage' && loaded.readyState === 'complete') onOpen(loaded)
  }
  // A frame that had loaded before React listened tells nothing more; look once.
  useEffect(() => open(iframe.current?.contentDocument), []) // eslint-disable-line react-hooks/exhaustive-deps
  return (
    <iframe
      ref={iframe}
      src="/stage"
      title={title}
      sandbox="allow-same-origin"
      tabIndex={-1}
      onLoad={(event) => open(event.currentTarget.contentDocument)}
      className={`block border-0 ${className}`}
      style={style}
    />
  )
}
