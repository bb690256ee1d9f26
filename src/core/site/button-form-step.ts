import { withWholes, type Stored, type UpgradeStep } from './upgrade-steps'

const withForm = (settings: Stored): Stored => ({
  ...settings,
  buttonForm: 'solid',
  buttonIcon: 'none',
})

const formOfFrame = (frame: Stored): Stored => ({
  ...frame,
  settings: withForm(frame.settings as Stored),
})

/** Buttons are solid, as they were, until somebody says otherwise. */
export const buttonFormStep: UpgradeStep = {
  record: formOfFrame,
  change(change) {
    if (change.path.length === 0) return withWholes(change, formOfFrame)
    return change.path.length === 1 && change.path[0] === 'settings'
      ? withWholes(change, withForm)
      : change
  },
}
