/** The simulators, fetched together with the first of them. */
export { DrivePage } from './drive-page';
export { RightPage } from './right-page';
