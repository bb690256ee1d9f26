'use client'

import { useDeferredValue } from 'react'
import { designNames } from '@/core/designs/names'
import type { ShelfEntry } from '@/core/payloads'
import { Choice, Choices } from '../kit'

/** What a site begins as: a design of ours, nothing, or a copy of another site. */
export type Origin = { readonly design: string } | { readonly site: string }

/** A page of 1280 CSS pixels as wide as its card; the quotient of two lengths by way of an angle. */
const AS_WIDE_AS_ITS_CARD = 'scale(tan(atan2(100cqw, 1280px)))'

interface DesignChoiceProps {
  readonly sites: readonly ShelfEntry[]
  readonly origin: Origin
  /** Colours that designs are tried on in. */
  readonly colors: readonly string[]
  readonly name: string
  /** The pair of typefaces that they are tried on in; each in its own where absent. */
  readonly fonts?: string
  readonly onChoose: (origin: Origin) => void
}

const keyOf = (origin: Origin) =>
  'design' in origin ? `design ${origin.design}` : `site ${origin.site}`

/** Designs of ours, live in somebody's colours, and the sites that a copy can be made of. */
export function DesignChoice({ sites, origin, colors, name, fonts, onChoose }: DesignChoiceProps) {
  const query = useDeferredValue(
    new URLSearchParams([
      ...colors.map((color) => ['color', color]),
      ...(name.trim() ? [['name', name.trim()]] : []),
      ...(fonts ? [['fonts', fonts]] : []),
    ]).toString(),
  )
  const all: ReadonlyArray<readonly [origin: Origin, title: string, told: string, src: string]> = [
    ...designNames.map(
      ({ id, name: title, trade, mood }) =>
        [{ design: id }, title, `${trade}, ${mood}`, `/designs/${id}?${query}`] as const,
    ),
    [
      { design: 'empty' },
      'Empty',
      'a header, an opening, a footer',
      `/designs/empty?${query}`,
    ] as const,
    ...sites.flatMap(({ id, name: title, site }) =>
      site === 'unreadable'
        ? []
        : [[{ site: id }, title, 'a copy of it', `/home/${id}?at=${site.revision}`] as const],
    ),
  ]
  return (
    <Choices
      label="It begins as"
      value={keyOf(origin)}
      onChange={(key) => {
        const chosen = all.find(([each]) => keyOf(each) === key)
        if (chosen) onChoose(chosen[0])
      }}
      className="grid min-h-0 auto-rows-max grid-cols-3 gap-4 overflow-y-auto rounded bg-well p-4"
    >
      {all.map(([each, title, told, src]) => (
        <Choice
          key={keyOf(each)}
          value={keyOf(each)}
          label={`${title}: ${told}`}
          className="block overflow-hidden rounded-md bg-raised text-left ring-1 ring-black/15 hover:ring-2 hover:ring-ink has-checked:ring-4 has-checked:ring-ink"
        >
          <span
            className="@container relative block h-[180px] overflow-hidden bg-white"
            aria-hidden
          >
            <iframe
              src={src}
              title=""
              sandbox="allow-same-origin"
              tabIndex={-1}
              loading="lazy"
              className="pointer-events-none absolute top-0 left-0 h-[900px] w-[1280px] origin-top-left border-0"
              style={{ transform: AS_WIDE_AS_ITS_CARD }}
            />
          </span>
          <span className="block px-2.5 py-2">
            <span className="block font-semibold">{title}</span>
            <span className="block truncate text-xs text-soft" title={told}>
              {told}
            </span>
          </span>
        </Choice>
      ))}
    </Choices>
  )
}
