'use client'

import { useDeferredValue, useMemo, useState, type ReactNode } from 'react'
import type { FoundInCss } from '@/core/uses'
import { useEditorState } from '../editor'
import { AtCursor } from './at-cursor'
import type { CodeFieldProps } from './code-field'
import { colorsOf, offersOf, withColor } from './colors-in-text'
import { CodeField } from './later-code-field'

interface CodeWithColorsProps extends Pick<
  CodeFieldProps,
  'label' | 'language' | 'value' | 'line' | 'onChange' | 'faultsIn'
> {
  /** Finds the colours of a text. */
  readonly read: (text: string) => readonly FoundInCss[]
  /** What is told between the text and what can be done with it. */
  readonly notices?: ReactNode
  /** What can be done with it. */
  readonly children: ReactNode
}

/** Code with its colours in sight; the one at the cursor is changed below it. */
export function CodeWithColors({ read, notices, children, ...field }: CodeWithColorsProps) {
  const { value, onChange } = field
  const palette = useEditorState((state) => state.docs.frame.palette)
  const [cursor, setCursor] = useState(0)
  const asked = useDeferredValue(value)
  const colors = useMemo(() => colorsOf(palette, read(asked)), [palette, read, asked])
  const offers = useMemo(() => offersOf(palette), [palette])
  const here = colors.find(({ from, to }) => from <= cursor && cursor <= to)
  return (
    <>
      <div className="min-h-0 flex-1 overflow-hidden rounded-md border border-edge-strong/60">
        <CodeField
          {...field}
          onCursor={setCursor}
          colorsIn={(text) => colorsOf(palette, read(text))}
          offers={offers}
        />
      </div>
      {notices}
      <div className="flex min-h-8 items-center gap-2">
        <AtCursor
          here={here}
          count={colors.length}
          onChoose={(decision) => here && onChange(withColor(value, here, decision))}
        />
        {children}
      </div>
    </>
  )
}
