'use client'

import { ChevronDown } from 'lucide-react'
import { useState, type ReactNode } from 'react'
import type { ExchangeOf } from '@/core/exchange'
import { PictureChoice } from '../content'
import { Line, Popover, SelectField } from '../kit'
import { TypefaceOptions } from '../looks'
import { LinkTarget, useTargetWords } from '../writing'
import { PictureShown } from './picture-shown'

interface TargetProps {
  readonly value: string | undefined
  readonly onChange: (value: string) => void
}

interface ChosenProps {
  /** What is chosen, for who hears it: a picture, where links lead. */
  readonly what: string
  readonly width: number
  readonly shown: ReactNode
  /** What there is to choose; `close` once it is. */
  readonly children: (close: () => void) => ReactNode
}

/** What was chosen, in a button that opens the choice. */
function Chosen({ what, width, shown, children }: ChosenProps) {
  const [open, setOpen] = useState(false)
  return (
    <Popover
      label="Replace by"
      width={width}
      open={open}
      onOpenChange={setOpen}
      trigger={
        <button
          type="button"
          aria-label={`Replace by: ${what}`}
          className="flex min-h-8.5 w-full items-center justify-between gap-2 rounded-md border border-edge-strong/60 bg-raised px-2.5 py-1 text-left hover:bg-hover"
        >
          {shown}
          <ChevronDown size={14} className="shrink-0" aria-hidden />
        </button>
      }
    >
      {children(() => setOpen(false))}
    </Popover>
  )
}

function FontTarget({ value, onChange }: TargetProps) {
  return (
    <SelectField label="Replace by" hideLabel value={value ?? ''} onChange={onChange}>
      <option value="" disabled>
        Choose a typeface
      </option>
      <TypefaceOptions />
    </SelectField>
  )
}

function PictureTarget({ value, onChange }: TargetProps) {
  const shown = value ? <PictureShown id={value} /> : 'Choose a picture'
  return (
    <Chosen what="a picture" width={330} shown={shown}>
      {(close) => (
        <PictureChoice
          chosen={value ?? ''}
          onChoose={(id) => {
            if (id) onChange(id)
            close()
          }}
        />
      )}
    </Chosen>
  )
}

function LinkTo({ value, onChange }: TargetProps) {
  const words = useTargetWords(value)
  const shown = <span className="truncate">{value === undefined ? 'Choose a target' : words}</span>
  return (
    <Chosen what="where links lead" width={300} shown={shown}>
      {(close) => (
        <LinkTarget
          href={value}
          onChoose={(href) => {
            onChange(href ?? '#')
            close()
          }}
        />
      )}
    </Chosen>
  )
}

function AddressTarget({ value, onChange }: TargetProps) {
  return <Line label="Replace by" value={value ?? ''} onChange={onChange} mono />
}

const targets: Readonly<Record<Exclude<ExchangeOf, 'words'>, (props: TargetProps) => ReactNode>> = {
  font: FontTarget,
  picture: PictureTarget,
  link: LinkTo,
  address: AddressTarget,
}

/** What comes in the place of what is looked for. */
export function TargetField({
  of,
  ...props
}: TargetProps & { readonly of: Exclude<ExchangeOf, 'words'> }) {
  const Target = targets[of]
  return <Target {...props} />
}
