import { useCallback } from 'react'
import { toast } from 'sonner'
import type { Edit } from '@/core/edit'
import { useEditor } from '../editor'
import { editProblemWords } from '../words'

type AddOnEdit = Extract<Edit, { type: 'addAddOn' | 'setAddOn' | 'removeAddOn' }>

/** Carries an edit of add-ons out; whether it was kept. What was not is told. */
export function useAddOnEdit(): (edit: AddOnEdit) => boolean {
  const editor = useEditor()
  return useCallback(
    (edit) => {
      const problem = editor.dispatch(edit)
      if (problem) toast.error(`Not kept: ${editProblemWords[problem]}.`)
      return !problem
    },
    [editor],
  )
}
