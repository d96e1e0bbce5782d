import { later } from '../../../ui/later';

export default later(() => import('../../../features/paper/rig-page').then((m) => m.RigPage));
