import { later } from '../../../ui/later';

export default later(() => import('../../../features/paper/havens-page').then((m) => m.HavensPage));
