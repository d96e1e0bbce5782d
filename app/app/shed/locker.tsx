import { later } from '../../ui/later';

export default later(() => import('../../features/shed/locker-page').then((m) => m.LockerPage));
