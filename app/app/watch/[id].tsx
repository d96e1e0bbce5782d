import { later } from '../../ui/later';

export default later(() => import('../../features/watch/plan-page').then((m) => m.PlanPage));
