'use client'

import { cssName, writeColor, writeShortHex, type Color } from '@/core/color'
import { copy } from '../kit'

/** A colour in every notation; a click copies one. */
export function Codes({ color }: { readonly color: Color }) {
  const short = writeShortHex(color)
  const name = cssName(color)
  const codes: ReadonlyArray<readonly [string, string]> = [
    ['hex', writeColor(color, 'hex')],
    ...(short ? [['', short] as const] : []),
    ...(['rgb', 'hsl', 'hwb', 'oklch'] as const).map(
      (notation) => [notation, writeColor(color, notation)] as const,
    ),
    ...(name ? [['name', name] as const] : []),
  ]
  return (
    <dl className="code grid grid-cols-[3.2rem_1fr] text-soft">
      {codes.map(([notation, code]) => (
        <div key={code} className="contents">
          <dt className="leading-6">{notation}</dt>
          <dd>
            <button
              type="button"
              title="Copy"
              onClick={() =>
                void copy(code, `${code} copied`, 'Select the code and copy it by hand.')
              }
              className="h-6 w-full rounded px-1 text-left text-ink hover:bg-hover"
            >
              {code}
            </button>
          </dd>
        </div>
      ))}
    </dl>
  )
}
