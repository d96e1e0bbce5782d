import { later } from '../../ui/later';

export default later(() => import('../../features/shed/shed-page').then((m) => m.ShedPage));
