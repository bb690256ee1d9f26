import { colorOf, contrast, over, white, writeColor } from '@/core/color'
import type { SharedPalette } from '@/core/payloads'

/** A palette, read-only, for whoever was given its link; made for a phone as well. */
export function SharedPaletteView({ palette }: { readonly palette: SharedPalette }) {
  return (
    <main className="mx-auto max-w-4xl p-5 sm:p-10">
      <h1 className="text-2xl font-bold">{palette.title}</h1>
      <p className="mt-1 text-soft">
        {palette.colors.length} colours, as they were when this link was made.
      </p>
      <ul className="mt-6 grid grid-cols-1 gap-3 sm:grid-cols-2 md:grid-cols-3">
        {palette.colors.map(({ name, value, note }, i) => {
          const color = colorOf(value) ?? white
          const ink = contrast(white, over(color, white)) >= 4.5 ? '#ffffff' : '#171717'
          return (
            <li key={i} className="see-through overflow-hidden rounded-lg border border-black/15">
              <div
                className="flex min-h-36 flex-col justify-end p-4"
                style={{ background: value, color: ink }}
              >
                <strong className="text-base">{name}</strong>
                {note && <span>{note}</span>}
                <span className="code mt-1 select-all">{value}</span>
                <span className="code select-all">{writeColor(color, 'rgb')}</span>
                <span className="code select-all">{writeColor(color, 'hsl')}</span>
              </div>
            </li>
          )
        })}
      </ul>
    </main>
  )
}
