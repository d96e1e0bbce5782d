import { later } from '../../ui/later';

export default later(() => import('../../features/shed/removed-page').then((m) => m.RemovedPage));
