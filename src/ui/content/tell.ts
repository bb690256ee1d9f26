import { toast } from 'sonner'
import type { EditProblem } from '@/core/edit'
import { editProblemWords } from '../words'

/** Says why something was not done; returns whether it was. */
export function tell(what: string, problem: EditProblem | undefined): boolean {
  if (problem) toast.error(`${what}: ${editProblemWords[problem]}.`)
  return !problem
}
