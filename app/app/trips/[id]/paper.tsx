import { later } from '../../../ui/later';

export default later(() => import('../../../features/paper/paper-page').then((m) => m.PaperPage));
