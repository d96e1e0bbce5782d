import { later } from '../../../ui/later';

export { Broken as ErrorBoundary } from '../../../features/shell/broken';

export default later(() => import('../../../features/trip/trip-layout').then((m) => m.TripLayout));
