import { later } from '../../../../ui/later';

export default later(() => import('../../../../features/trouble/haven-page').then((m) => m.HavenPage));
