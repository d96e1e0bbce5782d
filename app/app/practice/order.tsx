import { withProcedures } from '../../data/procedures';
import { later } from '../../ui/later';

export default later(() =>
  withProcedures(import('../../features/simulators/pages')).then((m) => m.OrderPage),
);
