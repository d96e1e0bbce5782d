import { later } from '../ui/later';

/** The first questions come with their page: no reading screen waits for them. */
export default later(() => import('../features/begin/begin-page').then((m) => m.BeginPage));
