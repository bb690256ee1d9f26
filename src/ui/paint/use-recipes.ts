import { gradientRecipes, type GradientRecipe } from '@/core/palette'
import { slotColor } from '@/core/resolve'
import { slotsInOrder } from '@/core/site'
import { useEditorState } from '../editor'

/** Gradients that the site's palette suggests. */
export function useRecipes(): GradientRecipe[] {
  const palette = useEditorState((state) => state.docs.frame.palette)
  const held = slotsInOrder(palette).filter(({ value }) => value)
  return gradientRecipes(held.map(({ id }) => ({ id, color: slotColor(palette, id) })))
}
