import { later } from '../../../ui/later';

export default later(() => import('../../../features/debrief/pages').then((m) => m.CatchPage));
