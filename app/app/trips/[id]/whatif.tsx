import { withProcedures } from '../../../data/procedures';
import { later } from '../../../ui/later';

export default later(() =>
  withProcedures(import('../../../features/whatif/what-if-page')).then((m) => m.WhatIfPage),
);
