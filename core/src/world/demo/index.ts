export { demoFacts, type NewId } from './scenario';
