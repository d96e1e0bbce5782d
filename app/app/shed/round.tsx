import { later } from '../../ui/later';

export default later(() => import('../../features/shed/round-page').then((m) => m.RoundPage));
