'use client'

import { toast } from 'sonner'
import { cssName, writeColor, writeShortHex, type Color } from '@/core/color'

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
  const copy = async (code: string) => {
    try {
      await navigator.clipboard.writeText(code)
      toast(`${code} copied`)
    } catch {
      toast.error('The browser does not let this page copy. Select the code and copy it by hand.')
    }
  }
  return (
    <dl className="code grid grid-cols-[3.2rem_1fr] text-soft">
      {codes.map(([notation, code]) => (
        <div key={code} className="contents">
          <dt className="leading-6">{notation}</dt>
          <dd>
            <button
              type="button"
              title="Copy"
              onClick={() => void copy(code)}
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
