export { demoFacts, type NewId } from './scenario';
export { DEMO_KINDS } from './kinds';
