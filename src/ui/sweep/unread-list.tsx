'use client'

import { useId } from 'react'
import type { Unread } from '@/core/uses'
import { useUnread } from '../editor'
import { counted } from '../words'

/** What a designer can do about it. */
const whyWords: Readonly<Record<Unread['why'], string>> = {
  'held-elsewhere': 'Its numbers stand in custom properties. Change them there.',
  picture: 'A picture whose characters are escaped twice. Put it in as a picture of the site.',
  'file-gone': 'The file of this picture is gone. Take the picture in again.',
}

/** What the sweep cannot read exactly: it is named, for it stays as it is. */
export function UnreadList({ wanted }: { readonly wanted: boolean }) {
  const heading = useId()
  const { value, failure } = useUnread(wanted)
  if (!wanted) return null
  if (failure)
    return <p className="mt-4 text-xs">What cannot be read was not looked for: {failure}</p>
  if (!value?.count) return null
  const whys = [...new Set(value.first.map(({ why }) => why))]
  return (
    <section
      aria-labelledby={heading}
      className="mt-4 grid grid-cols-[minmax(0,1fr)] gap-1.5 border-t border-edge pt-3"
    >
      <h3 id={heading} className="font-bold">
        {counted(value.count, 'place')} cannot be read exactly
      </h3>
      <p className="text-xs text-soft">
        {value.count === 1
          ? 'It stays as it is, whatever it holds.'
          : 'They stay as they are, whatever they hold.'}
      </p>
      {whys.map((why) => (
        <div key={why} className="grid grid-cols-[minmax(0,1fr)] gap-1">
          <ul className="grid grid-cols-[minmax(0,1fr)] gap-1 text-xs">
            {value.first
              .filter((each) => each.why === why)
              .map(({ label, text }, i) => (
                <li key={i}>
                  <span className="block">{label}</span>
                  {text && (
                    <code className="code block truncate text-soft" title={text}>
                      {text}
                    </code>
                  )}
                </li>
              ))}
          </ul>
          <p className="text-xs text-soft">{whyWords[why]}</p>
        </div>
      ))}
      {value.count > value.first.length && (
        <p className="text-xs text-soft">and {value.count - value.first.length} more</p>
      )}
    </section>
  )
}
