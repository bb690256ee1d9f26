import { ThemeSheet } from '@/ui/themes'

export default function ThemeSheetPage() {
  return <ThemeSheet />
}
