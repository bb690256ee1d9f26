import { applyEdit, checkEdit, describeEdit, type Edit, type EditProblem } from '../edit'
import type { Problem } from '../payloads'
import { isSendable } from './batch'
import type { ClashWatch } from './clash-watch'
import type { Layers } from './layers'
import type { OriginWatch } from './origin'
import { lostEdit, refusal } from './replay'
import type { SyncState } from './state'
import type { Held } from './store'
import type { Surroundings } from './transport'

interface CarryingNeeds {
  readonly held: Held<SyncState>
  readonly watch: ClashWatch
  readonly origins: OriginWatch
  readonly layers: Layers
  readonly newId: Surroundings['newId']
  readonly flush: () => Promise<void>
}

/** Carries edits out in this window, and has them sent. */
export function createCarrying({ held, watch, origins, layers, newId, flush }: CarryingNeeds) {
  const { getState, setState } = held

  /** Carries an edit out here and sends it; gives what is wrong with it, and then nothing is changed. */
  function attempt(edit: Edit): Problem | undefined {
    const { docs } = getState()
    const checked = checkEdit(edit)
    if (!checked.ok) return { code: 'invalid', where: checked.where, what: checked.what }
    if (!isSendable(edit)) return { code: 'too-large' }
    const result = applyEdit(docs, edit)
    if (!result.ok) return refusal(result.problem)
    if (result.changes.length === 0) return undefined
    const clientId = newId()
    const told = describeEdit(edit, docs)
    origins.made(clientId)
    watch.remember(clientId, told, docs, result.changes)
    layers.lay({ clientId, edit, told, changes: result.changes, after: result.docs })
    void flush()
    return undefined
  }

  function dispatch(edit: Edit): EditProblem | undefined {
    const problem = attempt(edit)
    if (!problem) return undefined
    if (problem.code === 'edit-refused') return problem.problem
    return problem.code === 'too-large' ? 'too-much' : 'malformed'
  }

  function carryOut(edit: Edit): boolean {
    const problem = attempt(edit)
    if (problem) {
      const told = describeEdit(edit, getState().docs)
      setState({ lost: [...getState().lost, lostEdit({ clientId: '', edit, told }, problem)] })
    }
    return !problem
  }

  return { dispatch, carryOut }
}
