/** What edits a site-wide setting is given. */
export interface SettingEditorProps<Value> {
  readonly label: string
  readonly value: Value
  readonly onDrag: (value: Value) => void
  readonly onChoose: (value: Value) => void
}
