export { TracePanel } from './trace-panel'
