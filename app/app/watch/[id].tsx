export { PlanPage as default } from '../../features/watch/plan-page';
