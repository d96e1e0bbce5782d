import { later } from '../../../../ui/later';

export default later(() => import('../../../../features/phases/phase-page').then((m) => m.PhasePage));
