import { later } from '../../../ui/later';

export { Broken as ErrorBoundary } from '../../../features/mishap/broken';

export default later(() => import('../../../features/phases/trip-layout').then((m) => m.TripLayout));
