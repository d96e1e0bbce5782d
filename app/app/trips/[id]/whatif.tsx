import { later } from '../../../ui/later';

export default later(() => import('../../../features/whatif/what-if-page').then((m) => m.WhatIfPage));
