import { later } from '../../ui/later';

export default later(() => import('../../features/boat/boat-pages').then((m) => m.HandoverPage));
