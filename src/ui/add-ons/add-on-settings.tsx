'use client'

import { addOnKindOf, type AddOnColor, type AddOnKind } from '@/core/add-ons'
import { over, white } from '@/core/color'
import { decisionColor } from '@/core/resolve'
import {
  addOnColors,
  addOnText,
  isBound,
  isColorDecision,
  longestSetting,
  type AddOn,
  type AddOnSetting,
  type ColorDecision,
  type Palette,
} from '@/core/site'
import { ColorField, type ReadsOn } from '../color'
import { useEditor, useEditorState, tellUndoable } from '../editor'
import { Button, SelectField, TextField } from '../kit'
import { useAddOnEdit } from './use-add-on-edit'

/** What a colour of an add-on has to be readable on, or what has to be on it. */
function readsOnOf(
  { colors }: AddOnKind,
  key: string,
  palette: Palette,
  held: ReadonlyMap<string, ColorDecision>,
): ReadsOn[] {
  const colorOf = (other: string) => decisionColor(palette, held.get(other)!)
  const row = (other: string, isGround: boolean): ReadsOn => {
    const { label, paints } = colors[isGround ? other : key]!
    return {
      label: isGround ? label : `on ${colors[other]!.label.toLowerCase()}`,
      other: over(colorOf(other), white),
      ...(isGround ? { isGround } : {}),
      needs: paints === 'line' ? 3 : 4.5,
    }
  }
  const { on } = colors[key]!
  const over_ = Object.keys(colors).filter((other) => colors[other]!.on === key)
  return [...(on ? [row(on, false)] : []), ...over_.map((other) => row(other, true))]
}

interface AddOnSettingsProps {
  readonly addOn: AddOn
}

/** All that an add-on wants to know: its colours first, each a slot or one of its own. */
export function AddOnSettings({ addOn }: AddOnSettingsProps) {
  const edit = useAddOnEdit()
  const { id, name, kind } = addOn
  const set = (key: string, setting: AddOnSetting) =>
    edit({ type: 'setAddOn', id, settings: { [key]: setting } })
  return (
    <div className="grid gap-4">
      <TextField
        label="Name"
        value={name}
        onCommit={(text) =>
          text.trim() === ''
            ? 'Give it a name.'
            : edit({ type: 'setAddOn', id, name: text.trim() })
              ? undefined
              : 'It was not kept.'
        }
      />
      {kind === 'other' ? (
        <OtherSettings addOn={addOn} onSet={set} />
      ) : (
        <KnownSettings addOn={addOn} kind={addOnKindOf(kind)} onSet={set} />
      )}
      <RemoveAddOn addOn={addOn} />
    </div>
  )
}

interface SettingsProps extends AddOnSettingsProps {
  readonly onSet: (key: string, setting: AddOnSetting) => boolean
}

const taken = (ok: boolean) => (ok ? undefined : 'It was not kept.')

const tooLong = (text: string) =>
  text.length > longestSetting ? `At most ${longestSetting} characters.` : undefined

function KnownSettings({ addOn, kind, onSet }: SettingsProps & { readonly kind: AddOnKind }) {
  const palette = useEditorState((state) => state.docs.frame.palette)
  const held = new Map(addOnColors(addOn))
  const colors = Object.entries(kind.colors)
  return (
    <>
      <p className="text-xs text-soft">{kind.told}</p>
      <section aria-label="Colours" className="grid gap-2">
        {colors.map(([key, { label }]: [string, AddOnColor]) => {
          const decision = held.get(key)!
          return (
            <div key={key} className="grid gap-1">
              <span aria-hidden className="text-xs text-soft">
                {label}
              </span>
              <ColorField
                label={label}
                decision={decision}
                hint={isBound(decision) ? 'follows its slot' : 'loose: follows nothing'}
                readsOn={readsOnOf(kind, key, palette, held)}
                onChoose={(chosen) => onSet(key, chosen)}
              />
            </div>
          )
        })}
      </section>
      <section aria-label="Words" className="grid gap-3">
        {Object.entries(kind.texts).map(([key, { label, options }]) =>
          options ? (
            <SelectField
              key={key}
              label={label}
              value={addOnText(addOn, key)}
              options={options}
              onChange={(value) => onSet(key, value)}
            />
          ) : (
            <TextField
              key={key}
              label={label}
              value={addOnText(addOn, key)}
              onCommit={(text) => tooLong(text) ?? taken(onSet(key, text))}
            />
          ),
        )}
      </section>
    </>
  )
}

/** Settings of an add-on that is none of ours: words that may be read and changed. */
function OtherSettings({ addOn, onSet }: SettingsProps) {
  return (
    <section aria-label="Settings" className="grid gap-3">
      <p className="text-xs text-soft">
        It is none of ours, so the page does not show it. Colours among its settings are swept with
        all others; they cannot follow a slot.
      </p>
      {Object.entries(addOn.settings).map(([key, setting]) =>
        typeof setting === 'string' ? (
          <TextField
            key={key}
            label={key}
            value={setting}
            mono
            onCommit={(text) => tooLong(text) ?? taken(onSet(key, text))}
          />
        ) : (
          <p key={key} className="text-xs text-soft">
            {key}:{' '}
            <span className="code">
              {isColorDecision(setting) ? JSON.stringify(setting) : String(setting)}
            </span>
          </p>
        ),
      )}
    </section>
  )
}

function RemoveAddOn({ addOn: { id, name } }: AddOnSettingsProps) {
  const editor = useEditor()
  const edit = useAddOnEdit()
  const remove = () => {
    if (!edit({ type: 'removeAddOn', id })) return
    tellUndoable(editor, `${name} removed from the site, with its settings.`)
  }
  return (
    <div className="border-t border-edge pt-3">
      <Button onClick={remove}>Take it off the site</Button>
    </div>
  )
}
