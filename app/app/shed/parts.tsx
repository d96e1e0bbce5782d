import { later } from '../../ui/later';

export default later(() => import('../../features/boat/parts-page').then((m) => m.PartsPage));
