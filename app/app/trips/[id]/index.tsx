import { later } from '../../../ui/later';

export default later(() => import('../../../features/phases/answer-page').then((m) => m.AnswerPage));
