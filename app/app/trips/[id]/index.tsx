export { AnswerPage as default } from '../../../features/trip/answer-page';
