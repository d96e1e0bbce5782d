import { later } from '../../ui/later';

export default later(() => import('../../features/chart/chart-page').then((m) => m.WaterChart));
