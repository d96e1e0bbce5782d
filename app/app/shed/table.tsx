import { later } from '../../ui/later';

export default later(() => import('../../features/shed/table-page').then((m) => m.TablePage));
