import { withProcedures } from '../../../data/procedures';
import { later } from '../../../ui/later';

export default later(() =>
  withProcedures(import('../../../features/practice/practice-page')).then((m) => m.DrillPage),
);
