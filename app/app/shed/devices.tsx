import { later } from '../../ui/later';

export default later(() => import('../../features/device/devices-page').then((m) => m.DevicesPage));
