import { useEffect, useState } from 'react'
import type { Result } from '@/core/payloads'
import { useEditor, type Editor } from '../editor'
import { problemWords } from '../words'

/** What the server answers to a question that is asked once, or why it does not, in words. */
export function useAsked<T>(ask: (client: Editor['client']) => Promise<Result<T>>): {
  readonly value?: T
  readonly failure?: string
} {
  const { client } = useEditor()
  const [answer, setAnswer] = useState<{ readonly value?: T; readonly failure?: string }>({})
  useEffect(() => {
    let isCurrent = true
    void ask(client).then((result) => {
      if (!isCurrent) return
      setAnswer(result.ok ? { value: result.value } : { failure: problemWords(result.problem) })
    })
    return () => {
      isCurrent = false
    }
  }, [client, ask])
  return answer
}
