import { later } from '../../../ui/later';

export default later(() => import('../../../features/simulators/pages').then((m) => m.ReadPage));
