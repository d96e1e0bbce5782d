import { later } from '../../../ui/later';

export default later(() => import('../../../features/shed/thing-page').then((m) => m.ThingPage));
