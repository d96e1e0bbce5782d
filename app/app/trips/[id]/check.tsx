import { later } from '../../../ui/later';

export default later(() => import('../../../features/pack/officer-page').then((m) => m.OfficerPage));
