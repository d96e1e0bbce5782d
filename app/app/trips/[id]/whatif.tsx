import { withProcedures } from '../../../data/procedures';
import { later } from '../../../ui/later';

export default later(() =>
  withProcedures(import('../../../features/whatif/pages')).then((m) => m.WhatIfPage),
);
