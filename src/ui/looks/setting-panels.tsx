'use client'

import { fontPairOf, fontPairs, settingsOfPair } from '@/core/designs/font-pairs'
import { siteFonts, stackOf, typefaceCss } from '@/core/render'
import {
  settingIds,
  settings,
  stepSize,
  written,
  type SettingGroup,
  type SettingId,
  type Settings,
} from '@/core/traits'
import { useEditorState } from '../editor'
import { Choice, Choices } from '../kit'
import { OwnFonts } from './own-fonts'
import { SettingEditor } from './setting-editors'

export interface SettingPanelProps {
  readonly onDrag: (settings: Partial<Settings>) => void
  readonly onChoose: (settings: Partial<Settings>) => void
}

interface GroupProps extends SettingPanelProps {
  readonly title: string
  readonly ids: readonly SettingId[]
}

function Group({ title, ids, onDrag, onChoose }: GroupProps) {
  return (
    <section aria-label={title} className="grid gap-2.5 border-b border-edge pb-3 last:border-b-0">
      <h3 className="font-semibold">{title}</h3>
      {ids.map((id) => (
        <SettingEditor key={id} id={id} onDrag={onDrag} onChoose={onChoose} />
      ))}
    </section>
  )
}

const SHAPES: readonly SettingGroup[] = ['Page', 'Buttons', 'Cards', 'Pictures', 'Fields']

const idsOf = (group: SettingGroup): SettingId[] =>
  settingIds.filter((id) => settings[id].group === group)

/** What is most asked for comes first. */
const inOrder = (group: SettingGroup): SettingId[] =>
  group === 'Page' ? ['density', ...idsOf('Page').filter((id) => id !== 'density')] : idsOf(group)

/** Shapes of the whole site: buttons, cards, pictures, fields, and how much room all of it has. */
export function ShapesPanel(props: SettingPanelProps) {
  return (
    <div className="grid gap-3">
      {SHAPES.map((group) => (
        <Group key={group} title={group} ids={inOrder(group)} {...props} />
      ))}
    </div>
  )
}

/** The steps of the scale from the smallest text to titles, at both ends. */
function Scale() {
  const all = useEditorState((state) => state.docs.frame.settings)
  const steps = [5, 4, 3, 2, 1, 0, -1]
  return (
    <table className="code w-full text-[11px]">
      <caption className="sr-only">Sizes of the scale in px</caption>
      <thead>
        <tr className="text-left text-soft">
          <th className="font-normal">step</th>
          <th className="text-right font-normal">phone</th>
          <th className="text-right font-normal">wide</th>
        </tr>
      </thead>
      <tbody>
        {steps.map((step) => {
          const { narrow, wide } = stepSize(all, step)
          return (
            <tr key={step}>
              <td>{step === 0 ? 'text' : step > 0 ? `+${step}` : `−${-step}`}</td>
              <td className="text-right">{written(narrow, 1)}</td>
              <td className="text-right">{written(wide, 1)}</td>
            </tr>
          )
        })}
      </tbody>
    </table>
  )
}

/** Typefaces that go together, each drawn in itself. */
function Pairs({ onDrag, onChoose }: SettingPanelProps) {
  const all = useEditorState((state) => state.docs.frame.settings)
  const given = (id: string): Partial<Settings> => settingsOfPair(fontPairOf(id)!)
  const now = fontPairs.find(
    ({ heading, body }) => heading.family === all.headingFace && body.family === all.bodyFace,
  )
  return (
    <Choices
      label="Pairs of typefaces"
      value={now?.id}
      onChange={(id) => onChoose(given(id))}
      className="grid gap-1"
    >
      {fontPairs.map(({ id, mood, reason, heading, body }) => (
        <Choice
          key={id}
          value={id}
          label={`${heading.family} with ${body.family}, ${mood}`}
          className="block rounded-md border border-edge-strong/60 bg-raised px-2.5 py-1.5 text-left hover:bg-hover has-checked:border-strong has-checked:ring-1 has-checked:ring-strong"
        >
          <span
            onPointerEnter={() => onDrag(given(id))}
            onPointerLeave={() => onDrag({})}
            className="block"
          >
            <span
              className="block truncate text-[17px] leading-6"
              style={{ fontFamily: stackOf(heading.family), fontWeight: heading.weight }}
            >
              {heading.family}
            </span>
            <span className="block truncate" style={{ fontFamily: stackOf(body.family) }}>
              with {body.family}: {mood}
            </span>
            <span className="block text-[11px] text-soft">{reason}</span>
          </span>
        </Choice>
      ))}
    </Choices>
  )
}

/** Typefaces and sizes of the whole site. */
export function TypePanel(props: SettingPanelProps) {
  return (
    <div className="grid gap-3">
      {/* Each pair is drawn in itself. */}
      <style href="typefaces" precedence="low">
        {typefaceCss(siteFonts, (file) => `/fonts/${file}`)}
      </style>
      <section aria-label="Pairs" className="grid gap-2 border-b border-edge pb-3">
        <h3 className="font-semibold">Pairs that go together</h3>
        <Pairs {...props} />
      </section>
      <OwnFonts />
      <Group title="Titles" ids={['titleFace', 'titleWeight']} {...props} />
      <Group title="Headings" ids={['headingFace', 'headingWeight']} {...props} />
      <Group
        title="Running text"
        ids={['bodyFace', 'bodyWeight', 'textSize', 'textLeading', 'measure']}
        {...props}
      />
      <Group
        title="Buttons and links to pages"
        ids={['interactiveFace', 'interactiveWeight']}
        {...props}
      />
      <Group title="Sizes" ids={['scale', 'narrowScale']} {...props} />
      <Scale />
    </div>
  )
}
