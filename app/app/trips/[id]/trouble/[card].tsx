import { later } from '../../../../ui/later';

export default later(() => import('../../../../features/trouble/card-page').then((m) => m.CardPage));
