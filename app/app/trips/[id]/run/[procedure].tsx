import { later } from '../../../../ui/later';

export default later(() => import('../../../../features/go/run-page').then((m) => m.RunPage));
