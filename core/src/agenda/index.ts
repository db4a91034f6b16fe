export { planVisits, type KeeperCalendar, type Visit, type VisitPlan, type Window } from './visits';
export { dueAt, PREPARE, TASKS, windowsOf, type Due, type RowDue, type Task } from './windows';
