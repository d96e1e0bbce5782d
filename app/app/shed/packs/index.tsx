import { later } from '../../../ui/later';

export default later(() => import('../../../features/packs/packs-page').then((m) => m.PacksPage));
