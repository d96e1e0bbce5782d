import { later } from '../../../ui/later';

export default later(() => import('../../../features/phases/week-page').then((m) => m.WeekPage));
