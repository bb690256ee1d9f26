import { toast } from 'sonner'

/** Puts a text on the clipboard and says so, or says how to copy it by hand. */
export async function copy(text: string, done: string, byHand: string): Promise<void> {
  try {
    await navigator.clipboard.writeText(text)
    toast(done)
  } catch {
    toast.error(`The browser does not let this page copy. ${byHand}`)
  }
}
