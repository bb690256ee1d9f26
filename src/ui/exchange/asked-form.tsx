'use client'

import { ArrowRight } from 'lucide-react'
import { formOf, type ExchangeOf } from '@/core/exchange'
import { Line, Tick } from '../kit'
import { useTargetWords } from '../writing'
import { sortWords } from './sorts'
import { PictureShown } from './picture-shown'
import { TargetField } from './target-field'
import type { Draft } from './use-draft'

interface AskedFormProps {
  readonly of: ExchangeOf
  readonly draft: Draft
}

/** What is looked for, and what comes in its place. */
export function AskedForm({ of, draft }: AskedFormProps) {
  if (of === 'words') return <WordsForm draft={draft} />
  if (of === 'address') return <AddressForm draft={draft} />
  const { from, to } = draft.draft
  if (from === '') return <Beginning of={of} />
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_auto_minmax(0,1fr)] items-center gap-3">
      <Sought of={of} value={from} />
      <ArrowRight size={15} aria-hidden />
      <TargetField of={of} value={to} onChange={(value) => draft.change({ to: value })} />
    </div>
  )
}

function Beginning({ of }: { readonly of: ExchangeOf }) {
  const { heading, told } = sortWords[of]
  return (
    <div className="m-auto max-w-sm p-6 text-center">
      <h2 className="text-[15px] font-bold">{heading}</h2>
      <p className="mt-2 text-soft">{told} Nothing is written until you say so.</p>
    </div>
  )
}

function Sought({ of, value }: { readonly of: ExchangeOf; readonly value: string }) {
  const words = useTargetWords(of === 'link' ? value : undefined)
  if (of === 'picture') return <PictureShown id={value} />
  return <span className="truncate font-semibold">{of === 'link' ? words : value}</span>
}

function WordsForm({ draft: { draft, change } }: { readonly draft: Draft }) {
  const { from, to, sameCase, wholeWords, keepCase } = draft
  return (
    <div className="grid gap-2">
      <div className="flex items-end gap-3">
        <Line label="Replace" value={from} onChange={(text) => change({ from: text })} />
        <ArrowRight size={15} className="mb-2.5" aria-hidden />
        <Line label="by" value={to ?? ''} onChange={(text) => change({ to: text })} />
      </div>
      <div className="flex flex-wrap gap-x-5 gap-y-1">
        <Tick checked={wholeWords} onChange={(checked) => change({ wholeWords: checked })}>
          Whole words
        </Tick>
        <Tick checked={sameCase} onChange={(checked) => change({ sameCase: checked })}>
          Large and small letters as typed
        </Tick>
        {!sameCase && (
          <Tick checked={keepCase} onChange={(checked) => change({ keepCase: checked })}>
            Keep capitals where they stand
          </Tick>
        )}
      </div>
      {from === '' && <Beginning of="words" />}
    </div>
  )
}

const FORMS = { mail: 'mail', phone: 'telephone', web: 'web' } as const

/** Why an address is not looked for yet; undefined where it is, or where nothing was typed. */
function addressFault(from: string, to: string | undefined): string | undefined {
  const form = formOf(from)
  if (from && !form) return 'Type it in full: mail, telephone, or web.'
  if (!form || !to) return undefined
  return formOf(to) === form ? undefined : `Type another ${FORMS[form]} address in full.`
}

function AddressForm({ draft: { draft, change } }: { readonly draft: Draft }) {
  const { from, to } = draft
  const fault = addressFault(from, to)
  const isOfFrom = fault !== undefined && !formOf(from)
  return (
    <div className="grid gap-2">
      <div className="flex items-start gap-3">
        <Line
          label="Replace"
          value={from}
          mono
          wrong={isOfFrom ? fault : undefined}
          onChange={(text) => change({ from: text })}
        />
        <ArrowRight size={15} className="mt-7" aria-hidden />
        <Line
          label="by"
          value={to ?? ''}
          mono
          wrong={isOfFrom ? undefined : fault}
          onChange={(text) => change({ to: text })}
        />
      </div>
      {from === '' && <Beginning of="address" />}
    </div>
  )
}
