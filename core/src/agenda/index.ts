export {
  planVisits,
  whyLater,
  type KeeperCalendar,
  type Later,
  type Visit,
  type VisitPlan,
  type Window,
} from './visits';
export { dueAt, PREPARE, prepareFor, type Due } from './windows';
