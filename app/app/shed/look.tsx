import { later } from '../../ui/later';

export default later(() => import('../../features/shed/look-page').then((m) => m.LookPage));
