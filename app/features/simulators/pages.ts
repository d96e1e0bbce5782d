/** The simulators, fetched together with the first of them. */
export { AnchorPage } from './anchor-page';
export { DrivePage } from './drive-page';
export { RightPage } from './right-page';
export { SpendPage } from './spend-page';
export { OrderPage } from './order-page';
export { ReadPage } from './read-page';
