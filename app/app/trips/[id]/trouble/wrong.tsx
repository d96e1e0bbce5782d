import { later } from '../../../../ui/later';

export default later(() => import('../../../../features/trouble/wrong-page').then((m) => m.WrongPage));
