'use client'

import type { DragEvent } from 'react'
import type { Trial } from '../editor'
import { FileButton, Notice } from '../kit'
import { counted, readProblemWords } from '../words'
import { useBasis } from './basis'
import { trialOfList } from './trial-of-list'

interface ListWayProps {
  readonly from: Extract<Trial['from'], { way: 'list' }>
  readonly found: number
  readonly onTrial: (trial: Trial) => void
}

/** Problems that are listed one by one; the rest are counted. */
const LISTED = 4
/** Largest file that is looked at, in bytes. */
const LARGEST = 4_000_000

/** Pasted text or a file: codes with or without names, CSS, design tokens, a GIMP palette. */
export function ListWay({ from, found, onTrial }: ListWayProps) {
  const basis = useBasis()
  const take = async (file: File) =>
    onTrial(trialOfList(basis, await file.slice(0, LARGEST).text()))
  const drop = (event: DragEvent) => {
    const file = event.dataTransfer.files[0]
    if (!file) return
    event.preventDefault()
    void take(file)
  }
  const { problems } = from
  return (
    <div className="grid gap-1.5" onDragOver={(event) => event.preventDefault()} onDrop={drop}>
      <label className="text-xs text-soft" htmlFor="pasted-list">
        Hex codes, with or without names; CSS; design tokens; anything with colours in it
      </label>
      <textarea
        id="pasted-list"
        rows={6}
        value={from.text}
        spellCheck={false}
        autoFocus
        placeholder={'Moss #334d33\nSand #e6d5b8\n1b1b1b near-black'}
        onChange={(event) => onTrial(trialOfList(basis, event.target.value))}
        className="code rounded-md border border-edge-strong/60 bg-raised p-2"
      />
      <FileButton
        accept=".json,.tokens,.gpl,.css,.txt,.svg,.scss,.less,.html,text/*,application/json"
        onTake={(file) => void take(file)}
      >
        Or a file: .json, .gpl, .css, .txt, .svg
      </FileButton>
      <p role="status" className={problems.length ? 'sr-only' : 'text-soft'}>
        {counted(found, 'colour')} found
      </p>
      {problems.length > 0 && (
        <Notice>
          {found > 0 && <p className="font-semibold">{counted(found, 'colour')} read, but:</p>}
          <ul>
            {problems.slice(0, LISTED).map((problem, i) => (
              <li key={i} className="break-words">
                {readProblemWords(problem)}
              </li>
            ))}
          </ul>
          {problems.length > LISTED && <p>and {problems.length - LISTED} more like these.</p>}
        </Notice>
      )}
    </div>
  )
}
