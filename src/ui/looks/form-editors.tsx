'use client'

import { iconShape } from '@/core/render'
import { buttonForms, buttonIcons, type ButtonForm, type ButtonIcon } from '@/core/traits'
import { Choice, Choices } from '../kit'
import type { SettingEditorProps } from './editor-props'

const FORMS: Readonly<Record<ButtonForm, readonly [name: string, drawn: string]>> = {
  solid: ['Solid', 'rounded-sm bg-ink px-3 text-panel'],
  outline: ['Outline', 'rounded-sm border-[1.5px] border-ink px-3'],
  soft: ['Soft', 'rounded-sm bg-ink/15 px-3'],
  underline: ['Underline', 'border-b-2 border-ink'],
}

const TILE =
  'flex items-center justify-center rounded-md border border-edge-strong/60 bg-raised hover:bg-hover has-checked:border-strong has-checked:ring-1 has-checked:ring-strong'

/** How buttons are told to be buttons, each drawn. */
export function ButtonFormEditor({
  label,
  value,
  onDrag,
  onChoose,
}: SettingEditorProps<ButtonForm>) {
  return (
    <Choices
      label={label}
      value={value}
      onChange={(next) => onChoose(next as ButtonForm)}
      className="grid grid-cols-4 gap-1"
    >
      {buttonForms.map((form) => {
        const [name, drawn] = FORMS[form]
        return (
          <Choice key={form} value={form} label={name} className={TILE}>
            <span
              className="grid h-14 w-full place-items-center content-center gap-1.5"
              onPointerEnter={() => onDrag(form)}
              onPointerLeave={() => onDrag(value)}
            >
              <span aria-hidden className={`text-xs leading-5 font-semibold ${drawn}`}>
                Aa
              </span>
              <span className="text-[11px] leading-none text-soft">{name}</span>
            </span>
          </Choice>
        )
      })}
    </Choices>
  )
}

const ICONS: Readonly<Record<ButtonIcon, string>> = {
  none: 'No icon',
  arrow: 'Arrow',
  chevron: 'Chevron',
  slant: 'Slanted arrow',
  plus: 'Plus',
}

/** What stands behind the words of every button. */
export function ButtonIconEditor({
  label,
  value,
  onDrag,
  onChoose,
}: SettingEditorProps<ButtonIcon>) {
  return (
    <Choices
      label={label}
      value={value}
      onChange={(next) => onChoose(next as ButtonIcon)}
      className="grid grid-cols-5 gap-1"
    >
      {buttonIcons.map((icon) => (
        <Choice key={icon} value={icon} label={ICONS[icon]} className={TILE}>
          <span
            title={ICONS[icon]}
            className="grid h-7 w-full place-items-center text-[11px] text-soft"
            onPointerEnter={() => onDrag(icon)}
            onPointerLeave={() => onDrag(value)}
          >
            {icon === 'none' ? (
              'none'
            ) : (
              <span className="size-3 bg-ink" style={{ clipPath: iconShape(icon) }} />
            )}
          </span>
        </Choice>
      ))}
    </Choices>
  )
}
