'use client'

import { ChevronLeft, ChevronRight, Shuffle } from 'lucide-react'
import { harmonies, type HarmonyId } from '@/core/palette'
import { readColorText } from '../color'
import { useEditorState, type Trial } from '../editor'
import { Button, IconButton, TextField } from '../kit'
import { counted } from '../words'
import { PictureWay } from './picture-way'
import { newSeed, trialOfHarmony, trialOfList, trialOfSeed } from './trial'

interface WayControlsProps {
  readonly trial: Trial
  readonly onTrial: (trial: Trial) => void
}

/** What each way in asks for. */
export function WayControls({ trial, onTrial }: WayControlsProps) {
  const palette = useEditorState((state) => state.docs.frame.palette)
  const { from } = trial
  switch (from.way) {
    case 'list':
      return (
        <div className="grid gap-1.5">
          <label className="text-xs text-soft" htmlFor="pasted-list">
            Hex codes, with or without names; CSS; anything with colours in it
          </label>
          <textarea
            id="pasted-list"
            rows={6}
            value={from.text}
            spellCheck={false}
            autoFocus
            placeholder={'Moss #334d33\nSand #e6d5b8\n1b1b1b near-black'}
            onChange={(event) => onTrial(trialOfList(palette, event.target.value))}
            className="code rounded-md border border-edge-strong/60 bg-raised p-2"
          />
          <p
            role="status"
            className={
              from.text.trim() && trial.colors.length === 0 ? 'font-semibold' : 'text-soft'
            }
          >
            {from.text.trim() && trial.colors.length === 0
              ? '× No colour was found in this text. A colour is #334d33, 334d33, rgb(51 77 51) or the like.'
              : `${counted(trial.colors.length, 'colour')} found`}
          </p>
        </div>
      )
    case 'harmony':
      return (
        <div className="grid gap-2">
          <TextField
            label="The colour to start from"
            value={from.base}
            mono
            onCommit={(typed) => {
              const read = readColorText(typed)
              if ('wrong' in read) return read.wrong
              onTrial(trialOfHarmony(palette, read.value, from.harmony))
              return undefined
            }}
          />
          <div role="radiogroup" aria-label="Harmony" className="grid grid-cols-2 gap-1.5">
            {(Object.keys(harmonies) as HarmonyId[]).map((id) => {
              const shown = trialOfHarmony(palette, from.base, id)
              return (
                <button
                  key={id}
                  type="button"
                  role="radio"
                  aria-checked={id === from.harmony}
                  onClick={() => onTrial(shown)}
                  className="overflow-hidden rounded-md border border-edge-strong/60 bg-raised text-left text-[12px] font-semibold hover:bg-hover aria-checked:ring-2 aria-checked:ring-strong"
                >
                  <span aria-hidden className="flex h-5">
                    {shown.colors.map(({ value }, i) => (
                      <span key={i} className="flex-1" style={{ background: value }} />
                    ))}
                  </span>
                  <span className="block px-2 py-1">{harmonies[id].label}</span>
                </button>
              )
            })}
          </div>
        </div>
      )
    case 'reshuffle': {
      const { seeds, at, locked } = from
      const step = (next: number) => onTrial(trialOfSeed(palette, seeds, next, locked))
      return (
        <div className="flex items-center gap-1.5">
          <Button
            onClick={() =>
              onTrial(trialOfSeed(palette, [...seeds, newSeed()], seeds.length, locked))
            }
          >
            <Shuffle size={15} /> Again <kbd className="code text-soft">R</kbd>
          </Button>
          <IconButton label="The one before" disabled={at === 0} onClick={() => step(at - 1)}>
            <ChevronLeft size={16} />
          </IconButton>
          <IconButton
            label="The one after"
            disabled={at >= seeds.length - 1}
            onClick={() => step(at + 1)}
          >
            <ChevronRight size={16} />
          </IconButton>
          <span className="code text-soft">
            {at + 1} of {seeds.length}
          </span>
        </div>
      )
    }
    case 'picture':
      return <PictureWay from={from} onTrial={onTrial} />
    case 'study':
      return null
  }
}
