'use client'

import type { GradientPaint } from '@/core/site'
import { useEditorState } from '../editor'
import { paintBackground } from '../look'
import { useRecipes } from './use-recipes'

interface RecipesProps {
  readonly onChoose: (paint: GradientPaint) => void
  readonly onPoint: (paint: GradientPaint | undefined) => void
}

/** Gradients that the palette itself suggests; pointing at one shows it in place. */
export function Recipes({ onChoose, onPoint }: RecipesProps) {
  const siteId = useEditorState((state) => state.siteId)
  const palette = useEditorState((state) => state.docs.frame.palette)
  const recipes = useRecipes()
  if (recipes.length === 0) return <p className="text-soft">The palette has no colours yet.</p>
  return (
    <div role="group" aria-label="Recipes" className="grid grid-cols-4 gap-1.5">
      {recipes.map(({ id, label, paint }) => {
        const gradient = paint as GradientPaint
        return (
          <button
            key={id}
            type="button"
            title={label}
            aria-label={label}
            onClick={() => onChoose(gradient)}
            onPointerEnter={() => onPoint(gradient)}
            onPointerLeave={() => onPoint(undefined)}
            onFocus={() => onPoint(gradient)}
            onBlur={() => onPoint(undefined)}
            className="see-through h-9 overflow-hidden rounded border border-black/20"
          >
            <span
              className="block size-full"
              style={{
                background: paintBackground(siteId, palette, gradient),
              }}
            />
          </button>
        )
      })}
    </div>
  )
}
