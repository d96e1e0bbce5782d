import { later } from '../../../../ui/later';

export default later(() => import('../../../../features/trip/phase-page').then((m) => m.SectionPage));
