import { later } from '../../ui/later';

export default later(() => import('../../features/watch/watch-page').then((m) => m.WatchPage));
