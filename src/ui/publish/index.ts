export { PublishButton } from './publish-button'
