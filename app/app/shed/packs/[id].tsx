import { later } from '../../../ui/later';

export default later(() => import('../../../features/packs/pack-page').then((m) => m.PackPage));
