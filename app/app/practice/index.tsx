import { later } from '../../ui/later';

export default later(() => import('../../features/practice/practice-page').then((m) => m.PracticePage));
