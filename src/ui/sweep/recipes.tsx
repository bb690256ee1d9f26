'use client'

import { ChevronDown, X } from 'lucide-react'
import { useCallback, useEffect, useState, type FormEvent } from 'react'
import { toast } from 'sonner'
import type { RecipeEntry } from '@/core/payloads'
import { pairsOfRecipe, recipeOf } from '@/core/sweep'
import { useEditor, useEditorState } from '../editor'
import { Button, Dialog, IconButton, Line, Notice, Popover } from '../kit'
import { counted, problemWords } from '../words'
import type { Pairs } from './use-pairs'

interface RecipesProps {
  readonly pairs: Pairs
}

/** Sweeps that are kept under a name: taken up here, or kept for this and other sites. */
export function Recipes({ pairs }: RecipesProps) {
  const palette = useEditorState((state) => state.docs.frame.palette)
  const [keeping, setKeeping] = useState(false)
  const take = ({ name, recipe }: RecipeEntry) => {
    const { pairs: found, missing } = pairsOfRecipe(palette, recipe)
    if (missing.length > 0) {
      const slots = missing.map((slot) => `“${slot}”`).join(', ')
      toast(
        `${name}: this site has no slot named ${slots}; ${counted(recipe.pairs.length - found.length, 'pair')} of it left out.`,
      )
    }
    pairs.take(found, recipe.paints ?? [])
  }
  return (
    <>
      <Popover
        label="Recipes"
        width={280}
        trigger={
          <Button>
            Recipes <ChevronDown size={14} aria-hidden />
          </Button>
        }
      >
        <RecipeList onTake={take} />
        <Button
          className="mt-2 w-full"
          disabled={!pairs.request}
          title={pairs.request ? undefined : 'Complete a pair first.'}
          onClick={() => setKeeping(true)}
        >
          Keep these pairs …
        </Button>
      </Popover>
      {keeping && pairs.request && (
        <KeepRecipe
          recipe={recipeOf(palette, pairs.request.pairs, pairs.request.paints)}
          onLeave={() => setKeeping(false)}
        />
      )}
    </>
  )
}

function RecipeList({ onTake }: { readonly onTake: (entry: RecipeEntry) => void }) {
  const { client } = useEditor()
  const [entries, setEntries] = useState<readonly RecipeEntry[]>()
  const [failure, setFailure] = useState<string>()
  const ask = useCallback(
    () =>
      client.recipes().then((result) => {
        if (result.ok) setEntries(result.value)
        setFailure(result.ok ? undefined : problemWords(result.problem))
      }),
    [client],
  )
  useEffect(() => void ask(), [ask])
  const remove = async ({ id, name }: RecipeEntry) => {
    const result = await client.changeRecipe(id, { deed: 'remove' })
    if (result.ok) toast(`The recipe ${name} is no longer kept. Sites stay as they are.`)
    else toast.error(problemWords(result.problem))
    await ask()
  }
  if (failure) return <Notice>{failure}</Notice>
  if (!entries) return <p className="text-soft">Looking for recipes …</p>
  if (entries.length === 0) {
    return (
      <p className="text-soft">
        None yet. Pairs that are kept here can be run on every site: slots are found by their names.
      </p>
    )
  }
  return (
    <ul aria-label="Kept recipes" className="grid max-h-64 gap-0.5 overflow-y-auto">
      {entries.map((entry) => (
        <li key={entry.id} className="flex items-center">
          <button
            type="button"
            onClick={() => onTake(entry)}
            className="min-w-0 flex-1 truncate rounded px-2 py-1.5 text-left hover:bg-hover"
          >
            <b>{entry.name}</b>{' '}
            <span className="text-soft">{counted(entry.recipe.pairs.length, 'pair')}</span>
          </button>
          <IconButton label={`Keep ${entry.name} no longer`} onClick={() => void remove(entry)}>
            <X size={14} />
          </IconButton>
        </li>
      ))}
    </ul>
  )
}

interface KeepRecipeProps {
  readonly recipe: RecipeEntry['recipe']
  readonly onLeave: () => void
}

function KeepRecipe({ recipe, onLeave }: KeepRecipeProps) {
  const { client } = useEditor()
  const [name, setName] = useState('')
  const [wrong, setWrong] = useState<string>()
  const keep = async (event: FormEvent) => {
    event.preventDefault()
    const result = await client.keepRecipe(name.trim(), recipe)
    if (!result.ok) return setWrong(problemWords(result.problem))
    toast(`Kept as ${name.trim()}: every site here can run it.`)
    onLeave()
  }
  return (
    <Dialog open onOpenChange={onLeave} title="Keep these pairs as a recipe">
      <form onSubmit={(event) => void keep(event)} className="grid gap-3">
        <Line
          label="Name of the recipe"
          first
          value={name}
          placeholder="Autumn re-brand"
          wrong={wrong}
          onChange={setName}
        />
        <Button look="strong" type="submit" disabled={!name.trim()} className="justify-self-start">
          Keep
        </Button>
      </form>
    </Dialog>
  )
}
