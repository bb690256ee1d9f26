import { useMemo } from 'react'
import { useEditorState } from '../editor'
import { inOwnWords, type InOwnWords } from './own-samples'

/** The words and pictures of the pages that are at hand, for samples. */
export function useOwnWords(): InOwnWords {
  const docs = useEditorState((state) => state.docs)
  const { pages, pictures, frame } = docs
  // eslint-disable-next-line react-hooks/exhaustive-deps -- of the frame only its elements
  return useMemo(() => inOwnWords(docs), [pages, pictures, frame.body])
}
