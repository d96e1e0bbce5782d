import { later } from '../../../ui/later';

export default later(() => import('../../../features/trip/answer-page').then((m) => m.AnswerPage));
